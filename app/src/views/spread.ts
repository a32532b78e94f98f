import { coreCheckResult, type CheckRecord, type EyeCheckRecord, type SizerRecord } from '@leggero/contract';
import { sizeSpread, type KnownSpread } from '@leggero/core';

import { checkHoleOffMm, correctedResult, holesById } from './holes';

/** How balloons came out in checks of batches, with their holes as they are now known; null while it cannot be told. */
export function spreadOfChecks(checks: readonly CheckRecord[], sizers: readonly SizerRecord[]): KnownSpread | null {
  const holes = holesById(sizers);
  const batches = checks.map(({ targetMm, toleranceMm, results, ...check }) => ({
    ...{ targetMm, toleranceMm },
    holeOffMm: checkHoleOffMm({ targetMm, toleranceMm, results, ...check }, holes),
    results: results.map((result) => coreCheckResult(correctedResult(result, holes))),
  }));
  const spread = sizeSpread(batches);
  return spread.ok ? spread.value : null;
}

/** How balloons came out that someone sized by eye; null while it cannot be told. */
export function spreadOfEye(checks: readonly EyeCheckRecord[], personId: string): KnownSpread | null {
  const sessions = checks.map(({ balloons, targetMm, mode, size, personId: first }) => ({
    ...{ targetMm, toleranceMm: 0, holeOffMm: 0 },
    results: balloons.flatMap(({ position, widthMm }) =>
      widthMm !== null && (mode !== 'two' || position < size === (first === personId))
        ? [{ kind: 'measured' as const, widthMm }]
        : [],
    ),
  }));
  const spread = sizeSpread(sessions);
  return spread.ok ? spread.value : null;
}
