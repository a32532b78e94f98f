import type { BatchJudgement, Tallied } from '@leggero/core';
import type { Beat, Pace, WhyCheck } from '@leggero/core/inflation';

import { minutesText } from './lasting';
import { counted, dosed, doseText, unitBeside } from './trade';

/** What a tap says, on its button and in its undo. */
export const TALLY_WORDS: Record<Tallied, { title: string; heard: string }> = {
  done: { title: 'Done', heard: 'Done' },
  popped: { title: 'Popped', heard: 'Popped' },
  pinhole: { title: 'Pinhole', heard: 'Pinhole' },
  size: { title: 'Wrong size', heard: 'Wrong size: not lost, and not done' },
  other: { title: 'Other', heard: 'Other: lost for another reason' },
};

/** Why a size is asked for now. */
export const WHY_CHECK_WORDS: Record<WhyCheck, string> = {
  start: 'The first of this batch',
  hands: 'Something changed since the last check',
  pause: 'After the pause',
  leaning: 'The last ones leaned',
  plan: 'Time to check one',
};

/** "1 h 10 min", "25 min", "under a minute". */
export function lastingText(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 1 ? 'under a minute' : minutesText(minutes);
}

/**
 * What the last checks came to, and what to do: "The last 8 lean large by ⅛ in: let out ½ stroke." From answers at a
 * hole it is not known how far they lean.
 */
export function latelyText(
  { count, meanMm, verdict, basis }: BatchJudgement,
  {
    targetMm,
    doseBy,
    timed,
    fine,
  }: { targetMm: number; doseBy: number | null; timed: boolean; fine: (mm: number) => string },
): string | null {
  const last = `The last ${count}`;
  if (verdict === 'uneven') return `${last} differ too much from one another: size each one.`;
  if (verdict === 'some-off') return `${last}: some are off. Size the next ones.`;
  if (verdict !== 'off-centre' || meanMm === null) return null;
  const large = meanMm > targetMm;
  const far = basis === 'answers' ? '' : ` by ${fine(Math.abs(meanMm - targetMm))}`;
  const lean = `${last} lean ${large ? 'large' : 'small'}${far}`;
  const then = basis === 'answers' ? ', then check again' : '';
  if (doseBy === null || doseBy === 0)
    return `${lean}: ${large ? 'let a little air out' : 'give a little more'}${then}.`;
  const dose = dosed(Math.abs(doseBy), timed ? 'timed' : 'hand');
  return `${lean}: ${doseBy < 0 ? `let out ${dose}` : `give ${dose} more`}${then}.`;
}

/** "23 of 32", with what is too many. */
export function madeText({ done, wanted }: { done: number; wanted: number }): string {
  return done > wanted ? `${wanted} of ${wanted}, ${done - wanted} over` : `${done} of ${wanted}`;
}

/** "18 s each, over 96 balloons". */
export function paceText({ eachS, balloons }: Pick<Pace, 'eachS' | 'balloons'>): string {
  return `${eachS.toFixed(0)} s each, over ${counted(balloons, 'balloon')}`;
}

/** What stands beside a dose: "strokes, then size it", or by how much it was changed at the station. */
export function doseNote(dose: number, { dose: first, timed }: { dose: number | null; timed: boolean }): string {
  const kind = timed ? 'timed' : 'hand';
  if (first === null || dose === first) return `${unitBeside(dose, kind)}, then size it`;
  return `${doseText(Math.abs(dose - first), kind)} ${dose < first ? 'less' : 'more'} than at first`;
}

/** "Count 7½ strokes". */
export const countText = (dose: number, timed: boolean): string => `Count ${dosed(dose, timed ? 'timed' : 'hand')}`;

/** What is read while a dose is counted: "ready 3", "3", "7½", "2 s". */
export function beatText({ kind, figure }: Pick<Beat, 'kind' | 'figure'>, timed: boolean): string {
  if (kind === 'ahead') return `ready ${figure}`;
  return timed ? `${figure} s` : doseText(figure, 'hand');
}

/** What is said where a batch begins: "Batch B: 9½ in, 7 strokes. 32 to make." */
export function batchSpoken({
  mark,
  width,
  dose,
  timed,
  left,
}: {
  mark: string;
  width: string;
  dose: number | null;
  timed: boolean;
  left: number;
}): string {
  const by = dose === null ? '' : `, ${dosed(dose, timed ? 'timed' : 'hand')}`;
  return `Batch ${mark}: ${width}${by}. ${left} to make.`;
}
