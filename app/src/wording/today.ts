import { counted } from './trade';

/** "never measured", "measured 7 months ago". */
export const knownText = (days: number | null): string =>
  days === null ? 'never measured' : `measured ${counted(Math.round(days / 30), 'month')} ago`;

/** "Tarn Satin 11: 28, and 2 kinds more"; what has no balloon yet is counted as that. */
export function shortText(short: readonly { name: string | null; lacks: number }[], most = 2): string {
  const named = short.filter(({ name }) => name !== null);
  const shown = named.slice(0, most).map(({ name, lacks }) => `${name}: ${lacks}`);
  const [more, unnamed] = [named.length - shown.length, short.length - named.length];
  return [
    ...shown,
    ...(more > 0 ? [`${counted(more, 'kind')} more`] : []),
    ...(unnamed > 0 ? [`${counted(unnamed, 'colour')} without a balloon`] : []),
  ].join(', ');
}

/** "64 of 96 made, 3 lost". */
export const runText = ({ done, wanted, lost }: { done: number; wanted: number; lost: number }): string =>
  `${Math.min(done, wanted)} of ${wanted} made${lost > 0 ? `, ${lost} lost` : ''}`;
