import { MOST_EXTRA_NAME, MOST_EXTRAS, type WorkPlan } from '@leggero/contract';
import { MOST_MARGIN } from '@leggero/core';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { MoneyField } from '@/parts/MoneyField';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Words } from '@/ui/Words';

interface BesideCardProps {
  plan: WorkPlan;
  currency: string;
  change: (by: Partial<WorkPlan>) => void;
}

const MARGIN = { least: 0, most: 100 * MOST_MARGIN, error: 'A margin from 0 to 90 % of the price.' };

/** What an event costs beside its balloons, and its margin. */
export function BesideCard({ plan, currency, change }: BesideCardProps) {
  const { hourMinor, travelMinor, hireMinor, extras, margin } = plan;
  return (
    <Card title="Beside balloons">
      <View className="gap-3">
        <MoneyField
          label="An hour of work"
          value={hourMinor}
          currency={currency}
          onChange={(minor) => change({ hourMinor: minor ?? 0 })}
        />
        <MoneyField
          label="Travel"
          value={travelMinor}
          currency={currency}
          onChange={(minor) => change({ travelMinor: minor ?? 0 })}
        />
        <MoneyField
          label="Hire"
          hint="Frames, plinths, a van."
          value={hireMinor}
          currency={currency}
          onChange={(minor) => change({ hireMinor: minor ?? 0 })}
        />
        {extras.map((extra, i) => (
          <Extra
            key={i}
            number={i + 1}
            extra={extra}
            currency={currency}
            onChange={(by) => change({ extras: extras.map((each, j) => (i === j ? { ...each, ...by } : each)) })}
            onRemove={() => change({ extras: extras.filter((_, j) => i !== j) })}
          />
        ))}
        {extras.length < MOST_EXTRAS ? (
          <Button
            title="Add an extra: leaves, mirror finish, stuffing"
            icon={Plus}
            onPress={() => change({ extras: [...extras, { name: '', minor: 0 }] })}
          />
        ) : null}
        <NumberField
          label="Margin, % of the price"
          value={100 * margin}
          range={MARGIN}
          onChange={(percent) => change({ margin: percent / 100 })}
        />
        <Words look="quiet">
          {`Money is in ${currency}: another one is chosen under Studio. What to charge is yours to say.`}
        </Words>
      </View>
    </Card>
  );
}

type OneExtra = WorkPlan['extras'][number];

interface ExtraProps {
  number: number;
  extra: OneExtra;
  currency: string;
  onChange: (by: Partial<OneExtra>) => void;
  onRemove: () => void;
}

function Extra({ number, extra, currency, onChange, onRemove }: ExtraProps) {
  return (
    <View className="gap-2 rounded-card bg-sunk p-3">
      <Field
        label={`Extra ${number}`}
        value={extra.name}
        error={extra.name.trim().length > MOST_EXTRA_NAME ? `At most ${MOST_EXTRA_NAME} characters.` : undefined}
        onChangeText={(name) => onChange({ name })}
      />
      <MoneyField
        label={`For extra ${number}`}
        value={extra.minor}
        currency={currency}
        onChange={(minor) => onChange({ minor: minor ?? 0 })}
      />
      <Button title={`Take extra ${number} away`} look="plain" onPress={onRemove} />
    </View>
  );
}
