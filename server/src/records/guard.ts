import type { ChangeOf, MakeOf, NounName, RowOf } from '@leggero/contract';

import type { Viewer } from '../person/openPages';
import type { InsertOf } from './store';
import type { Writing } from './writing';

/** A write within its transaction, and who asks for it. */
export interface Asked extends Writing {
  viewer: Viewer;
}

/** What is special to a noun: whether a row may be written, and what must be looked up for it. Each throws a problem. */
export interface Guard<N extends NounName> {
  /** Answers what is written where that is not what was given, or a row that already says it. */
  make?(asked: Asked, make: MakeOf<N>): Promise<Made<N> | void>;
  /** What is told of a row that was made before. */
  again?(asked: Asked, stored: RowOf<N>, make: MakeOf<N>): Promise<RowOf<N>>;
  change?(asked: Asked, row: RowOf<N>, by: ChangeOf<N>): Promise<void>;
  remove?(asked: Asked, row: RowOf<N>): Promise<void>;
}

export type Made<N extends NounName> = { write: InsertOf<N> } | { stored: RowOf<N> };
