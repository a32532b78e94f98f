import {
  assumedOpacities,
  chooseNominal,
  defaultHoldRate,
  doseForWidth,
  estimateFor,
  expectShape,
  fitHold,
  holeOn,
  KINDS_OF_WORK,
  knowShelf,
  learnOpacities,
  learnSqueeze,
  nightLossMm,
  predictWidth,
  resolveTarget,
  shapeOf,
  shineOf,
  STANDARD_TIERS,
  STEP_MM,
  stretchedColour,
  workToleranceMm,
  type CalibrationFit,
  type Finish,
  type Inflator,
  type Reading,
  type ShelfBalloon,
  type ShelfCalibration,
  type Trade,
} from '../src';
import {
  baseWeight,
  coverBoard,
  fitTaper,
  learnPacking,
  ropeJoiner,
  simulatePiece,
  solveColumn,
  spreadAllowed,
  spreadBy,
} from '../src/building';
import { garlandSupplies, hungOn, learnGarland, packGarland } from '../src/garland';
import { nextReading, substitute } from '../src/calibration/calibrating';
import { judgeEye } from '../src/consistency/eye';
import { printShift, shineAdvice } from '../src/finish';
import { foilHeadroom } from '../src/foil';
import { foilMassG, helium, latexMassG } from '../src/helium';
import { alikeSizes, basket, closingOf, closingTolerance, curtain, jointFor, standingAcross } from '../src/linking';
import { joinersFor, sprayOf, tailFor, wrapPole } from '../src/modelling';
import { partedPair, skinStuffing, sphereInClear } from '../src/stuffing';
import { stuffedCurve } from '../src/stuffing/pair';
import { closesMs, eventSchedule } from '../src/schedule';
import { bagsFor, hoursFor, inCarryBag, lossLaw } from '../src/supply';
import { stuffedColour } from '../src/colour';
import { inch } from './results';

/*
 * What the core works out of one small studio, from one end to the other. Whatever of the trade's numbers acts anywhere
 * acts on something here.
 */

const FINISHES: readonly Finish[] = ['matte', 'pearl', 'mirror', 'clear'];
const PUMPS = new Map<string, Inflator>([
  ['hand', { kind: 'hand' }],
  ['timed', { kind: 'timed' }],
  ['twin', { kind: 'twin' }],
  ['new', { kind: 'hand', doseVolumeL: 0.5 }],
]);

/** A balloon that lengthens past six tenths of nominal, by strokes of which 0.2 are lost; some scatter in it. */
function filled(nominalMm: number, inflatorId: string, more: (i: number) => Partial<Reading>): ShelfCalibration {
  const readings = Array.from({ length: 8 }, (_, i): Reading => {
    const widthMm = nominalMm * (0.4 + 0.075 * i) + [0.6, -0.9, 0.3, 1.1, -0.4, -1.2, 0.8, 0.1][i]!;
    const dose =
      0.2 + ((Math.PI / 6) * widthMm ** 3) / 1e6 / 0.5 + [0.02, -0.05, 0.04, 0, -0.03, 0.06, -0.02, 0.03][i]!;
    return { dose: Math.round(100 * dose) / 100, widthMm, outcome: 'ok', balloon: 1 + (i % 3), ...more(i) };
  });
  return { id: `${inflatorId} ${nominalMm}`, inflatorId, readings };
}

const SHAPES = ['round', 'round', 'round', 'round', 'oval', 'oval', 'pear', 'pear'] as const;
const DAYS = [0, 1, 3, 7, 21];
const WAYS = ['tape', 'caliper', 'hole', 'reference'] as const;

