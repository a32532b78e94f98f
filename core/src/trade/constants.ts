import { building } from './constants/building';
import { colour } from './constants/colour';
import { floating } from './constants/floating';
import { inflators } from './constants/inflators';
import { linking } from './constants/linking';
import { measuring } from './constants/measuring';
import { modelling } from './constants/modelling';
import { shape } from './constants/shape';
import { standing } from './constants/standing';
import { stuffing } from './constants/stuffing';
import { supplying } from './constants/supplying';
import { targets } from './constants/targets';
import type { Trade } from './trade';

/** Where a constant comes from. */
export type ConstantOrigin = 'common practice' | 'published' | 'from memory';

/** The least and the most that a number may plausibly be. */
export type PlausibleRange = readonly [least: number, most: number];

/** What a number of the trade is, and how far to trust it. */
export interface ConstantWords {
  title: string;
  unit: string;
  origin: ConstantOrigin;
  /** What it stands for, and what it decides. */
  about: string;
  range: PlausibleRange;
  /** Where it is several numbers: what is different of some of them, by their way within it ("tape", "0.fraction"). */
  parts?: Readonly<Record<string, { title?: string; unit?: string; range?: PlausibleRange }>>;
}

/** The constants by what they decide. */
export const CONSTANT_GROUPS = {
  shape,
  measuring,
  inflators,
  targets,
  standing,
  colour,
  stuffing,
  linking,
  building,
  modelling,
  floating,
  supplying,
} as const;
export type ConstantGroup = keyof typeof CONSTANT_GROUPS;

/** What each number of `TRADE` is: apart from them, since no page that only reckons needs it. */
export const CONSTANTS: Readonly<Record<keyof Trade, ConstantWords>> = {
  ...shape,
  ...measuring,
  ...inflators,
  ...targets,
  ...standing,
  ...colour,
  ...stuffing,
  ...linking,
  ...building,
  ...modelling,
  ...floating,
  ...supplying,
};
