import type { ChangeOf, MakeOf, NounName, RowOf } from '@leggero/contract';

import { GUARDS } from '../guards';
import { HttpProblem } from '../http/problem';
import type { Asked, Guard } from './guard';
import { deleteRow, findRow, insertRow, readRow, updateRow, type InsertOf } from './store';

/** The outcome of making a row: a repeated make changes nothing and is told what is stored. */
export interface Outcome<Row> {
  row: Row;
  created: boolean;
}

const guardOf = <N extends NounName>(name: N) => GUARDS[name] as Guard<N> | undefined;

/** Makes a row, unless it was made before. */
export async function makeRow<N extends NounName>(
  asked: Asked,
  name: N,
  make: MakeOf<N> & { id: string },
): Promise<Outcome<RowOf<N>>> {
  const guard = guardOf(name);
  if (!guard?.make && !guard?.again) return makePlain(asked, name, make);
  const stored = await findRow(asked, name, make.id);
  if (stored) return { row: (await guard?.again?.(asked, stored, make)) ?? stored, created: false };
  const made = await guard?.make?.(asked, make);
  if (made && 'stored' in made) return { row: made.stored, created: false };
  return { row: await insertRow(asked, name, made?.write ?? (make as InsertOf<N>)), created: true };
}

/** The same of a noun that has nothing to be looked up. Most rows are new: one that is there is read when it is in the way. */
async function makePlain<N extends NounName>(
  asked: Asked,
  name: N,
  make: MakeOf<N> & { id: string },
): Promise<Outcome<RowOf<N>>> {
  try {
    return { row: await insertRow(asked, name, make as InsertOf<N>), created: true };
  } catch (error) {
    const stored = error instanceof HttpProblem && error.status === 409 ? await findRow(asked, name, make.id) : null;
    if (!stored) throw error;
    return { row: stored, created: false };
  }
}

/** Changes a row; a 404 problem when it is gone. */
export async function changeRow<N extends NounName>(
  asked: Asked,
  name: N,
  id: string,
  by: ChangeOf<N>,
): Promise<RowOf<N>> {
  const was = await readRow(asked, name, id);
  await guardOf(name)?.change?.(asked, was, by);
  return updateRow(asked, name, was, by);
}

/** Takes a row away with all that goes with it; one that is gone already is as good. */
export async function removeRow(asked: Asked, name: NounName, id: string): Promise<void> {
  const guard = guardOf(name);
  const row = guard?.remove && (await findRow(asked, name, id));
  if (row) await guard.remove?.(asked, row);
  await deleteRow(asked, name, id);
}
