import type { ClosedDesign } from '@leggero/contract';
import { factorsOff, type PieceSpread } from '@leggero/core/building';
import {
  countsOf,
  formAsMade,
  formAtRest,
  handleLine,
  pullOne,
  restingForm,
  workingRings,
} from '@leggero/core/linking';
import { useCallback, useMemo, useState } from 'react';

import { useTrade } from '@/data/trade';
import { Cautions } from '@/parts/Cautions';
import { Words } from '@/ui/Words';
import { atRestText, formSizeText, linkProblemText, snapText } from '@/wording/linking';
import { counted } from '@/wording/trade';

import { CheckCard } from '@/parts/piece/CheckCard';
import { ClosedFields } from './ClosedFields';
import type { SceneTube } from '@/parts/space/scene';
import type { Camera } from '@/parts/space/view';

import { FormSpace } from './FormSpace';
import { HandleCard } from './HandleCard';
import { JointCard } from './JointCard';
import { PartsCard } from './PartsCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import { PullCard } from './PullCard';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { SizesCard } from '@/parts/piece/SizesCard';
import { StandsCard } from './StandsCard';
import { StepsCard } from './StepsCard';
import { TargetCard } from '@/parts/piece/TargetCard';
import { ToleranceCard } from './ToleranceCard';
import { usePiece } from '@/parts/piece/usePiece';
import { partOf, viewClosed, type ClosedView } from '@/parts/piece/viewClosed';

/** A basket or another closed form: exact sizes, the steps that close best, and what one wrong balloon does. */
export function ClosedPiece(shown: ShownPiece<ClosedDesign>) {
  const trade = useTrade();
  const { piece, basis } = shown;
  const { design, change, view, problem } = usePiece(shown, viewClosed, linkProblemText);
  const { count, form } = design;
  const [tapped, setTapped] = useState<number | null>(null);
  const [offMm, setOffMm] = useState(0);
  const { text } = basis.lengths;
  const at = view && tapped !== null && tapped < view.spheres.length ? tapped : null;
  const pulled =
    view && at !== null
      ? pullOne({ spheres: view.spheres, closing: view.closing, form: view.snapped.form, at, offMm, trade })
      : null;
  const spheres = pulled?.spheres ?? view?.spheres ?? [];
  const laidAnew = useCallback(
    (spread: PieceSpread, seed: number) => {
      if (!view) return [];
      const off = factorsOff(spread, seed);
      const widths = view.spheres.map(({ widthMm }) => widthMm * off());
      return formAsMade(view.snapped.form, widths, trade);
    },
    [view, trade],
  );
  const key = at === null ? (view?.sizes[0]?.key ?? null) : spheres[at]!.key;
  const size = view?.sizes.find((each) => each.key === key);
  const choose = (to: string) => {
    setTapped(view?.spheres.findIndex((sphere) => sphere.key === to) ?? null);
    setOffMm(0);
  };
  const own = at === null ? [] : spheres.flatMap((sphere, i) => (sphere.key === key ? [i] : []));
  // A basket stands so anyway.
  const rest = useMemo(() => {
    if (!view || form === 'basket') return null;
    return () => formAtRest(view.snapped.form, trade);
  }, [view, form, trade]);
  const { handle } = design;
  const arch: SceneTube | null =
    view?.handle?.ok && handle
      ? {
          line: handleLine(view.standing, view.handle.value).map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm]),
          widthMm: view.handle.value.widthMm,
          hex: handle.part.colourHex,
        }
      : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={view ? counted(view.balloons, 'balloon') : 'cannot be worked out'}
      first={
        <>
          {view ? (
            <>
              <FormSpace
                label={pictureText(view, design, text)}
                spheres={spheres}
                form={view.standing}
                kind={form}
                partOf={(each) => partOf(design, each)}
                basis={basis}
                first={FIRST}
                height={340}
                chosen={own}
                gap={pulled?.gap ?? null}
                laidAnew={laidAnew}
                rest={rest}
                restText={(soft) => atRestText(restingForm(view.snapped.form, trade), soft.pulled, text)}
                handle={arch}
                wrong={at !== null && offMm !== 0 ? at : null}
                onTap={(sphere) => {
                  setTapped(sphere);
                  setOffMm(0);
                }}
              />
              <Words look="quiet">
                {`${formSizeText(view.standing, text)}. Drag it round; tap a balloon for its target.`}
              </Words>
            </>
          ) : null}
          {problem && !FIELDS.has(problem.field ?? '') ? (
            <Words look="error" role="alert">
              {linkProblemText(problem, text)}
            </Words>
          ) : null}
          <ClosedFields
            design={design}
            basis={basis}
            problem={problem}
            change={change}
            counts={countsOf(form)}
            rings={workingRings(
              { kind: form, count, baseMm: design.baseMm, leanDeg: design.leanDeg, jointMm: 0 },
              trade,
            )}
          />
        </>
      }
      second={
        <>
          {size ? <TargetCard piece={piece} size={size} basis={basis} /> : null}
          {view && at !== null && pulled ? (
            <PullCard
              offMm={offMm}
              wrong={pulled.wrong}
              movedMm={pulled.movedMm}
              tie={spheres[at]!.tie || spheres[at]!.key === 'cap'}
              lengths={basis.lengths}
              onOff={setOffMm}
            />
          ) : null}
          {view ? (
            <>
              <SizesCard piece={piece} sizes={view.sizes} basis={basis} chosen={key} onChoose={choose} />
              <Words look="quiet">{snapText(view.snapped)}</Words>
              {form === 'basket' ? (
                <StandsCard view={view} basis={basis} onLean={(leanDeg) => change({ leanDeg })} />
              ) : null}
              <ToleranceCard closing={view.closing} form={form} />
              <StepsCard
                form={view.snapped.form}
                kind={form}
                handle={view.handle?.ok ? view.handle.value : null}
                text={text}
              />
            </>
          ) : null}
          {form === 'basket' ? (
            <HandleCard
              handle={handle}
              made={view?.handle ?? null}
              basis={basis}
              onChange={(to) => change({ handle: to })}
            />
          ) : null}
          <PartsCard design={design} sizes={view?.sizes ?? []} basis={basis} change={change} />
          <JointCard part={design.usual} basis={basis} />
          {view ? <CheckCard piece={piece} sizes={view.sizes} basis={basis} /> : null}
          <Cautions names={['latex', 'choking']} />
        </>
      }
    />
  );
}

/** A handle then lies across, and the form is seen a little from above. */
const FIRST: Camera = { turn: -0.42, tilt: 0.3, zoom: 1, push: [0, 0] };

/** Fields that show their own problem. */
const FIELDS = new Set(['baseMm', 'mouthMm', 'stepMm', 'leanDeg', 'rings', 'count']);

function pictureText(
  { standing, sizes, balloons }: ClosedView,
  { form }: ClosedDesign,
  text: (mm: number) => string,
): string {
  const parts = sizes.map(({ title, count, widthMm }) => `${title} ${count} of ${text(widthMm)}`).join(', ');
  return `A ${form} of ${balloons} balloons, ${text(standing.acrossMm)} across: ${parts}`;
}
