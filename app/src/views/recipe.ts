import type { PumpRecord, ShelfModel } from '@leggero/contract';
import type { DoseCurve } from '@leggero/core';

import type { Knowledge } from './knowledge';
import { estimateWith } from './modelView';

/** Doses of one recipe at most. */
export const MOST_DOSES = 12;

/** Doses as people write them; null when one cannot be read. */
export function readDoses(text: string): number[] | null {
  const parts = text.split(/[,;]\s*|\s+/).filter(Boolean);
  const doses = parts.map((part) => Number(part.replace('½', '.5').replace('¼', '.25').replace('¾', '.75')));
  const usable = doses.length > 0 && doses.length <= MOST_DOSES && doses.every((dose) => dose > 0 && dose <= 200);
  return usable ? doses : null;
}

/** The balloon's curve with an inflator: its own calibration with it, or an estimate. */
export function curveWith(knowledge: Knowledge, model: ShelfModel, pump: PumpRecord): DoseCurve | null {
  const own = model.calibrations.find(({ pumpId }) => pumpId === pump.id);
  const fit = own && knowledge.shelf.outcomes.get(own.id)?.fit;
  return fit ?? estimateWith(model, pump, knowledge);
}
