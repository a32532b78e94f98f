import { randomUUID } from 'node:crypto';

import { EVENT_DEFAULTS, type PieceDesign, type PiecePart } from '@leggero/contract';
import { randomFrom } from '@leggero/core';
import { usualLeanDeg } from '@leggero/core/linking';
import { eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { calibrations, chains, events, models, pieces, readings } from '../db/tables';
import { isoAt } from './moment';
import { takeReadings, type PumpIds } from './fill';
import { DEMO_LINK } from './scenario';

const inch = (inches: number) => inches * 25.4;
const MINUTE_MS = 60_000;
const SEED = 20261206;

interface Fill {
  tx: Database;
  studioId: string;
  pumpIds: PumpIds;
  /** The evening they were drawn up. */
  /** ms since 1970. */
  evening: number;
}

/** Chains of five laid out on the bench, in inches: width, length. */
const MEASURED = [
  [5, 25.9],
  [5, 26.0],
] as const;

/** Colours that were drawn before their balloons were bought. */
const WHITE: PiecePart = { modelId: null, colourHex: '#ece7db', finish: 'matte' };
const ROE: PiecePart = { modelId: null, colourHex: '#e58a63', finish: 'matte' };
const LAMP_RED: PiecePart = { modelId: null, colourHex: '#b23a2e', finish: 'matte' };

/** When Tidepool Night opens: a Saturday evening. */
const OPENS = Date.UTC(2026, 11, 5, 18, 0);

/** Draws up Tidepool Night and its pieces, and the chains that were measured for it. */
export async function fillPieces(fill: Fill): Promise<void> {
  const { tx, studioId, evening } = fill;
  await fillLink(fill);
  const shelf = await tx.select().from(models).where(eq(models.studioId, studioId));
  const modelOf = (line: string, inches: number) => {
    const model = shelf.find(
      (each) => each.line === line && Math.round(each.nominalMm / 25.4) === inches && each.outerId === null,
    );
    if (!model) throw new Error(`the demo has no ${line} ${inches}`);
    return model;
  };
  const partOf = (line: string, inches: number): PiecePart => {
    const { id: modelId, colourHex, finish } = modelOf(line, inches);
    return { modelId, colourHex, finish };
  };
  const link = partOf('Ketteridge Link', 6);
  const coral = partOf(DEMO_LINK.line, 6);
  const small = partOf('Fennimore Standard', 5);
  const handle = partOf('Ketteridge Long', 2);

  await tx.insert(chains).values(
    MEASURED.map(([width, length], i) => ({
      id: randomUUID(),
      studioId,
      modelId: i === 0 ? link.modelId! : coral.modelId!,
      count: 5,
      widthMm: inch(width),
      lengthMm: inch(length),
      takenAt: isoAt(evening + i * MINUTE_MS),
    })),
  );
  const kelp = partOf('Fennimore Standard', 11);
  const tide = partOf('Tarn Satin', 11);
  const drawn: [string, PieceDesign, copies?: number][] = [
    [
      'Kelp columns',
      {
        form: 'column',
        ...{ count: 4, open: 'layers', layers: 10, heightMm: inch(72), standMm: inch(0.5), widthMm: inch(9.5) },
        ...{ topper: null, heldBy: 'pole', ceilingMm: null },
        colours: [kelp, tide],
        pattern: { kind: 'spiral', order: [0, 0, 0, 1], to: 'right', every: 4 },
        painted: [],
      },
      2,
    ],
    [
      'Lighthouse',
      {
        form: 'taper',
        ...{ count: 5, poleMm: inch(66), standMm: inch(0.5), stepMm: inch(1 / 4), ceilingMm: null },
        profile: [
          { at: 0, widthMm: inch(10) },
          { at: 0.3, widthMm: inch(8) },
          { at: 0.75, widthMm: inch(6) },
          { at: 1, widthMm: inch(6.2) },
        ],
        topper: null,
        colours: [WHITE, LAMP_RED],
        pattern: { kind: 'rings', order: [0, 0, 1], to: 'right', every: 1 },
        painted: [],
      },
    ],
    [
      'Anemone basket',
      {
        form: 'basket',
        count: 6,
        rings: 2,
        by: 'base',
        baseMm: inch(3.5),
        mouthMm: inch(6),
        leanDeg: usualLeanDeg('basket'),
        stepMm: inch(1 / 8),
        usual: coral,
        parts: { 'ring-1': link, 'ties-1': small },
        handle: { riseMm: inch(11), part: handle },
      },
    ],
    [
      'Jellyfish curtain',
      {
        form: 'curtain',
        acrossMm: inch(96),
        topMm: inch(98),
        hemMm: inch(30),
        everyMm: inch(8),
        topLine: 'arched',
        bowMm: inch(16),
        hem: 'level',
        grid: false,
        repeat: [
          { ...link, widthMm: inch(4.75) },
          { ...link, widthMm: inch(4) },
        ],
        finisher: { ...small, widthMm: inch(4) },
        ceilingMm: inch(126),
        walkedUnder: false,
        trimmed: true,
      },
    ],
    [
      'Reef swags',
      {
        form: 'swag',
        spanMm: inch(150),
        bays: 2,
        dropMm: inch(16),
        riseMm: 0,
        rows: 2,
        rowDropMm: inch(10),
        fixingsMm: inch(120),
        walkedUnder: true,
        repeat: [
          { ...link, widthMm: inch(4.75) },
          { ...coral, widthMm: inch(4.75) },
        ],
        trimmed: true,
      },
    ],
    [
      'Hoop at the entrance',
      {
        form: 'hoop',
        ...{ count: 4, hoopMm: inch(66), standMm: inch(10), stepMm: inch(1 / 4) },
        crescents: [
          {
            ...{ atDeg: 195, centreMm: inch(9.25), between: null },
            steps: [
              { widthMm: inch(8.5), left: 2, right: 2 },
              { widthMm: inch(7.75), left: 2, right: 2 },
              { widthMm: inch(6.75), left: 2, right: 2 },
              { widthMm: inch(5.5), left: 2, right: 1 },
            ],
          },
          {
            ...{ atDeg: 15, centreMm: inch(7.75), between: null },
            steps: [
              { widthMm: inch(6.75), left: 1, right: 1 },
              { widthMm: inch(5.5), left: 1, right: 1 },
            ],
          },
        ],
        foot: { clusters: 2, widthMm: inch(10) },
        sign: { wideMm: inch(22), highMm: inch(14) },
        colours: [tide, WHITE],
        pattern: { kind: 'spiral', order: [0, 0, 0, 1], to: 'right', every: 4 },
        painted: [],
      },
    ],
    [
      'Kelp garland',
      {
        form: 'garland',
        path: { kind: 'half-arch', wideMm: inch(84), highMm: inch(94), dropMm: 0 },
        kinds: [
          {
            inRow: 2,
            balloons: [
              { ...kelp, widthMm: inch(10), count: 2 },
              { ...kelp, widthMm: inch(7.5), count: 2 },
            ],
          },
          {
            inRow: 1,
            balloons: [
              { ...tide, widthMm: inch(10), count: 2 },
              { ...kelp, widthMm: inch(7.5), count: 1 },
              { ...WHITE, widthMm: inch(16), count: 1 },
            ],
          },
          {
            inRow: 2,
            balloons: [
              { ...tide, widthMm: inch(10), count: 2 },
              { ...tide, widthMm: inch(7.5), count: 2 },
            ],
          },
        ],
        ...{ clusters: 11, seed: 7, fullness: [3, 2, 1.5, 1.5, 2] },
        decorators: { ...small, widthMm: inch(3.75), count: 16, way: 'even', tied: [4, 3, 2], uneven: 0.1 },
        trimmings: [{ kind: 'leaf', count: 14, wideMm: inch(9) }],
      },
    ],
    [
      'Rope of roe',
      {
        form: 'rope',
        ...{ count: 2, open: 'height', layers: 30, heightMm: inch(72), widthMm: inch(4), joiner: handle },
        colours: [small, ROE],
        pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 1 },
        painted: [],
      },
    ],
    [
      'Bow for the ticket desk',
      {
        form: 'bow',
        ...{ count: 2, open: 'across', loop: 25, tail: 10, acrossMm: inch(54), widthMm: inch(4) },
        ...{ knotMm: inch(60), joiner: handle },
        colours: [small, WHITE],
        pattern: { kind: 'rings', order: [0, 0, 0, 1], to: 'right', every: 1 },
        painted: [],
      },
    ],
    [
      'Roe ball',
      {
        form: 'ball',
        count: 6,
        rings: 1,
        by: 'base',
        baseMm: inch(5),
        mouthMm: inch(6),
        leanDeg: 0,
        stepMm: inch(1 / 8),
        usual: coral,
        parts: { cap: small },
        handle: null,
      },
    ],
    [
      'Ring for the coral pot',
      {
        form: 'ring',
        count: 9,
        rings: [{ ...coral, widthMm: inch(4.875) }],
        thing: { diameterMm: inch(10), fit: 'around' },
      },
    ],
  ];
  const eventId = randomUUID();
  await tx.insert(events).values({
    ...EVENT_DEFAULTS,
    id: eventId,
    studioId,
    name: 'Tidepool Night',
    client: 'Tidepool Aquarium',
    place: 'Mirrow Hall, by the tide tanks',
    opensAt: isoAt(OPENS),
    daysStanding: 1,
    venueTempC: 24,
    hoursBefore: 5,
    ceilingMm: inch(126),
    doorHighMm: inch(82),
    doorWideMm: inch(60),
    notes: 'Sprinklers over the middle: keep the curtain clear of them.',
    createdAt: isoAt(evening),
    demo: true,
  });
  await tx.insert(pieces).values(
    drawn.map(([name, design, copies = 1], i) => ({
      id: randomUUID(),
      studioId,
      name,
      design,
      eventId,
      copies,
      createdAt: isoAt(evening - i * MINUTE_MS),
      demo: true,
    })),
  );
}

/** The linking balloon that the pieces are made of, calibrated. */
async function fillLink({ tx, studioId, pumpIds, evening }: Fill): Promise<void> {
  const { roundTo, calibrations: made, ...record } = DEMO_LINK;
  const modelId = randomUUID();
  await tx.insert(models).values({ ...record, id: modelId, studioId, demo: true });
  const random = randomFrom(SEED);
  for (const calibration of made) {
    const calibrationId = randomUUID();
    await tx.insert(calibrations).values({
      id: calibrationId,
      studioId,
      modelId,
      pumpId: pumpIds[calibration.pump],
      preStretched: false,
      roundedOff: false,
      startedAt: isoAt(evening),
      demo: true,
    });
    const taken = takeReadings({ nominalMm: record.nominalMm, roundTo }, calibration, random);
    await tx.insert(readings).values(
      taken.map(({ bracket: _, ...reading }, i) => ({
        ...reading,
        id: randomUUID(),
        studioId,
        calibrationId,
        takenAt: isoAt(evening + (i + 1) * MINUTE_MS),
      })),
    );
  }
}
