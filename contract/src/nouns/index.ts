import type { z } from 'zod';

import type { Change, Make, MakeInput } from '../noun';
import { piece } from './builds';
import { check, checkResult, run, study, studyPerson, studyWidth } from './checks';
import { eyeBalloon, eyeCheck } from './eyes';
import { hole, holeMeasurement, pump, sizer, sizing } from './gauges';
import { calibration, chain, holdReading, holdTest, model, reading, target } from './shelf';
import { person, studio, tier } from './studio';

export { CHECK_DEFAULTS, RESULT_DEFAULTS } from './checks';
export { EYE_MODES, type EyeMode } from './eyes';
export { MODEL_DEFAULTS, MOST_BALLOONS, READING_DEFAULTS } from './shelf';

/** Every kind of record there is. A noun comes after those it points at. */
export const NOUNS = {
  studio,
  tier,
  person,
  pump,
  sizer,
  hole,
  holeMeasurement,
  sizing,
  model,
  calibration,
  reading,
  holdTest,
  holdReading,
  target,
  chain,
  piece,
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

/** A row as it is kept and sent. */
export type RowOf<N extends NounName> = z.output<Nouns[N]['row']>;
/** What a caller gives to make one, and the same once parsed. */
export type MakeInputOf<N extends NounName> = MakeInput<Nouns[N]>;
export type MakeOf<N extends NounName> = Make<Nouns[N]>;
/** What a caller gives to change one. */
export type ChangeOf<N extends NounName> = Change<Nouns[N]>;
