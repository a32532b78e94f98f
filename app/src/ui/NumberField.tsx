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

/**
 * A number typed as people write it; what cannot be used stays in the field with the reason below and changes
 * nothing.
 */
export function NumberField({ label, hint, value, range, onChange }: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string) => Number(text.trim().replace(',', '.').replace(/^[−–]/, '-'));
  const possible = (text: string) => text.trim() !== '' && read(text) >= range.least && read(text) <= range.most;
  const wrong = typed !== null && !possible(typed);
  return (
    <Field
      label={label}
      hint={hint}
      inputMode="text"
      value={typed ?? String(value)}
      onChangeText={(text) => {
        setTyped(text);
        if (possible(text)) onChange(read(text));
      }}
      onBlur={() => wrong || setTyped(null)}
      error={wrong ? range.error : undefined}
    />
  );
}
