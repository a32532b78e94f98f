import type { z } from 'zod';

import { changeSchema, makeSchema, type Change, type Make, type MakeInput } from '../noun';
import { event, finishedGarland, fixing, piece, stack } from './builds';
import { check, checkResult, run, study, studyPerson, studyWidth } from './checks';
import { eyeBalloon, eyeCheck } from './eyes';
import { hole, holeMeasurement, pump, sizer, sizing } from './gauges';
import { calibration, chain, holdReading, holdTest, model, note, reading, target } from './shelf';
import { inflation, inflationBatch, tally, turn, turnHands } from './inflation';
import { asBuilt, ownStep, photo, repair, siteTick, snag } from './site';
import { bag, loss, stockEntry } from './stock';
import { constant, person, studio, tier } from './studio';

export {
  EVENT_DEFAULTS,
  EVENT_STATES,
  MOST_EXTRA_NAME,
  MOST_EXTRAS,
  MOST_HANDS,
  PIECE_DEFAULTS,
  PLAN_DEFAULTS,
  planOf,
  MOST_DELIVERY_DAYS,
  type EventState,
  type WorkPlan,
} from './builds';
export { CHECK_DEFAULTS, MOST_IN_STUDY, RESULT_DEFAULTS } from './checks';
export { EYE_MODES, type EyeMode } from './eyes';
export { MOST_HOLES } from './gauges';
export { MOST_BATCHES, MOST_STATION } from './inflation';
export { MODEL_DEFAULTS, MOST_BALLOONS, READING_DEFAULTS } from './shelf';
export {
  BUILT_MEASURES,
  MOST_PICTURE,
  MOST_SNAG,
  MOST_STEP,
  REPAIR_CAUSES,
  type BuiltMeasure,
  type RepairCause,
} from './site';
export { MOST_BAGS, MOST_BATCH, MOST_COUNTED, MOST_SHOP } from './stock';

/** Every kind of record there is. A noun comes after those it points at. */
export const NOUNS = {
  studio,
  tier,
  constant,
  person,
  pump,
  sizer,
  hole,
  holeMeasurement,
  sizing,
  model,
  bag,
  calibration,
  reading,
  holdTest,
  holdReading,
  target,
  chain,
  note,
  stack,
  finishedGarland,
  event,
  piece,
  fixing,
  stockEntry,
  loss,
  inflation,
  inflationBatch,
  turn,
  turnHands,
  tally,
  ownStep,
  siteTick,
  snag,
  photo,
  asBuilt,
  repair,
  run,
  check,
  checkResult,
  study,
  studyPerson,
  studyWidth,
  eyeCheck,
  eyeBalloon,
} as const;

type Nouns = typeof NOUNS;
export type NounName = keyof Nouns;
export const NOUN_NAMES = Object.keys(NOUNS) as NounName[];

/** What makes a row of each noun, and what changes one, as it is checked; put together once. */
export const MAKES = Object.fromEntries(NOUN_NAMES.map((name) => [name, makeSchema(NOUNS[name])])) as unknown as {
  readonly [N in NounName]: z.ZodType<Make<Nouns[N]>, MakeInput<Nouns[N]>>;
};
export const CHANGES = Object.fromEntries(NOUN_NAMES.map((name) => [name, changeSchema(NOUNS[name])])) as unknown as {
  readonly [N in NounName]: z.ZodType<Change<Nouns[N]>, Change<Nouns[N]>>;
};

/** A row as it is kept and sent. */
export type RowOf<N extends NounName> = z.output<Nouns[N]['row']>;
export type Studio = RowOf<'studio'>;
export type FixingRecord = RowOf<'fixing'>;
export type StackRecord = RowOf<'stack'>;
export type FinishedGarland = RowOf<'finishedGarland'>;
export type BagRecord = RowOf<'bag'>;
export type StockEntryRecord = RowOf<'stockEntry'>;
export type LossRecord = RowOf<'loss'>;
export type InflationRecord = RowOf<'inflation'>;
export type InflationBatch = RowOf<'inflationBatch'>;
export type TurnRecord = RowOf<'turn'>;
export type TurnHands = RowOf<'turnHands'>;
export type TallyRecord = RowOf<'tally'>;
export type OwnStep = RowOf<'ownStep'>;
export type SiteTick = RowOf<'siteTick'>;
export type SnagRecord = RowOf<'snag'>;
export type PhotoRecord = RowOf<'photo'>;
export type AsBuiltRecord = RowOf<'asBuilt'>;
export type RepairRecord = RowOf<'repair'>;
export type EventRecord = RowOf<'event'>;
export type TierRecord = RowOf<'tier'>;
export type AcceptedTarget = RowOf<'target'>;
/** What a caller gives to make one, and the same once parsed. */
export type MakeInputOf<N extends NounName> = MakeInput<Nouns[N]>;
export type MakeOf<N extends NounName> = Make<Nouns[N]>;
/** What a caller gives to change one. */
export type ChangeOf<N extends NounName> = Change<Nouns[N]>;
