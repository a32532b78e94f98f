import type { SizingStudy, StudyProblemCode } from '@leggero/core/eye';

import { listed, percent } from './trade';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];

/** "first", "second" time. */
export function nthTime(repeat: number): string {
  return ORDINALS[repeat] ?? `${repeat + 1}th`;
}

/** Which width is missing. */
export function cellText(
  { balloon, person, repeat }: { balloon: number; person: number; repeat: number },
  people: readonly string[],
): string {
  return `${people[person] ?? 'Someone'}, ${nthTime(repeat)} time, balloon ${balloon + 1}`;
}

export const STUDY_PROBLEMS: Record<Exclude<StudyProblemCode, 'missing-cell'>, string> = {
  'too-few-balloons': 'Two balloons or more are needed.',
  'too-few-people': 'Two people or more are needed.',
  'too-few-repeats': 'Each balloon is sized twice or more by each.',
  'bad-width': 'One of the widths is no width: take it out and measure again.',
};

/** The study's answer in one or two sentences. */
export function studyText(
  study: SizingStudy,
  people: readonly string[],
  subject: string,
  fine: (mm: number) => string,
): string[] {
  const { sizing, largest, leansMm, parts } = study;
  const about = /^the /i.test(subject) ? `t${subject.slice(1)}` : subject;
  const first =
    sizing.sdMm === 0
      ? `No spread at all shows with ${about}.`
      : `Sizing adds ${fine(sizing.sdMm)} of spread (one standard deviation) with ${about}; the ` +
        `balloons themselves differ by ${fine(parts.balloons.sdMm)}.`;
  const most = sizing.share > 0 ? percent(parts[largest].share / sizing.share) : '0 %';
  const lean = leansMm
    .map((mm, i) => ({ name: people[i] ?? '', mm }))
    .sort((a, b) => Math.abs(b.mm) - Math.abs(a.mm))[0];
  const second = {
    repeatability:
      `Most of it (${most}) comes from sizing the same balloon again with the same hands: same hole, ` +
      'same rounding, same wait.',
    people:
      `Most of it (${most}) comes from how ${listed(people)} read it: ${lean?.name} reads ` +
      `${fine(Math.abs(lean?.mm ?? 0))} ${(lean?.mm ?? 0) > 0 ? 'larger' : 'smaller'} ` +
      'than the mean of all.',
    interaction:
      `Most of it (${most}) comes from how ${listed(people)} differ on some balloons and agree on ` +
      'others: look at those balloons together.',
  }[largest];
  return sizing.sdMm === 0 ? [first] : [first, second];
}

export const PART_WORDS = {
  repeatability: { title: 'Repeatability', means: 'the same hands, the same balloon, again' },
  people: { title: 'Between people', means: 'one reads larger than another throughout' },
  interaction: { title: 'People and balloons', means: 'they differ on some and agree on others' },
  balloons: { title: 'The balloons', means: 'truly different from one another' },
} as const;
