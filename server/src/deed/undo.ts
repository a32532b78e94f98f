import { NOUN_NAMES, type NounName, type RowOf } from '@leggero/contract';
import type { Deed } from '@leggero/contract/deed';
import { and, eq } from 'drizzle-orm';

import { databaseError } from '../db/connect';
import { deeds } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { removeRow } from '../records/commands';
import type { Asked } from '../records/guard';
import { findRow, insertRow, updateRow } from '../records/store';
import { moveAside } from '../sizer/store';
import { goingWith } from './going';
import { findDeed } from './store';
import { same, type Step } from './trail';

type NounStep = Step & { noun: NounName };
type Fields = Record<string, unknown>;

const CHANGED = 'It was changed since: take that back first.';
const GONE = 'What it hung on is gone by now.';

/**
 * Takes back what was done at once, all of it or nothing: what was made goes, what was taken away comes again with all
 * that went with it, and what was changed is as it was. Whatever was written since stays: where it stands in the way
 * that is a 409 problem, and so is a deed that cannot be taken back.
 */
export async function undo(asked: Asked, id: string): Promise<Deed> {
  const deed = await findDeed(asked, id);
  if (!deed) throw HttpProblem.notFound();
  if (deed.undoneBy) throw HttpProblem.conflict('It was taken back already.');
  const steps = await stepsOf(asked, id);
  if (!steps) throw HttpProblem.conflict('This cannot be taken back from here.');
  asked.trail.takesBack(id);
  try {
    for (const step of inOrder(steps.filter(({ is }) => is === null))) await putBack(asked, step);
    await changeBack(
      asked,
      steps.filter(({ was, is }) => was && is),
    );
    const made = inOrder(steps.filter(({ was }) => was === null));
    const keys = new Set(made.map(keyOf));
    for (const step of made.toReversed()) await takeAway(asked, step, keys);
  } catch (error) {
    const code = databaseError(error)?.code;
    if (code === 'ER_NO_REFERENCED_ROW_2') throw HttpProblem.conflict(GONE);
    if (code === 'ER_ROW_IS_REFERENCED_2' || code === 'ER_DUP_ENTRY') throw HttpProblem.conflict(CHANGED);
    throw error;
  }
  const { database, trail } = asked;
  await database.update(deeds).set({ undoneBy: trail.id }).where(eq(deeds.id, id));
  // What that one took back is done again.
  if (deed.undoes) await database.update(deeds).set({ undoneBy: null }).where(eq(deeds.id, deed.undoes));
  return (await findDeed(asked, id))!;
}

async function stepsOf({ database, studioId }: Asked, id: string): Promise<NounStep[] | null> {
  const [row] = await database
    .select({ kept: deeds.kept })
    .from(deeds)
    .where(and(eq(deeds.id, id), eq(deeds.studioId, studioId)));
  return row?.kept ? (JSON.parse(row.kept) as NounStep[]) : null;
}

const keyOf = ({ noun, id }: { noun: string; id: string }) => `${noun} ${id}`;

/** What others hang on first, as nouns come after those they point at. */
const inOrder = (steps: readonly NounStep[]): NounStep[] =>
  steps.toSorted((a, b) => NOUN_NAMES.indexOf(a.noun) - NOUN_NAMES.indexOf(b.noun));

async function putBack(asked: Asked, { noun, id, was }: NounStep): Promise<void> {
  if (await findRow(asked, noun, id)) throw HttpProblem.conflict(CHANGED);
  await insertRow(asked, noun, was as never);
}

async function changeBack(asked: Asked, steps: readonly NounStep[]): Promise<void> {
  const rows = new Map<string, { id: string }>();
  for (const { noun, id, is } of steps) {
    const row = await findRow(asked, noun, id);
    if (!row || !isAs(row, is!)) throw HttpProblem.conflict(CHANGED);
    rows.set(id, row);
  }
  const holes = steps.filter(({ noun }) => noun === 'hole').map(({ id }) => rows.get(id) as RowOf<'hole'>);
  if (holes.length > 1) await moveAside(asked, holes);
  for (const { noun, id, was } of steps) await updateRow(asked, noun, rows.get(id) as never, was as never);
}

async function takeAway(asked: Asked, { noun, id, is }: NounStep, made: ReadonlySet<string>): Promise<void> {
  const row = await findRow(asked, noun, id);
  if (!row || !isAs(row, is!)) throw HttpProblem.conflict(CHANGED);
  const { removed, cleared } = await goingWith(asked, noun, id);
  const others = [...removed, ...cleared].some(({ noun: of, row }) => !made.has(keyOf({ noun: of, id: row.id })));
  if (others) throw HttpProblem.conflict('Other records hang on it by now: take those away first.');
  await removeRow(asked, noun, id);
}

/** Whether a row still has the fields that a deed left. */
const isAs = (row: object, left: Fields): boolean =>
  Object.entries(left).every(([field, value]) => same((row as Fields)[field], value));
