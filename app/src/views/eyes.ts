import type { EyeCheckRecord, RowOf, Rows } from '@leggero/contract';

import { groupsOf, listOf, withRows } from './rows';

const checks = listOf('eyeCheck');
const balloonsOf = groupsOf('eyeBalloon', 'eyeCheckId');
const withBalloons = withRows<RowOf<'eyeCheck'>, 'balloons'>('balloons');

/** Sessions by eye, newest first, each with its balloons in the order filled. */
export function eyeChecksOf(rows: Pick<Rows, 'eyeCheck' | 'eyeBalloon'>): EyeCheckRecord[] {
  const balloons = balloonsOf(rows.eyeBalloon);
  return checks(rows.eyeCheck).map((check) => withBalloons(check, balloons.of(check.id)));
}

/** Sessions as the server tells of them, as rows again. */
export function rowsOfEyeChecks(told: readonly EyeCheckRecord[]): Pick<Rows, 'eyeCheck' | 'eyeBalloon'> {
  const eyeCheck = new Map<string, RowOf<'eyeCheck'>>();
  const eyeBalloon = new Map<string, RowOf<'eyeBalloon'>>();
  for (const { balloons, ...check } of told) {
    eyeCheck.set(check.id, check);
    for (const balloon of balloons) eyeBalloon.set(balloon.id, balloon);
  }
  return { eyeCheck, eyeBalloon };
}
