import type { Given, ScheduleProblemCode, StepKind } from '@leggero/core/schedule';

import { minutesText } from './lasting';
import { counted } from './trade';

const STEP_WORDS: Record<StepKind, string> = {
  buy: 'Buy what is missing',
  stuff: 'Stuff',
  inflate: 'Inflate',
  tie: 'Tie',
  build: 'Build',
  check: 'Measure in the morning',
  load: 'Bag and load',
  travel: 'Travel there',
  up: 'Put up',
  down: 'Take down',
  back: 'Travel back',
};

/** "Inflate", "Build: Kelp columns". */
export function stepText({ kind, piece }: { kind: StepKind; piece: string | null }, nameOf: (piece: string) => string) {
  return piece === null ? STEP_WORDS[kind] : `${STEP_WORDS[kind]}: ${nameOf(piece)}`;
}

/** "Inflate", "Build 11 pieces", "Build: Kelp columns". */
export function groupText(
  { kind, steps }: { kind: StepKind; steps: readonly { piece: string | null }[] },
  nameOf: (piece: string) => string,
): string {
  return steps.length === 1
    ? stepText({ kind, piece: steps[0]!.piece }, nameOf)
    : `${STEP_WORDS[kind]} ${counted(steps.length, 'piece')}`;
}

const MINUTE_MS = 60_000;

/** "3 days 4 h", "5 h", "40 min". */
export function spanText(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / MINUTE_MS));
  if (minutes < 1) return 'under a minute';
  if (minutes < 48 * 60) return minutesText(minutes < 120 ? minutes : 5 * Math.round(minutes / 5));
  const hours = Math.round(minutes / 60);
  const rest = hours % 24;
  return `${counted(Math.floor(hours / 24), 'day')}${rest === 0 ? '' : ` ${rest} h`}`;
}

/** By how many at what: "3 people", "2 at stations"; empty where nobody has to be there. */
export function handsText({ people, stations }: { people: number; stations: number }): string {
  if (people === 0) return 'by itself';
  return stations > 0 ? `${stations} at stations` : counted(people, 'person', 'people');
}

/** Whether a step sets the pace, or how much more it has to spare than what does. */
export function airText(floatMs: number, { critical, leastMs }: { critical: boolean; leastMs: number }): string {
  if (floatMs < 0) return `${spanText(-floatMs)} too late`;
  return critical ? 'sets the pace' : `${spanText(floatMs - leastMs)} more to spare`;
}

/** What would have to give, as advice. */
export function giveText({ give }: Given, nameOf: (piece: string) => string): string {
  switch (give.kind) {
    case 'wrap-twice':
      return 'Wrap each neck twice';
    case 'faster-delivery':
      return 'Have it delivered the next day';
    case 'longer-days':
      return 'Work until 22:00';
    case 'stations':
      return `Inflate at ${counted(give.count, 'station')}`;
    case 'people':
      return `Have ${counted(give.count, 'person', 'people')}, each with a station`;
    case 'no-spare-time':
      return 'Keep no time in hand before the opening';
    case 'by-eye':
      return 'Inflate by eye';
    case 'leave-out':
      return `Leave out: ${nameOf(give.piece)}`;
    case 'later':
      return `Open ${spanText(give.byMs)} later`;
  }
}

/** How it stands once something gave. */
export const leftText = (lateMs: number): string =>
  lateMs === 0 ? 'then it can be kept' : `then ${spanText(lateMs)} are missing still`;

/** Why no schedule can be made. */
export const SCHEDULE_PROBLEMS: Record<ScheduleProblemCode, string> = {
  nobody: 'With nobody at work nothing is made: say how many people there are.',
  'no-station': 'Without a station nothing is inflated: say how many there are.',
  'no-hours': 'The hours of work end before all is done: let a day end later than it begins, or add people.',
  'bad-length': 'A step has no length that can be planned.',
  'unknown-step': 'A step waits for one that is not there.',
  circle: 'Steps wait for one another.',
  'too-many': 'A step holds more people than there are.',
};

/** What an opening that lies behind, or is not set, means. */
export const NO_DAY = 'Say when the event opens, and its schedule follows from that.';

/** A plan knows no minutes: begun a little sooner nothing is late. */
const TOLD_MS = 5 * MINUTE_MS;
export const toldMs = (ms: number): number => Math.floor(ms / TOLD_MS) * TOLD_MS;

/** "09:00", by the clock of a place, in steps of five minutes. */
export function clockText(ms: number, timeZone: string | null): string {
  return new Date(toldMs(ms)).toLocaleTimeString(undefined, {
    ...{ hour: '2-digit', minute: '2-digit' },
    ...(timeZone === null ? {} : { timeZone }),
  });
}

/** What follows where a step takes longer. */
export function slipText(
  { moved, lateMs }: { moved: readonly { id: string; byMs: number }[]; lateMs: number },
  nameOf: (id: string) => string,
): string {
  if (lateMs > 0) return `The opening is ${spanText(lateMs)} late.`;
  if (moved.length === 0) return 'Nothing else moves.';
  const last = moved.at(-1)!;
  const verb = moved.length === 1 ? 'moves' : 'move';
  const by = `the last by ${spanText(last.byMs)} (${nameOf(last.id)})`;
  return `${counted(moved.length, 'step')} ${verb}, ${by}. The opening is kept.`;
}

/** "20 h ahead" against what targets reckon with; null where they agree. */
export function aheadText(aheadH: number | null, hoursBefore: number): string | null {
  if (aheadH === null || Math.abs(aheadH - hoursBefore) < 1) return null;
  return (
    `The first balloon is filled ${Math.round(aheadH)} h before the opening; its targets reckon with ` +
    `${counted(hoursBefore, 'hour')}.`
  );
}