const balloon = (id: string, line: string, nominalMm: number, calibrations: ShelfCalibration[]): ShelfBalloon => ({
  ...{ id, line, kind: 'round', nominalMm, stuffed: false },
  calibrations,
});
const long = (nominalMm: number, growth: number) => (i: number) => {
  const share = 0.4 + 0.075 * i;
  return { heightMm: nominalMm * share * (1 + growth * Math.max(0, share - 0.6)) + [0.5, -0.4, 0.9][i % 3]! };
};
const BALLOONS: readonly ShelfBalloon[] = [
  balloon('tall', 'Kelp', inch(11), [
    filled(inch(11), 'hand', (i) => ({ ...long(inch(11), 0.5)(i), way: WAYS[i % 4] })),
  ]),
  balloon('answered', 'Kelp', inch(9), [
    filled(inch(9), 'timed', (i) => ({ shape: SHAPES[i]!, ...(i === 6 ? { outcome: 'hard' } : {}) })),
  ]),
  balloon('other', 'Reef', inch(11), [filled(inch(11), 'hand', long(inch(11), 0.3))]),
  balloon('brackets', 'Reef', inch(5), [
    filled(inch(5), 'twin', (i) => ({
      nozzle: i % 2 ? 'left' : 'right',
      ...(i === 3 ? { widthMm: undefined, bracket: { stopsMm: 78, passesMm: 84 } } : {}),
      ...(i === 7 ? { outcome: 'burst' } : {}),
    })),
  ]),
  balloon('slip', 'Moon', inch(16), [
    filled(inch(16), 'hand', (i) => ({ shape: SHAPES[i]!, ...(i === 2 ? { widthMm: inch(16) * 0.65 } : {}) })),
  ]),
  balloon('one', 'Roe', inch(7), [
    { id: 'once', inflatorId: 'new', readings: [{ dose: 3, widthMm: 130, outcome: 'ok' }] },
  ]),
];

/** What is made of readings: fits, what they teach, targets, pairs. */
export function panoramaOfShelf(trade: Trade): Record<string, unknown> {
  const shelf = knowShelf({ balloons: BALLOONS, inflators: PUMPS, trade });
  const fits = [...shelf.outcomes.values()].flatMap(({ fit }) => fit ?? []);
  const [tall, answered, , , slip] = fits;
  const [round, oval] = [1.03, 1.1].map((aspect) => ({
    ...tall!,
    shape: { ...tall!.shape, knots: [{ widthMm: inch(11), aspect, sd: 0.005 }] },
  })) as [CalibrationFit, CalibrationFit];
  const unknown = balloon('unknown', 'Kelp', inch(12), []);
  const strange = balloon('strange', 'Anemone', inch(8), []);
  const usual = expectShape({ nominalMm: inch(8), siblings: [], trade });
  const estimates = [unknown, strange].flatMap((each) =>
    [...PUMPS].map(([inflatorId, inflator]) => estimateFor({ balloon: each, inflatorId, inflator, shelf, trade })),
  );
  const targets = [...fits, null].flatMap((fit, i) =>
    STANDARD_TIERS.flatMap((tier) =>
      FINISHES.slice(i % 3, 1 + (i % 3)).flatMap((finish) =>
        DAYS.map((daysStanding) => {
          const nominalMm = fit?.nominalMm ?? inch(11);
          return resolveTarget({ nominalMm, finish, tier, fit, daysStanding, step: STEP_MM.eighthInch, trade });
        }),
      ),
    ),
  );
  const skin = { nominalMm: inch(11), kind: 'round', finish: 'mirror', fit: tall!, estimate: null } as const;
  const inner = { ...skin, nominalMm: inch(9), finish: 'matte', fit: answered! } as const;
  const rates = ([1, 2] as const).flatMap((wraps) => [
    defaultHoldRate({ wraps, stuffed: false }, trade),
    defaultHoldRate({ wraps, stuffed: true }, trade),
  ]);
  return {
    shelf: [shelf.errors, shelf.answers, shelf.margins, [...shelf.inflators]].map(plain),
    fits,
    estimates,
    usual,
    predictions: fits.flatMap((fit) =>
      [0.3, 0.9, 1.3].map((share) => predictWidth({ fit, dose: share * fit.highestDose })),
    ),
    doses: fits.map((fit) => doseForWidth({ fit, widthMm: 0.97 * fit.nominalMm })),
    next: [
      ...fits.slice(0, 2).map((fit) => nextReading({ fit, tiers: STANDARD_TIERS, trade })),
      ...[...PUMPS.values()].map((inflator) =>
        nextReading({ fit: null, tiers: [], first: { nominalMm: inch(24), inflator, curve: null }, trade }),
      ),
    ],
    targets,
    nominals: [30, 90, 140, 200, 258, 300].map((widthMm) =>
      chooseNominal({
        ...{ widthMm, daysStanding: 3, trade },
        models: FINISHES.map((finish, i) => ({
          nominalMm: inch([5, 9, 11, 16][i]!),
          finish,
          roundLimit: tall!.shape.roundLimit,
        })),
      }),
    ),
    standIns: [inch(3), inch(7), inch(10.4)].flatMap((widthMm) => [
      substitute({
        from: { nominalMm: inch(11), finish: 'mirror', fit: tall!, curve: tall!, hold: rates[0]!, filled: 8, burst: 0 },
        to: { nominalMm: inch(16), finish: 'mirror', fit: slip!, curve: slip!, hold: rates[1]!, filled: 8, burst: 2 },
        ...{ widthMm, trade },
      }),
      substitute({
        from: { nominalMm: inch(11), finish: 'pearl', fit: round, curve: round, hold: rates[0]!, filled: 8, burst: 0 },
        to: { nominalMm: inch(11), finish: 'pearl', fit: oval, curve: oval, hold: rates[0]!, filled: 8, burst: 0 },
        ...{ widthMm, trade },
      }),
    ]),
    stuffing: [
      ...STANDARD_TIERS.map((tier) => skinStuffing({ outer: skin, inner, tier, step: STEP_MM.eighthInch, trade })),
      stuffedCurve({ outer: tall!, trade }),
      partedPair({ points: 20, trade }),
      sphereInClear({ latexNominalMm: inch(18), sphereMm: inch(15), trade }),
      sphereInClear({ latexNominalMm: inch(18), sphereMm: inch(30), trade }),
    ],
  };
}

