import type { TrimmingKind } from '@leggero/contract';
import { type DecoratorWay } from '@leggero/core';

import { counted, listed } from './trade';

type Write = (mm: number) => string;

export const DECORATOR_WAY_WORDS: Record<DecoratorWay, string> = { widest: 'Widest hollows', even: 'Evenly along it' };
/** Groups of one, two, three, four balloons. */
export const GROUP_WORDS = ['Single', 'Twos', 'Threes', 'Fours'] as const;

/** What decorators are made of: "12 decorators, 4 fours, 4 threes and 4 twos: 36 balloons, 3⅛ to 4⅞ in." */
export function groupsText(groups: readonly (readonly number[])[], text: Write): string {
  const sizes = GROUP_WORDS.flatMap((word, i) => {
    const many = groups.filter(({ length }) => length === i + 1).length;
    return many > 0 ? [`${many} ${many === 1 ? word.toLowerCase().replace(/s$/, '') : word.toLowerCase()}`] : [];
  });
  const widths = groups.flat();
  const [least, most] = [text(Math.min(...widths)), text(Math.max(...widths))];
  return (
    `${counted(groups.length, 'decorator')}, ${listed(sizes.reverse())}: ${counted(widths.length, 'balloon')}, ` +
    `${least === most ? most : `${least} to ${most}`} wide.`
  );
}

export const TRIMMING_WORDS: Record<TrimmingKind, { one: string; many: string }> = {
  flower: { one: 'flower', many: 'Flowers' },
  leaf: { one: 'leaf', many: 'Leaves' },
  sign: { one: 'sign', many: 'Signs' },
};

/** What trimmings there are, and those that no hollow is left for. */
export function trimmingsText(
  trimmings: readonly { kind: TrimmingKind; count: number }[],
  put: readonly { kind: TrimmingKind }[],
): string {
  const said = trimmings.map(({ kind, count }) => {
    const { one, many } = TRIMMING_WORDS[kind];
    return `${count} ${count === 1 ? one : many.toLowerCase()}`;
  });
  const wanted = trimmings.reduce((sum, { count }) => sum + count, 0);
  const left = wanted > put.length ? ` For ${wanted - put.length} of them no hollow is left.` : '';
  return `${listed(said)}, evenly along it.${left}`;
}

/** What the hollows of a garland take: "26 hollows take a balloon of 4 in; the widest is 4½ in." */
export function hollowsText(
  { nests, count }: { nests: number; count: number },
  { widthMm, widestMm }: { widthMm: number; widestMm: number | null },
  text: Write,
): string {
  if (widestMm === null) return 'It has no hollow that a small balloon nests in.';
  const over = count > nests ? ` ${counted(count - nests, 'more decorator')}: no hollow is left for them.` : '';
  return (
    `${counted(nests, 'hollow')} ${nests === 1 ? 'takes' : 'take'} a balloon of ${text(widthMm)}; ` +
    `the widest is ${text(widestMm)}.${over}`
  );
}
