import { fitCalibration, STANDARD_TIERS, type CalibrationFit, type Skin } from '@leggero/core';
import { stuffingSheet } from '@leggero/core/stuffing';

import { DESKTOP, type Bench } from './bench';
import { median, timed } from './figure';
import { redrawsOf, tap } from './page';

const ROUNDS = 15;
const PAIRINGS = 200;
const FRAME_MS = 1000 / 60;
const inch = (inches: number) => inches * 25.4;

/** A calibrated balloon of a nominal. */
function skinOf(nominal: number): Skin {
  const nominalMm = inch(nominal);
  const litres = (Math.PI / 6) * (0.9 * nominalMm) ** 3 * 1e-6;
  const readings = [2, 4, 5, 6, 7, 8].map((dose) => ({
    dose,
    widthMm: Math.cbrt((6e6 * litres * dose) / (8 * Math.PI)),
    heightMm: Math.cbrt((6e6 * litres * dose) / (8 * Math.PI)) * (0.98 + 0.012 * dose),
    outcome: 'ok' as const,
  }));
  const fit = fitCalibration({ nominalMm, readings });
  return { nominalMm, kind: 'round', finish: 'matte', fit: fit.ok ? fit.value : null, estimate: null };
}

/** Target sheets, five tiers each, of 200 pairings, every other one with a calibration of its own. */
export function measurePairings({ report, rounds }: Bench): void {
  const skins = [5, 6, 7, 9, 10, 11, 12, 16, 17, 18].map(skinOf);
  const pairs = Array.from({ length: PAIRINGS }, (_, i) => {
    const outer = skins[i % skins.length]!;
    const inner = skins[Math.floor(i / 7) % ((i % skins.length) + 1)]!;
    const fit: CalibrationFit | null = i % 2 === 0 ? outer.fit : null;
    return { outer, inner, fit };
  });
  const sheets = () => {
    let worked = 0;
    for (const pair of pairs) {
      const sheet = stuffingSheet({ ...pair, tiers: STANDARD_TIERS, step: inch(1 / 8) });
      worked += sheet.ok ? sheet.value.length : 0;
    }
    if (worked !== PAIRINGS * STANDARD_TIERS.length) throw new Error('a pairing gave no target');
  };
  sheets();
  const times = Array.from({ length: rounds(ROUNDS) }, () => timed(sheets));
  report({
    what: `target sheets for ${PAIRINGS} pairings`,
    ours: median(times),
    yardstick: 'the time they may take',
    theirs: 50,
    unit: 'ms',
    most: 1,
  });
}

/** From the tap on another tier to the pressure chart of 500 points drawn anew (layout done), on a desktop profile. */
export async function measurePressure(bench: Bench): Promise<void> {
  const { url } = await bench.world();
  const page = await bench.open(`${url}/shelf/pair`, DESKTOP);
  await page.waitForSelector('[aria-label^="Pressure while filling"] svg path');
  const redraws = await redrawsOf(page, {
    on: 'click',
    drawing: '[aria-label^="Pressure while filling"]',
    rounds: bench.rounds(ROUNDS),
    pauseMs: 300,
    act: (round) => tap(page, 'radio', round % 2 === 0 ? 'Bud' : 'Soft'),
  });
  const line = { yardstick: 'one frame', theirs: FRAME_MS, unit: 'ms', most: 1 };
  bench.report({
    what: `the pressure chart at another tier, from the tap to the drawing (median of ${redraws.length})`,
    ours: median(redraws),
    ...line,
  });
  bench.report({ what: 'the slowest of them', ours: Math.max(...redraws), ...line });
}