const LINE = { lengthMm: 1000, read: (alongMm: number, out: Float64Array) => out.set([alongMm, 0, 0, 1, 0, 0]) };

/** What is made without any. */
export function panoramaBeside(trade: Trade): Record<string, unknown> {
  const long260 = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
  const long360 = { code: '360', widthMm: inch(3), lengthMm: inch(60) };
  const made = basket({ spokes: 6, baseMm: inch(3.5), rings: 2, stepMm: STEP_MM.quarterInch, trade });
  const hold = fitHold({
    tests: [
      {
        wraps: 1,
        stuffed: false,
        readings: [
          { hours: 0, widthMm: 240 },
          { hours: 12, widthMm: 236 },
        ],
      },
    ],
    ...{ closing: { wraps: 1, stuffed: false }, trade },
  });
  const rates = ([1, 2] as const).flatMap((wraps) => [
    defaultHoldRate({ wraps, stuffed: false }, trade),
    defaultHoldRate({ wraps, stuffed: true }, trade),
  ]);
  const quads = Array.from({ length: 8 }, () => ({ count: 4, widthMm: inch(10) }));
  const two = { layers: quads.slice(0, 2), fixedMm: 0 };
  const built = { trials: 200, seed: 1, trade };
  const column = { count: 4, open: 'height', layers: 8, widthMm: inch(10), heightMm: 0, standMm: 12 } as const;
  return {
    garland: packGarland({
      clusters: Array.from({ length: 3 }, () => [{ nominalMm: inch(11), widthMm: inch(9), count: 4 }]),
      ...{ line: LINE, seed: 1, trade },
    }),
    learned: learnGarland({
      garlands: [
        {
          clusters: Array.from({ length: 2 }, () => [{ nominalMm: inch(11), widthMm: inch(9), count: 4 }]),
          lengthMm: inch(25),
        },
      ],
      trade,
    }),
    supplies: garlandSupplies({
      ...{ by: 'line', clusters: [], strip: true, over: 3, fixings: 2, hollows: 5, trade },
      size: { code: '260', widthMm: inch(2), lengthMm: inch(60) },
    }),
    hung: hungOn({ line: LINE, count: 3, kg: 1, trade }),
    building: [
      // One tips, one slips.
      baseWeight({ side: { areaM2: 1, middleMm: 1500 }, baseMm: 300, wind: 3, trade }),
      baseWeight({ side: { areaM2: 1, middleMm: 300 }, baseMm: 900, wind: null, trade }),
      ...(['pole', 'line'] as const).map((heldBy) =>
        simulatePiece({ piece: { ...two, heldBy }, spread: spreadBy('checked', { own: {}, trade }), ...built }),
      ),
      spreadBy('eye', { own: {}, trade }),
      coverBoard({ acrossMm: inch(14), trade }),
      ropeJoiner({ lengthMm: inch(73), joinerMm: inch(60), trade }),
      spreadAllowed({ piece: { layers: [{ count: 1, widthMm: inch(10) }], heldBy: 'pole', fixedMm: 0 }, ...built }),
      learnPacking({ stacks: [{ layers: quads, heightMm: inch(63) }], trade }),
      solveColumn({
        column: { ...column, topper: { kind: 'figure', heightMm: inch(18) } },
        stepMm: inch(1 / 4),
        trade,
      }),
      fitTaper({
        ...{ count: 5, heightMm: inch(60), stepMm: inch(1 / 2), trade },
        profile: [
          { at: 0, widthMm: inch(4) },
          { at: 1, widthMm: inch(9) },
        ],
      }),
    ],
    shapes: [1, 1.04, 1.07, 1.11, 1.15, 1.2, 1.3].map((aspect) =>
      shapeOf({ widthMm: 200, heightMm: 200 * aspect, trade }),
    ),
    work: KINDS_OF_WORK.map((work) => workToleranceMm({ work, nominalMm: inch(9), trade })),
    eye: judgeEye({ targetMm: 230, nominalMm: inch(11), widthsMm: [226, 231, 234, 229, 232, 238, 225, 230], trade }),
    hold: [hold, rates, rates.map((rate) => nightLossMm({ rate, nominalMm: inch(11), trade }))],
    holes: [
      holeOn({ labelledMm: 229, measurements: [] }, Infinity, trade),
      ...(['caliper', 'tape', 'bar'] as const).map((way) =>
        holeOn({ labelledMm: 229, measurements: [{ acrossMm: 230, downMm: 231, way, day: 1 }] }, Infinity, trade),
      ),
      learnSqueeze(
        [
          { holeMm: 229, widthMm: 231, nominalMm: 279 },
          { holeMm: 127, widthMm: 131, nominalMm: 279 },
        ],
        trade,
      ),
    ],
    colour: FINISHES.flatMap((finish) =>
      [0.3, 0.55, 0.75, 0.95, 1.2].map((fraction) => ({
        drawn: stretchedColour({ colourHex: '#c8643c', finish, fraction }, trade),
        shine: shineOf({ finish, fraction }, trade),
        stuffed: stuffedColour({
          outer: { colourHex: '#e8d8c0', finish, fraction },
          inner: { colourHex: '#2c5f74', finish: 'matte', fraction: 0.9 },
          trade,
        }),
      })),
    ),
    hiding: [
      assumedOpacities(trade),
      learnOpacities(
        [
          {
            outer: { colourHex: '#e8d8c0', finish: 'matte', fraction: 0.85 },
            inner: { colourHex: '#2c5f74', finish: 'matte', fraction: 0.9 },
            seenHex: '#c8b8a8',
          },
        ],
        trade,
      ),
    ],
    alike: ['#e8d8c0', '#e9d9c2', '#ecdcc4', '#d8c8b0'].map((colourHex) =>
      stuffedColour({
        outer: { colourHex: '#e8d8c0', finish: 'matte', fraction: 0.85 },
        inner: { colourHex, finish: 'matte', fraction: 0.85 },
        trade,
      }),
    ),
    finish: [
      printShift({ widthMm: 240, heightMm: 260, trade }),
      [0.5, 0.61, 0.63, 0.8].map((share) => shineAdvice({ nominalMm: inch(11), widthMm: share * inch(11), trade })),
    ],
    linking: [
      made,
      made.ok ? closingTolerance({ closing: closingOf(made.value.snapped), trade }) : null,
      made.ok ? standingAcross(made.value.exact, trade) : null,
      jointFor({ nominalMm: inch(6), chains: [], trade }),
      jointFor({ nominalMm: inch(6), chains: [{ count: 5, widthMm: 127, lengthMm: 660 }], trade }),
      alikeSizes(
        [88, 90, 95, 99, 105, 118, 140].map((widthMm) => ({ key: String(widthMm), widthMm })),
        trade,
      ),
      [1950, 2150, 2300, 3000].map((hemMm) =>
        curtain({
          ...{ acrossMm: 2000, topMm: 3400, hemMm, everyMm: 200, widthMm: 120, jointMm: 4, topLine: 'level' },
          ...{ bowMm: 0, hem: 'level', grid: false, walkedUnder: true, trade },
        }),
      ),
      [2000, 5000, 20000].map((acrossMm) =>
        curtain({
          ...{ acrossMm, topMm: 2600, hemMm: 200, everyMm: 130, widthMm: 120, jointMm: 4, topLine: 'level' },
          ...{ bowMm: 0, hem: 'level', grid: false, walkedUnder: false, trade },
        }),
      ),
    ],
    modelling: [
      tailFor({ size: long260, twists: 6, trade }),
      joinersFor({ size: long260, clusters: 12, way: 'loop', halved: false, trade }),
      wrapPole({ size: long260, diameterMm: 25, lengthMm: 1500, overlap: 0.3, trade }),
      ...[long260, long360].flatMap((size) => [5, 60].map((count) => sprayOf({ size, count, trade }))),
    ],
    floating: [
      foilHeadroom({ from: { tempC: 18, altitudeM: 0 }, to: { tempC: 30, altitudeM: 0 }, trade }),
      helium({ volumeL: 20, balloonMassG: 4, tempC: 21, pressureKPa: 101, trade }),
      latexMassG({ nominalMm: inch(16), trade }),
      foilMassG({ areaMm2: 250_000, trade }),
    ],
    supplying: [
      lossLaw({ own: { build: { used: 40, lost: 2 } }, trade }),
      bagsFor({ lacks: 70, of: null, trade }),
      inCarryBag({ widthMm: inch(10), trade }),
      [true, false].map((sized) =>
        hoursFor({
          counts: { balloons: 96, stuffed: 12, knots: 48, clusters: 24, pieces: 2 },
          ...{ sized, people: 2, stations: 1, trade },
        }),
      ),
    ],
    scheduling: [
      ...([1, 2] as const).map((wraps) =>
        eventSchedule(
          {
            pieces: [{ id: 'a', balloons: 400, stuffed: 12, knots: 200, clusters: 90, copies: 2 }],
            plan: { people: 2, stations: 1, sized: true, travelMs: 3.6e6, deliveryMs: 0 },
            ...{ opensMs: 12 * 3.6e6, dueMs: 11 * 3.6e6, nowMs: 0, wraps },
            hours: Array.from({ length: 40 }, (_, day) => {
              return { fromMs: ((day - 38) * 24 + 9) * 3.6e6, toMs: ((day - 38) * 24 + 19) * 3.6e6 };
            }),
          },
          trade,
        ),
      ),
      closesMs({ opensMs: 0, daysStanding: 0 }, trade),
    ],
  };
}

/** Maps are seen as what they hold. */
function plain(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value, (_, each: unknown) => (each instanceof Map ? [...each] : each)));
}
