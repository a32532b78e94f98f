import { readNumber } from '@leggero/core';
import { useState } from 'react';

import { Field } from './Field';

interface NumberFieldProps {
  label: string;
  hint?: string | undefined;
  value: number;
  /** What may be typed, and what to say otherwise. */
  range: { least: number; most: number; error: string };
  onChange: (value: number) => void;
}

/** As many as anybody types; what was worked out may have more. */
const DECIMALS = 3;

/**
 * A number typed as people write it; what cannot be used stays in the field with the reason below and changes
 * nothing.
 */
export function NumberField({ label, hint, value, range, onChange }: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const possible = (text: string) => readNumber(text) >= range.least && readNumber(text) <= range.most;
  const wrong = typed !== null && !possible(typed);
  return (
    <Field
      label={label}
      hint={hint}
      inputMode="text"
      value={typed ?? String(Number(value.toFixed(DECIMALS)))}
      onChangeText={(text) => {
        setTyped(text);
        if (possible(text)) onChange(readNumber(text));
      }}
      onBlur={() => wrong || setTyped(null)}
      error={wrong ? range.error : undefined}
    />
  );
}
