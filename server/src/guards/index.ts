import type { NounName } from '@leggero/contract';

import type { Guard } from '../records/guard';
import { chain } from './chain';
import { checkResult } from './checkResult';
import { constant } from './constant';
import { eyeBalloon, eyeCheck } from './eyes';
import { hole } from './hole';
import { holdReading } from './holdReading';
import { model } from './model';
import { person } from './person';
import { piece } from './piece';
import { reading } from './reading';
import { studio } from './studio';
import { studyPerson } from './studyPerson';
import { studyWidth } from './studyWidth';
import { target } from './target';
import { tier } from './tier';
import { turnHands } from './turnHands';

/** The nouns that have something special to them. */
export const GUARDS: { readonly [N in NounName]?: Guard<N> } = {
  chain,
  checkResult,
  constant,
  eyeBalloon,
  eyeCheck,
  hole,
  holdReading,
  model,
  person,
  piece,
  reading,
  studio,
  studyPerson,
  studyWidth,
  target,
  tier,
  turnHands,
};
