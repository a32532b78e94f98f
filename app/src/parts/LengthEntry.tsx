import { circumferenceMm, MM_PER, parseLength, widthFromCircumferenceMm } from '@leggero/core';
import Keyboard from 'lucide-react-native/icons/keyboard';
import { useState } from 'react';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { LENGTH_PROBLEMS } from '@/wording/length';

import { IconButton } from '@/ui/Button';
import { Dial } from '@/ui/Dial';
import { Field } from '@/ui/Field';
import { LengthFigure } from './LengthFigure';
import { Words } from '@/ui/Words';

interface LengthEntryProps {
  label: string;
  /** mm */
  value: number;
  least: number;
  most: number;
  lengths: Lengths;
  /** The tape goes around: what is read is pi times the value. */
  around?: boolean;
  error?: string | undefined;
  onChange: (mm: number) => void;
}

/** A length by the dial, or typed as people write it: figure, ruler and, on request, a text field. */
export function LengthEntry({ label, value, least, most, lengths, around = false, error, onChange }: LengthEntryProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const outward = (mm: number) => (around ? circumferenceMm({ widthMm: mm }) : mm);
  const inward = (mm: number) => (around ? widthFromCircumferenceMm({ circumferenceMm: mm }) : mm);
  const parsed = typed === null ? null : parseLength({ text: typed, unit: lengths.unit });
  const type = (text: string) => {
    setTyped(text);
    const result = parseLength({ text, unit: lengths.unit });
    if (result.ok) onChange(inward(result.value));
  };
  const shown = outward(value);
  const perMark = Math.max(2, Math.round(MM_PER[lengths.unit] / lengths.stepMm));
  return (
    <View className="gap-2">
      <View className="flex-row items-center justify-between">
        <Words look="label">{label}</Words>
        <View className="flex-row items-center gap-1">
          <LengthFigure parts={lengths.parts(shown)} size={36} />
          <Words look="quiet" className="w-6">
            {lengths.unit}
          </Words>
          <IconButton
            label={`Type ${label.toLowerCase()}`}
            icon={Keyboard}
            onPress={() => setTyped(typed === null ? '' : null)}
          />
        </View>
      </View>
      {typed === null ? null : (
        <Field
          label={`${label}, typed`}
          hint="Such as 9 3/4, 9.75 or 24.8 cm."
          value={typed}
          onChangeText={type}
          autoFocus
          error={parsed && !parsed.ok && typed !== '' ? LENGTH_PROBLEMS[parsed.problem.code] : undefined}
        />
      )}
      <Dial
        label={label}
        value={shown}
        spoken={lengths.text(shown)}
        least={outward(least)}
        most={outward(most)}
        step={lengths.stepMm}
        stepsPerMark={perMark}
        markOf={(mm) => lengths.bare(mm)}
        onChange={(mm) => {
          setTyped(null);
          onChange(inward(mm));
        }}
      />
      {error ? (
        <Words look="error" role="alert">
          {error}
        </Words>
      ) : null}
    </View>
  );
}
