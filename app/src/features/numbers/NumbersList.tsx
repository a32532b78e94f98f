import type { RowOf } from '@leggero/contract';
import { numberAt, type Trade } from '@leggero/core';
import { ADJUSTABLE, CONSTANT_GROUPS, CONSTANTS, type Adjustable, type ConstantGroup } from '@leggero/core/constants';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import type { Lengths } from '@/views/lengths';
import { PickChips } from '@/ui/PickChips';
import { Words } from '@/ui/Words';
import { aboutText, GROUP_WORDS, shortText } from '@/wording/constants';

import { NumberRow } from './NumberRow';
import { numbersOf } from './numbersOf';
import { useMoves } from './useMoves';

/** The constants of a group, or those a studio has otherwise. */
export type Shown = ConstantGroup | 'yours';

interface NumbersListProps {
  rows: readonly RowOf<'constant'>[];
  trade: Trade;
  shown: Shown;
  constant: string | null;
  onShow: (shown: Shown) => void;
}

/** The trade's numbers, group by group. */
export function NumbersList({ rows, trade, shown, constant, onShow }: NumbersListProps) {
  const lengths = useLengths();
  const yours = new Set(rows.flatMap(({ key }) => ADJUSTABLE.get(key)?.constant ?? []));
  const groups = (Object.keys(GROUP_WORDS) as ConstantGroup[]).map((value) => ({
    value,
    title: GROUP_WORDS[value].title,
  }));
  const options: { value: Shown; title: string }[] =
    yours.size > 0 ? [{ value: 'yours', title: `Yours (${yours.size})` }, ...groups] : groups;
  const names = shown === 'yours' ? [...yours] : Object.keys(CONSTANT_GROUPS[shown]);
  const { moves, busy } = useMoves(rows, trade, names);
  const figureOf = (numbers: readonly Adjustable[]) => {
    const [one] = numbers;
    if (!one || numbers.length > 1) return `${numbers.length} numbers`;
    return shortText(one, numberAt(trade, one.key)!, lengths);
  };
  return (
    <View className="gap-3">
      <PickChips label="What they decide" options={options} value={shown} onChange={onShow} />
      <Words look="quiet">
        {shown === 'yours' ? 'What this studio has otherwise than the table' : GROUP_WORDS[shown].decides}.
      </Words>
      <View role="list" aria-busy={busy} className="gap-2">
        {names.map((name) => (
          <View key={name} role="listitem">
            <NumberRow
              href={`/studio/numbers/${name}${shown === 'yours' ? '?of=yours' : ''}`}
              title={CONSTANTS[name as keyof Trade].title}
              about={aboutText(CONSTANTS[name as keyof Trade])}
              from={fromText(numbersOf(name), lengths)}
              figure={figureOf(numbersOf(name))}
              table={tableText(numbersOf(name), yours.has(name as keyof Trade), lengths)}
              moves={moves.get(name) ?? null}
              own={yours.has(name as keyof Trade)}
              chosen={name === constant}
            />
          </View>
        ))}
      </View>
    </View>
  );
}

/** "from memory · 1.02 to 1.12 is plausible": of several numbers each says its own range on its page. */
function fromText([one, ...others]: readonly Adjustable[], lengths: Lengths): string {
  if (!one) return '';
  const { origin } = one.words;
  if (others.length > 0) return origin;
  const [least, most] = one.range.map((value) => shortText(one, value, lengths));
  return `${origin} · ${least} to ${most} is plausible`;
}

function tableText([one, ...others]: readonly Adjustable[], own: boolean, lengths: Lengths): string | null {
  return own && one && others.length === 0 ? shortText(one, one.usual, lengths) : null;
}
