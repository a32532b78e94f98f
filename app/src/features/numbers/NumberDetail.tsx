import type { RowOf } from '@leggero/contract';
import { numberAt, tradeWith } from '@leggero/core';
import { ADJUSTABLE, constantBounds, constantValue, type Adjustable } from '@leggero/core/constants';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { aboutText, constantProblemText, GROUP_WORDS, partText, readEntry } from '@/wording/constants';

import { EffectCard } from './EffectCard';
import { OneNumber, type AtEnds } from './OneNumber';
import { endTrials, ownValues, trialOf, writesFor, type Wanted } from './ownNumbers';
import { useTrial, useTrialBasis } from './useTrial';

interface NumberDetailProps {
  numbers: readonly [Adjustable, ...Adjustable[]];
  rows: readonly RowOf<'constant'>[];
  /** Where it stands, and its buttons. */
  frame: (about: ReactNode, actions: ReactNode) => ReactNode;
}

/** A constant of the trade: what it decides, where it is from, what it is here, what another would move, the way back. */
export function NumberDetail({ numbers, rows, frame }: NumberDetailProps) {
  const lengths = useLengths();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [before, setBefore] = useState<Wanted | null>(null);
  const basis = useTrialBasis();
  const own = ownValues(rows);
  const trade = tradeWith(rows);
  const { words, group } = numbers[0];
  const now = rows.map(({ key, value }) => ({ key, value }));

  const wanted: Wanted = new Map(
    Object.entries(typed).map(([key, text]) => [key, readEntry(ADJUSTABLE.get(key)!, text, lengths)]),
  );
  const wished = tradeWith(trialOf(rows, wanted));
  const errorOf = (number: Adjustable): string | undefined => {
    const value = wanted.get(number.key);
    if (value === undefined || value === null) return undefined;
    const checked = constantValue({ trade: wished, key: number.key, value });
    return checked.ok ? undefined : constantProblemText(checked.problem, number, { lengths, titleOf });
  };
  const fits = numbers.every((number) => errorOf(number) === undefined);
  const changed = [...wanted].some(([key, value]) => value !== numberAt(trade, key));
  const yours = numbers.filter(({ key }) => own.has(key));

  const bounds = numbers.map(({ key }) => constantBounds({ trade, key })!);
  const atEnds = useTrial(basis, now, endTrials(rows, trade, numbers));
  const endsOf = (i: number): AtEnds | null =>
    Array.isArray(atEnds) ? { bounds: bounds[i]!, least: atEnds[2 * i]!, most: atEnds[2 * i + 1]! } : null;
  const back: Wanted = new Map(yours.map(({ key }) => [key, null]));
  const asked = changed && fits ? [trialOf(rows, wanted)] : !changed && yours.length > 0 ? [trialOf(rows, back)] : [];
  const moved = useTrial(basis, now, asked);

  const set = (to: Wanted) => {
    const writes = writesFor(rows, to);
    if (!writes) return;
    setBefore(new Map([...to.keys()].map((key) => [key, own.get(key) ?? null])));
    setTyped({});
    void write(...writes);
  };
  const held = writesFor(rows, back) === null;
  return frame(
    <View className="gap-4">
      <View className="gap-2">
        <Words>{aboutText(words)}</Words>
        <Chip tone="plain" word={words.origin} />
      </View>
      <Card>
        <View className="gap-5">
          {numbers.map((number, i) => (
            <OneNumber
              key={number.key}
              number={number}
              value={numberAt(trade, number.key)!}
              typed={typed[number.key] ?? null}
              error={errorOf(number)}
              ends={endsOf(i)}
              moves={changed && Array.isArray(moved) ? (moved[0] ?? null) : null}
              lengths={lengths}
              onType={(text) => setTyped((all) => ({ ...all, [number.key]: text }))}
            />
          ))}
          {held ? <Words look="quiet">Another number of yours holds this one here: take that back first.</Words> : null}
        </View>
        {before ? (
          <UndoLine
            sentence={`${words.title}: changed.`}
            onUndo={() => {
              set(before);
              setBefore(null);
            }}
          />
        ) : null}
      </Card>
      {asked.length > 0 ? (
        <EffectCard
          title={changed ? 'This would move' : 'Back to the table would move'}
          found={moved}
          models={basis?.models ?? []}
          otherwise={`It decides ${lower(GROUP_WORDS[group].decides)}.`}
        />
      ) : null}
    </View>,
    <>
      {yours.length > 0 ? <Button title="Back to the table" tall disabled={held} onPress={() => set(back)} /> : null}
      <Button
        title={numbers.length === 1 ? 'Use this number' : 'Use these numbers'}
        look="primary"
        tall
        className="flex-1"
        disabled={!changed || !fits}
        onPress={() => set(wanted)}
      />
    </>,
  );
}

function titleOf(key: string): string {
  const number = ADJUSTABLE.get(key)!;
  return number.part === null ? number.words.title : `${number.words.title}: ${partText(number).toLowerCase()}`;
}

function lower(text: string): string {
  return text[0]!.toLowerCase() + text.slice(1);
}
