import { NOUNS, type TierRecord } from '@leggero/contract';
import { readNumber, TIER_SHAPES, tierProblem } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { TIER_SHAPE_WORDS, tierProblemText } from '@/wording/tier';

interface TierSheetProps {
  tier: TierRecord;
  isNew: boolean;
  others: readonly TierRecord[];
  onSave: (tier: TierRecord) => void;
  onDelete: () => void;
  onClose: () => void;
}

const SHARES = [
  { field: 'leastFraction', label: 'From, %' },
  { field: 'fraction', label: 'Aim, %' },
  { field: 'mostFraction', label: 'To, %' },
] as const;
type ShareField = (typeof SHARES)[number]['field'];

/** One tier: its name, its range of shares of nominal, the shapes it bears, and what it is for. */
export function TierSheet({ tier, isNew, others, onSave, onDelete, onClose }: TierSheetProps) {
  const [name, setName] = useState(tier.name);
  const [shape, setShape] = useState(tier.shape);
  const [purpose, setPurpose] = useState(tier.purpose);
  const [typed, setTyped] = useState<Record<ShareField, string>>({
    leastFraction: shareText(tier.leastFraction),
    fraction: shareText(tier.fraction),
    mostFraction: shareText(tier.mostFraction),
  });
  const [asked, setAsked] = useState(false);
  const wished: TierRecord = {
    ...tier,
    name: name.trim(),
    purpose: purpose.trim(),
    shape,
    leastFraction: shareOf(typed.leastFraction),
    fraction: shareOf(typed.fraction),
    mostFraction: shareOf(typed.mostFraction),
  };
  const nameWrong = wished.name === '' || wished.name.length > 80;
  const problem = tierProblem({ tier: wished, others });
  const fits = !nameWrong && !problem && NOUNS.tier.row.safeParse(wished).success;
  const save = () => {
    setAsked(true);
    if (fits) onSave(wished);
  };
  const errorOf = (field: ShareField) => (problem?.field === field ? tierProblemText(problem) : undefined);
  return (
    <Sheet title={isNew ? 'Add a tier' : `Change ${tier.name}`} open onClose={onClose}>
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        error={asked && nameWrong ? 'Give the tier a name of 1 to 80 characters.' : undefined}
      />
      <View className="flex-row gap-3">
        {SHARES.map(({ field, label }) => (
          <View key={field} className="flex-1">
            <Field
              label={label}
              inputMode="decimal"
              value={typed[field]}
              onChangeText={(text) => setTyped((before) => ({ ...before, [field]: text }))}
              error={errorOf(field)}
            />
          </View>
        ))}
      </View>
      <Labelled label="It may be">
        <Segmented
          label="It may be"
          options={TIER_SHAPES.map((value) => ({ value, title: TIER_SHAPE_WORDS[value].title }))}
          value={shape}
          onChange={setShape}
        />
        <Words look="quiet">{TIER_SHAPE_WORDS[shape].means}</Words>
      </Labelled>
      <Field label="What it is for" value={purpose} onChangeText={setPurpose} maxLength={120} />
      <View className="flex-row gap-3">
        {isNew ? null : <Button title="Delete" look="danger" tall onPress={onDelete} />}
        <Button title={isNew ? 'Add tier' : 'Save tier'} look="primary" tall className="flex-1" onPress={save} />
      </View>
    </Sheet>
  );
}

function shareText(fraction: number): string {
  return String(Math.round(1000 * fraction) / 10);
}

function shareOf(text: string): number {
  return Math.round(readNumber(text) * 100) / 10000;
}
