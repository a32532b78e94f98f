import { printedScale, readNumber, type PrintedScale } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';

interface BarFieldsProps {
  action: string;
  onScale: (scale: PrintedScale) => void;
}

const BARS = [
  { field: 'acrossMm', label: 'Lying bar, mm', hint: 'Drawn 100 mm long.' },
  {
    field: 'downMm',
    label: 'Upright bar, mm',
    hint: 'Where the printer stretches one way; may stay empty.',
  },
] as const;

/** The two 100 mm bars of a print as they were measured: what they tell of its scale. */
export function BarFields({ action, onScale }: BarFieldsProps) {
  const [typed, setTyped] = useState({ acrossMm: '', downMm: '' });
  const [error, setError] = useState<{ field: string; sentence: string }>();
  const read = (text: string) => readNumber(text.replace(/\s*mm\s*$/, ''));
  const done = () => {
    const acrossMm = read(typed.acrossMm);
    const downMm = typed.downMm.trim() === '' ? undefined : read(typed.downMm);
    const scale = printedScale({ acrossMm, downMm });
    if (scale.ok) return onScale(scale.value);
    const { field = '', detail } = scale.problem;
    setError({
      field,
      sentence:
        `A bar drawn 100 mm long prints ${detail.leastMm} to ${detail.mostMm} mm long. Measure ` +
        'it again, in millimetres.',
    });
  };
  return (
    <View className="gap-3">
      <View className="flex-row items-start gap-3">
        {BARS.map(({ field, label, hint }) => (
          <View key={field} className="flex-1">
            <Field
              label={label}
              hint={hint}
              inputMode="decimal"
              value={typed[field]}
              onChangeText={(text) => {
                setTyped({ ...typed, [field]: text });
                setError(undefined);
              }}
              error={error?.field === field ? error.sentence : undefined}
            />
          </View>
        ))}
      </View>
      <Button title={action} look="primary" tall onPress={done} />
    </View>
  );
}
