import { widthForVolumeMm } from '../balloon';
import { airProblem } from '../environment';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** Gas constant, J/(mol K): CODATA 2018, exact. */
const GAS_CONSTANT = 8.314462618;
/** Molar masses, g/mol: dry air of the U.S. Standard Atmosphere, 1976; helium of the IUPAC table of atomic weights. */
const MOLAR_G = { air: 28.9644, helium: 4.002602 } as const;
const ZERO_C_IN_K = 273.15;

/** Density of dry air or helium, g/L (or kg/m3), by the ideal gas law: p M / (R T). */
export function gasDensity({
  gas,
  tempC,
  pressureKPa,
}: {
  gas: keyof typeof MOLAR_G;
  tempC: number;
  pressureKPa: number;
}): number {
  return (pressureKPa * MOLAR_G[gas]) / (GAS_CONSTANT * (tempC + ZERO_C_IN_K));
}

/** What a balloon of helium lifts, and what holds it. */
export interface HeliumLift {
  /** Lift of one litre, g. */
  liftPerL: number;
  /** Lift of its gas, g, and what is left over the balloon's own mass. */
  grossG: number;
  netG: number;
  /** Mass that holds it, with `TRADE.ballastMargin`, g; and as sand or water, litres. */
  ballastG: number;
  sandL: number;
  waterL: number;
}

export type HeliumProblemCode =
  | 'bad-volume'
  | 'bad-mass'
  | 'bad-temperature'
  | 'bad-pressure'
  /** It cannot lift itself; `leastL` is the smallest volume that would, `leastMm` that as a sphere's width. */
  | 'cannot-lift-itself';

/**
 * Lift of helium by Archimedes: volume x (density of air - density of helium) - mass of the balloon. The skin's own
 * overpressure, a few hundredths of the air's, is left out. An estimate: real helium is not pure, rooms are not
 * still.
 *
 * Problems: `bad-volume`, `bad-mass`, `bad-temperature` (-30 to 70 degrees Celsius), `bad-pressure` (40 to 120 kPa),
 * `cannot-lift-itself`.
 */
export function helium({
  volumeL,
  balloonMassG,
  tempC,
  pressureKPa,
  trade = TRADE,
}: {
  volumeL: number;
  balloonMassG: number;
  tempC: number;
  pressureKPa: number;
  trade?: Trade | undefined;
}): Result<HeliumLift, HeliumProblemCode> {
  if (!(volumeL > 0 && Number.isFinite(volumeL))) return problem('bad-volume', { field: 'volumeL' });
  if (!(balloonMassG >= 0 && Number.isFinite(balloonMassG))) return problem('bad-mass', { field: 'balloonMassG' });
  const thin = airProblem({ tempC, pressureKPa });
  if (thin) return thin;
  const density = (gas: keyof typeof MOLAR_G) => gasDensity({ gas, tempC, pressureKPa });
  const liftPerL = density('air') - density('helium');
  const grossG = volumeL * liftPerL;
  const netG = grossG - balloonMassG;
  if (!(netG > 0)) {
    const leastL = balloonMassG / liftPerL;
    const detail = { leastL, leastMm: widthForVolumeMm({ volumeL: leastL }), shortG: -netG };
    return problem('cannot-lift-itself', { field: 'volumeL', detail });
  }
  const ballastG = netG * trade.ballastMargin;
  const { sand, water } = trade.ballastDensity;
  return ok({
    liftPerL,
    grossG,
    netG,
    ballastG,
    sandL: ballastG / 1000 / sand,
    waterL: ballastG / 1000 / water,
  });
}

/** Mass of an empty latex balloon of a nominal, g: from memory for 11 in, others by the square of their nominal. */
export function latexMassG({ nominalMm, trade = TRADE }: { nominalMm: number; trade?: Trade | undefined }): number {
  const { g, nominalMm: of } = trade.latexMassG;
  return g * (nominalMm / of) ** 2;
}

/** Mass of a foil of two flat skins of `areaMm2` each, g: from memory. */
export function foilMassG({ areaMm2, trade = TRADE }: { areaMm2: number; trade?: Trade | undefined }): number {
  return (2 * areaMm2 * trade.foilAreaMassG) / 1e6;
}
