import { NOUNS, numberAmong, type MakeOf, type Numbered, type RowOf } from '@leggero/contract';
import { and, eq } from 'drizzle-orm';

import { listRows } from './store';
import { columnOf } from './tables';
import type { Writing } from './writing';

type NumberedName = 'constant' | 'target' | 'checkResult';

/** The rows among which a new one is numbered. */
export function listAlike<N extends NumberedName>(writing: Writing, name: N, make: MakeOf<N>): Promise<RowOf<N>[]> {
  const { among } = NOUNS[name].numbered as Numbered<RowOf<N>>;
  const alike = among.map((field) => eq(columnOf(name, field), (make as RowOf<N>)[field]));
  return listRows(writing, name, and(...alike));
}

/** The number of a new row among them, as its noun has it. */
export function numberedAmong<N extends NumberedName>(name: N, make: MakeOf<N>, others: readonly RowOf<N>[]): number {
  const rule = NOUNS[name].numbered as Numbered<RowOf<N>>;
  const numberIn = (row: object) => (row as Record<string, number | undefined>)[rule.field];
  return numberAmong(rule, new Set(others.map((row) => numberIn(row)!)), numberIn(make));
}
