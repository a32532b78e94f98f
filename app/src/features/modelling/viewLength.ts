import { lengthReading, type ModelDetail, type PumpRecord } from '@leggero/contract';
import { poolInflator, type Result } from '@leggero/core';
import {
  estimateLength,
  fitLength,
  type LengthLaw,
  type LengthProblemCode,
  type ModellingSize,
} from '@leggero/core/modelling';

import type { Knowledge } from '@/views/knowledge';

/** How this balloon's length follows from the dose of one pump. */
export interface LengthView {
  pump: PumpRecord;
  /** The calibration with this pump, where there is one. */
  calibration: ModelDetail['calibrations'][number] | null;
  law: Result<LengthLaw, LengthProblemCode>;
}

/** The law of a modelling balloon with a pump: from its readings, or from what the pump is known to move. */
export function viewLength(
  model: ModelDetail,
  size: ModellingSize,
  pump: PumpRecord,
  { shelf, trade }: Knowledge,
): LengthView {
  const calibration = model.calibrations.find(({ pumpId }) => pumpId === pump.id) ?? null;
  const readings = calibration?.readings.map(lengthReading) ?? [];
  if (readings.length > 0) return { pump, calibration, law: fitLength({ size, readings }) };
  const known = shelf.inflators.get(pump.id) ?? poolInflator({ inflator: { kind: pump.kind }, fits: [], trade });
  const usual = pump.kind === 'hand' ? trade.strokeVolumeL : 0;
  const doseVolumeL = known?.doseVolumeL ?? pump.doseVolumeL ?? usual;
  return { pump, calibration, law: estimateLength({ size, doseVolumeL }) };
}
