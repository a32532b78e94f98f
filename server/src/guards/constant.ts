import type { RowOf } from '@leggero/contract';
import { numberAt, tradeWith } from '@leggero/core';
import { constantValue } from '@leggero/core/constants';

import { HttpProblem } from '../http/problem';
import { CONSTANT_REFUSED } from '../http/words';
import type { Asked, Guard } from '../records/guard';
import { listAlike, numberedAmong } from '../records/numbered';
import { listRows } from '../records/store';

/** A number of the trade is plausible, and contradicts no other as the studio has them. */
export const constant: Guard<'constant'> = {
  async make(asked, make) {
    await refuseUnsuited(asked, make);
    return { write: { ...make, revision: numberedAmong('constant', make, await listAlike(asked, 'constant', make)) } };
  },
  async change(asked, row, { value }) {
    if (value !== undefined) await refuseUnsuited(asked, { ...row, value });
  },
  /** Without it the table's own number, or an earlier one, counts again. */
  async remove(asked, row) {
    const trade = tradeWith(await others(asked, row));
    const value = numberAt(trade, row.key);
    // A name that a newer version brought in may always go.
    if (value !== undefined) refuse(constantValue({ trade, key: row.key, value }));
  },
};

async function others(asked: Asked, { id }: Pick<RowOf<'constant'>, 'id'>): Promise<RowOf<'constant'>[]> {
  return (await listRows(asked, 'constant')).filter((row) => row.id !== id);
}

async function refuseUnsuited(asked: Asked, made: Pick<RowOf<'constant'>, 'id' | 'key' | 'value'>): Promise<void> {
  refuse(constantValue({ trade: tradeWith(await others(asked, made)), key: made.key, value: made.value }));
}

function refuse(checked: ReturnType<typeof constantValue>): void {
  if (checked.ok) return;
  const { code, field } = checked.problem;
  throw HttpProblem.unusable({ path: field!, message: CONSTANT_REFUSED[code] });
}
