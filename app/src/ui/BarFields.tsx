import { printedScale, type PrintedScale } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from './Button';
import { Field } from './Field';

interface BarFieldsProps {
  action: string;
  onScale: (scale: PrintedScale) => void;
}

/** The two 100 mm bars of a print as they were measured: what they tell of its scale. */
export function BarFields({ action, onScale }: BarFieldsProps) {
  const [across, setAcross] = useState('');
  const [down, setDown] = useState('');
  const [error, setError] = useState<{ field: string; sentence: string }>();
  const read = (text: string) =>
    Number(
      text
        .trim()
        .replace(/\s*mm$/, '')
        .replace(',', '.') || NaN,
    );
  const done = () => {
    const acrossMm = read(across);
    const scale = printedScale({ acrossMm, ...(down.trim() === '' ? {} : { downMm: read(down) }) });
    if (scale.ok) return onScale(scale.value);
    const { field = '', detail } = scale.problem;
    setError({
      field,
      sentence: `A bar drawn 100 mm long prints ${detail?.['leastMm']} to ${detail?.['mostMm']} mm long. Measure it again, in millimetres.`,
    });
  };
  const of = (field: string) => (error?.field === field ? error.sentence : undefined);
  return (
    <View className="gap-3">
      <View className="flex-row items-start gap-3">
        <View className="flex-1">
          <Field
            label="Lying bar, mm"
            hint="Drawn 100 mm long."
            inputMode="decimal"
            value={across}
            onChangeText={(text) => {
              setAcross(text);
              setError(undefined);
            }}
            error={of('acrossMm')}
          />
        </View>
        <View className="flex-1">
          <Field
            label="Upright bar, mm"
            hint="Where the printer stretches one way; may stay empty."
            inputMode="decimal"
            value={down}
            onChangeText={(text) => {
              setDown(text);
              setError(undefined);
            }}
            error={of('downMm')}
          />
        </View>
      </View>
      <Button title={action} look="primary" tall onPress={done} />
    </View>
  );
}
