import type { BuiltMeasure, FinishedGarland, StackRecord } from '@leggero/contract';

import { boxOf } from './boxOf';
import { wholeGarland } from './garlandPlan';
import type { Material } from './material';
import { measuredLayers } from './measuredLayers';
import { pieceLength } from './pieceLength';
import { tiedAlong } from './softness';
import type { PieceView } from './viewIn';

/** What of a piece is measured once it is up, how large it is drawn, and what is learned from how large it came out. */
export interface DrawnMeasure {
  measure: BuiltMeasure;
  drawnMm: number;
  /** Layers from the lowest up, or clusters along a garland; null of what no law of the studio follows from. */
  teaches: { layers: StackRecord['layers'] } | { tied: Pick<FinishedGarland, 'kinds' | 'clusters'> } | null;
}

/** Fewer layers, or clusters, say nothing of how they pack. */
const LEAST = 2;

/** What of a piece is measured once it is up. A stack's height is that of its layers alone, as its packing is learned. */
export function drawnMeasures(found: PieceView, material: Material): DrawnMeasure[] {
  const { form } = found;
  switch (form) {
    case 'column':
    case 'taper': {
      const { stack } = form === 'column' ? found.view.plan : found.view;
      const layers = measuredLayers(stack, found.design.topper?.kind === 'balloon');
      const { highMm } = boxOf(found.view.balloons.filter(({ layer }) => layer < layers.length));
      return layers.length < LEAST ? [] : [{ measure: 'high', drawnMm: highMm, teaches: { layers } }];
    }
    case 'garland': {
      const { alongMm } = pieceLength(found)!;
      const design = wholeGarland(found.design);
      // In a strip holes say where balloons are.
      const teaches = design.strip || found.view.clusters.length < LEAST ? null : { tied: tiedAlong(design, material) };
      return alongMm > 0 ? [{ measure: 'along', drawnMm: alongMm, teaches }] : [];
    }
    case 'rope':
    case 'chain':
      return [plain('along', pieceLength(found)!.alongMm)];
    case 'swag':
      return [plain('wide', found.design.spanMm)];
    case 'curtain':
      return [plain('wide', found.design.acrossMm)];
    case 'ring':
      return across(found.view.spheres);
    case 'closed': {
      const both = across(found.view.spheres);
      // Its height is its handle's, which is bent by hand.
      return found.design.handle ? both.filter(({ measure }) => measure === 'wide') : both;
    }
    default:
      return across(found.view.balloons);
  }
}

const plain = (measure: BuiltMeasure, drawnMm: number): DrawnMeasure => ({ measure, drawnMm, teaches: null });

function across(balloons: Parameters<typeof boxOf>[0]): DrawnMeasure[] {
  const { wideMm, highMm } = boxOf(balloons);
  return [plain('wide', wideMm), plain('high', highMm)];
}
