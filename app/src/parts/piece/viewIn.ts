import type { ClosedDesign, DesignOf, PieceDesign } from '@leggero/contract';

import type { Material } from './material';
import { viewArch, type ArchView } from './viewArch';
import { viewClosed, viewRing, type ClosedView, type RingView } from './viewClosed';
import { viewColumn, type ColumnView } from './viewColumn';
import { viewGarland, type GarlandView } from './viewGarland';
import { viewChain, viewCurtain, viewSwag, type Hanging } from './viewHanging';
import { viewHoop, type HoopView } from './viewHoop';
import { viewPlinth, type PlinthView } from './viewPlinth';
import { viewBow, viewRope, type BowView, type RopeView } from './viewRope';
import { viewTaper, type TaperView } from './viewTaper';

interface Views {
  column: ColumnView;
  taper: TaperView;
  rope: RopeView;
  bow: BowView;
  arch: ArchView;
  plinth: PlinthView;
  hoop: HoopView;
  garland: GarlandView;
  chain: Hanging;
  swag: Hanging;
  curtain: Hanging;
  ring: RingView;
}

/** A piece worked out, told apart by its form. */
export type PieceView =
  | { [Form in keyof Views]: { form: Form; design: DesignOf<Form>; view: Views[Form] } }[keyof Views]
  | { form: 'closed'; design: ClosedDesign; view: ClosedView };

/** A piece of any form worked out; null where it cannot be. */
export function viewIn(design: PieceDesign, material: Material): PieceView | null {
  const { form } = design;
  switch (form) {
    case 'column':
      return viewed(form, design, viewColumn(design, material));
    case 'taper':
      return viewed(form, design, viewTaper(design, material));
    case 'rope':
      return viewed(form, design, viewRope(design, material));
    case 'bow':
      return viewed(form, design, viewBow(design, material));
    case 'arch':
      return viewed(form, design, viewArch(design, material));
    case 'plinth':
      return viewed(form, design, viewPlinth(design, material));
    case 'hoop':
      return viewed(form, design, viewHoop(design, material));
    case 'garland':
      return viewed(form, design, viewGarland(design, material));
    case 'chain':
      return viewed(form, design, viewChain(design, material));
    case 'swag':
      return viewed(form, design, viewSwag(design, material));
    case 'curtain':
      return viewed(form, design, viewCurtain(design, material));
    case 'ring':
      return viewed(form, design, viewRing(design, material));
    default:
      return viewed('closed', design, viewClosed(design, material));
  }
}

function viewed<Form extends string, Design, View>(
  form: Form,
  design: Design,
  found: { ok: true; value: View } | { ok: false },
): { form: Form; design: Design; view: View } | null {
  return found.ok ? { form, design, view: found.value } : null;
}
