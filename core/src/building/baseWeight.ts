import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { WindForce } from './kinds';
import { halfAxes } from './layer';
import type { Stack } from './stackLayers';

/** What a piece shows to the wind from the side. */
export interface SideView {
  /** m². */
  areaM2: number;
  /** How high above the floor the middle of that is, mm. */
  middleMm: number;
}

/** Slices that a stack is cut into; more change the area by less than a thousandth. */
const SLICES = 600;
const MM2_PER_M2 = 1e6;

/**
 * A stack as it is seen from the side, as if it were round: at each height as wide as its widest balloon there. What
 * wind finds between balloons is counted as if it were closed.
 *
 * `standMm`: how high above the floor its lowest point is. `figure`: what stands on top, as an upright oblong.
 */
export function sideView({
  stack: { layers, heightMm },
  standMm,
  figure = null,
}: {
  stack: Pick<Stack, 'layers' | 'heightMm'>;
  standMm: number;
  figure?: { widthMm: number; heightMm: number } | null;
}): SideView {
  const axes = layers.map(halfAxes);
  const sliceMm = heightMm / SLICES;
  let [areaMm2, momentMm3] = [0, 0];
  const take = (mm2: number, atMm: number) => {
    areaMm2 += mm2;
    momentMm3 += mm2 * atMm;
  };
  for (let i = 0; i < SLICES; i += 1) {
    const at = (i + 0.5) * sliceMm;
    let half = 0;
    for (const [j, { heightMm: middle, radiusMm }] of layers.entries()) {
      const { outMm, upMm } = axes[j]!;
      const off = (at - middle) / upMm;
      if (Math.abs(off) < 1) half = Math.max(half, radiusMm + outMm * Math.sqrt(1 - off * off));
    }
    take(2 * half * sliceMm, standMm + at);
  }
  if (figure) take(figure.widthMm * figure.heightMm, standMm + heightMm + figure.heightMm / 2);
  return { areaM2: areaMm2 / MM2_PER_M2, middleMm: areaMm2 === 0 ? standMm : momentMm3 / areaMm2 };
}

/** Rows and columns that balls are seen through; more change the area by less than a hundredth. */
const GRID = 240;

/**
 * Balls as they are seen from the front, what is behind others once: as many points of a grid as any of them covers.
 *
 * `balls`: middles to the right and above the floor, mm.
 */
export function sideOfBalls(balls: readonly { xMm: number; zMm: number; widthMm: number }[]): SideView {
  const left = Math.min(...balls.map(({ xMm, widthMm }) => xMm - widthMm / 2));
  const right = Math.max(...balls.map(({ xMm, widthMm }) => xMm + widthMm / 2));
  const low = Math.min(...balls.map(({ zMm, widthMm }) => zMm - widthMm / 2));
  const high = Math.max(...balls.map(({ zMm, widthMm }) => zMm + widthMm / 2));
  const cellMm = Math.max(right - left, high - low) / GRID;
  if (!(cellMm > 0)) return { areaM2: 0, middleMm: 0 };
  const covered = new Uint8Array(ROW * ROW);
  for (const { xMm, zMm, widthMm } of balls) {
    const half = widthMm / 2;
    for (let row = Math.floor((zMm - half - low) / cellMm); row * cellMm < zMm + half - low; row += 1) {
      const z = low + (row + 0.5) * cellMm;
      const reach = Math.sqrt(Math.max(0, half * half - (z - zMm) ** 2));
      const last = Math.ceil((xMm + reach - left) / cellMm - 0.5);
      for (let at = Math.ceil((xMm - reach - left) / cellMm - 0.5); at < last; at += 1) covered[row * ROW + at] = 1;
    }
  }
  let [cells, rows] = [0, 0];
  covered.forEach((is, cell) => {
    cells += is;
    rows += is * (Math.floor(cell / ROW) + 0.5);
  });
  return { areaM2: (cells * cellMm * cellMm) / MM2_PER_M2, middleMm: low + (rows / cells) * cellMm };
}

/** Cells from one row of the grid to the next: its edges may be counted too. */
const ROW = GRID + 2;

/** What a base must weigh, and what it follows from. */
export interface BaseWeight {
  /** Of the gusts that are reckoned with, m/s, and the pressure they have, Pa. */
  gustMs: number;
  pressurePa: number;
  /** On the whole piece, N, and about the floor, N m. */
  forceN: number;
  momentNm: number;
  kg: number;
  /** Whether it would slip before it tips. */
  slips: boolean;
  /** Of water, or of dry sand, litres. */
  waterL: number;
  sandL: number;
}

export type BaseWeightProblemCode = 'no-base';

/** The fastest mean wind of each force, m/s. Source: Beaufort scale (WMO-No. 306, code table 1100). */
const MOST_WIND_MS: Record<WindForce, number> = { 2: 3.3, 3: 5.4, 4: 7.9, 5: 10.7 };

/** kg/m³: EN 1991-1-4, 4.5. */
const AIR = 1.25;
/** m/s²: ISO 80000-3. */
const GRAVITY = 9.80665;

/**
 * How heavy a base must be so that wind neither tips a piece over its edge nor pushes it along. The wind's pressure on
 * what is seen from the side acts at its middle; the base's weight holds against it at half its width. What the piece
 * weighs by itself is left out.
 *
 * `baseMm`: across the base, the shortest way. `wind`: the strongest that it shall stand in, as fast as winds of that
 * force are at most, with gusts `windGusts` times as fast; null indoors, where `draughtMs` stands for doors and
 * passers-by.
 *
 * Problems: `no-base` (field `baseMm`).
 *
 * Source: pressure ρ v² / 2 and force c A q (EN 1991-1-4, 4.5 and 5.3); moments about an edge, any handbook of
 * mechanics.
 */
export function baseWeight({
  side: { areaM2, middleMm },
  baseMm,
  wind,
  trade = TRADE,
}: {
  side: SideView;
  baseMm: number;
  wind: WindForce | null;
  trade?: Trade | undefined;
}): Result<BaseWeight, BaseWeightProblemCode> {
  if (!(baseMm > 0 && Number.isFinite(baseMm))) return problem('no-base', { field: 'baseMm' });
  const gustMs = wind === null ? trade.draughtMs : MOST_WIND_MS[wind] * trade.windGusts;
  const pressurePa = (AIR * gustMs * gustMs) / 2;
  const forceN = trade.windForce * areaM2 * pressurePa;
  const momentNm = (forceN * middleMm) / 1000;
  const tipsKg = momentNm / (GRAVITY * (baseMm / 2000));
  const slipsKg = forceN / (GRAVITY * trade.baseGrip);
  const kg = trade.baseMargin * Math.max(tipsKg, slipsKg);
  const { sand, water } = trade.ballastDensity;
  return ok({
    ...{ gustMs, pressurePa, forceN, momentNm, kg },
    ...{ slips: slipsKg > tipsKg, waterL: kg / water, sandL: kg / sand },
  });
}
