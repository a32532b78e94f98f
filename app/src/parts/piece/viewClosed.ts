import type { ClosedDesign, DesignOf, PiecePart } from '@leggero/contract';
import { STEP_MM, type Problem, MM_PER, usefulWidths, type Trade } from '@leggero/core';
import {
  basket,
  closingOf,
  closingTolerance,
  formOf,
  handleFor,
  handleSpanMm,
  ringOf,
  ringStack,
  ringsFor,
  snapForm,
  spheresOf,
  standingForm,
  type Closing,
  type FittingRing,
  type Form,
  type FormLayer,
  type FormShape,
  type Handle,
  type HandleProblemCode,
  type Ring,
  type SnappedForm,
  type Sphere,
  closingAround,
  type LinkProblemCode,
} from '@leggero/core/linking';

import { layerTitle } from '@/wording/pieces';

import type { PieceSize } from './sizes';
import { FINEST_MM, jointOf, linkToleranceMm, longOf, modelOf, nominalOf, type Material } from './material';

/** A closed form worked out. */
export interface ClosedView {
  snapped: SnappedForm;
  exact: Form;
  /** As it stands on its table: the picture, its sizes and its handle follow from that. */
  standing: Form;
  spheres: Sphere[];
  sizes: PieceSize[];
  closing: Closing;
  balloons: number;
  handle: { ok: true; value: Handle } | { ok: false; problem: Problem<HandleProblemCode> } | null;
}

/** Which balloon a size of a form is made of. */
export function partOf({ parts, usual }: ClosedDesign, key: string): PiecePart {
  return parts[key] ?? usual;
}

/** Small tying balloons are 5 in (common practice). */
const TIE_NOMINAL_MM = 5 * MM_PER.in;

export function viewClosed(
  design: ClosedDesign,
  basis: Material,
): { ok: true; value: ClosedView } | { ok: false; problem: Problem<LinkProblemCode> } {
  const { form: kind, count, rings, by, baseMm, mouthMm, leanDeg, stepMm, handle } = design;
  const { trade } = basis.knowledge;
  const { jointMm } = jointOf(design.usual, basis);
  const made =
    kind === 'basket'
      ? basket({
          spokes: count,
          rings,
          stepMm,
          jointMm,
          leanDeg,
          leastTieMm: leastTieMm(design, basis),
          trade,
          ...(by === 'mouth' ? { mouthMm } : { baseMm }),
        })
      : other({ kind, count, rings, baseMm, leanDeg, jointMm }, stepMm, trade);
  if (!made.ok) return made;
  const { snapped, exact } = made.value;
  const closing = closingOf(snapped);
  const { sdMm } = closingTolerance({ closing, trade });
  const sizes = snapped.sizes.map(({ key, count: many, widthMm, ...snap }): PieceSize => {
    const part = partOf(design, key);
    const most = linkToleranceMm(nominalOf(part, basis), basis);
    const around = !key.startsWith('ties') && key !== 'cap';
    return {
      key,
      title: layerTitle(key, kind),
      count: many,
      widthMm,
      part,
      toleranceMm: sdMm === null ? most : Math.max(FINEST_MM, Math.min(most, 2 * sdMm)),
      snap: { ...snap, around },
    };
  });
  const standing = standingForm(snapped.form, trade);
  const spheres = spheresOf(standing);
  return {
    ok: true,
    value: {
      snapped,
      exact,
      standing,
      spheres,
      sizes,
      closing,
      balloons: spheres.length,
      handle: handle
        ? handleFor({
            spanMm: handleSpanMm(standing),
            riseMm: handle.riseMm,
            size: longOf(basis.longs.find(({ id }) => id === handle.part.modelId)),
            trade,
          })
        : null,
    },
  };
}

function other(shape: FormShape, stepMm: number, trade: Trade) {
  const exact = formOf(shape, trade);
  if (!exact.ok) return exact;
  const snapped = snapForm({ shape, stepMm, leastTieMm: 0, trade });
  return snapped.ok ? { ok: true as const, value: { snapped: snapped.value, exact: exact.value } } : snapped;
}

function leastTieMm(design: ClosedDesign, basis: Material): number {
  const part = design.parts['ties-1'];
  const nominalMm = (part && modelOf(part, basis)?.nominalMm) ?? TIE_NOMINAL_MM;
  return usefulWidths({ nominalMm, trade: basis.knowledge.trade }).leastMm;
}

/** A ring, or rings upon rings, worked out. */
export interface RingView {
  spheres: Sphere[];
  form: Pick<Form, 'layers' | 'ties'>;
  sizes: PieceSize[];
  closing: Closing;
  ring: Ring;
  highMm: number;
  balloons: number;
  /** What would go with the thing, by count. */
  fitting: FittingRing[] | null;
  fittingProblem: Problem<LinkProblemCode> | null;
}

export function viewRing(
  design: DesignOf<'ring'>,
  basis: Material,
): { ok: true; value: RingView } | { ok: false; problem: Problem<LinkProblemCode> } {
  const { count, rings, thing } = design;
  const first = rings[0]!;
  const { trade } = basis.knowledge;
  const { jointMm } = jointOf(first, basis);
  const asked = rings.map(({ widthMm }) => ({ widthMm, pitchMm: widthMm + jointMm }));
  const stack = ringStack({ count, rings: asked });
  if (!stack.ok) return stack;
  const layers = stack.value.map(({ widthMm, centreRadiusMm, heightMm, turned }, i): FormLayer => ({
    key: `ring-${i + 1}`,
    role: 'ring',
    count,
    widthMm,
    radiusMm: centreRadiusMm,
    heightMm,
    turned: turned ? 0.5 : 0,
    jointMm,
  }));
  const ring = ringOf({ count, pitchMm: asked[0]!.pitchMm, widthMm: first.widthMm });
  if (!ring.ok) return ring;
  const single = rings.length === 1 && thing !== null ? thing : null;
  const closing = closingAround({ count, widthMm: first.widthMm, jointMm, thing: single });
  const { sdMm } = closingTolerance({ closing, trade });
  const nominalMm = nominalOf(first, basis);
  const fitting = single
    ? ringsFor({
        ...single,
        jointMm,
        stepMm: basis.studio.stepMm,
        ...usefulWidths({ nominalMm, trade }),
      })
    : null;
  const top = stack.value.at(-1)!;
  const form = { layers, ties: [] };
  const spheres = spheresOf(form);
  return {
    ok: true,
    value: {
      spheres,
      form,
      closing,
      ring: ring.value,
      highMm: top.heightMm + (top.widthMm + first.widthMm) / 2,
      balloons: spheres.length,
      fitting: fitting?.ok ? fitting.value : null,
      fittingProblem: fitting && !fitting.ok ? fitting.problem : null,
      sizes: rings.map((part, i): PieceSize => {
        const most = linkToleranceMm(nominalOf(part, basis), basis);
        const least = 2 * (sdMm ?? most);
        return {
          key: `ring-${i + 1}`,
          title: layerTitle(`ring-${i + 1}`, 'ring'),
          count,
          widthMm: part.widthMm,
          part,
          toleranceMm: Math.max(FINEST_MM, Math.min(most, least)),
        };
      }),
    },
  };
}

/** Steps that the sizes of a form may have, mm. */
export const FORM_STEPS = [
  STEP_MM.eighthInch,
  STEP_MM.quarterInch,
  STEP_MM.eighthInch / 2,
  STEP_MM.millimetre,
] as const;
