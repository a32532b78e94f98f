import type { RowOf } from '@leggero/contract';
import type { Trade } from '@leggero/core';

import { useLengths } from '@/data/lengths';
import { readingsIn } from '@/views/knowledge';

import { furthestText } from './effectText';
import { numbersOf } from './numbersOf';
import { endTrials } from './ownNumbers';
import { useTrial, useTrialBasis } from './useTrial';

/** A larger shelf is tried for one constant at a time: all of a group would keep a device busy for minutes. */
const MOST_READINGS = 1500;

/** For constants what they move at the most, in words; none until that is known, `busy` while it is worked out. */
export function useMoves(
  rows: readonly RowOf<'constant'>[],
  trade: Trade,
  constants: readonly string[],
): { moves: ReadonlyMap<string, string>; busy: boolean } {
  const lengths = useLengths();
  const basis = useTrialBasis();
  const small = basis !== null && readingsIn(basis.models) <= MOST_READINGS;
  const groups = constants.map((name) => endTrials(rows, trade, numbersOf(name)));
  const now = rows.map(({ key, value }) => ({ key, value }));
  const found = useTrial(small ? basis : null, now, groups.flat());
  const moves = new Map<string, string>();
  if (!Array.isArray(found)) return { moves, busy: small && found === null };
  let at = 0;
  groups.forEach(({ length }, i) => {
    moves.set(constants[i]!, furthestText(found.slice(at, at + length), lengths));
    at += length;
  });
  return { moves, busy: false };
}
