import { parseLength } from '@leggero/core';
import { useState } from 'react';

import type { Lengths } from '@/views/lengths';
import { LENGTH_PROBLEMS } from '@/wording/length';

import { Field } from '@/ui/Field';

interface LengthFieldProps {
  label: string;
  hint?: string | undefined;
  /** mm; null while there is none. */
  value: number | null;
  lengths: Lengths;
  /** Of a build, its room or its line: said in feet and inches, or in metres, with its unit beside it. */
  long?: boolean;
  /** What is wrong with it beside how it is written. */
  error?: string | undefined;
  /** null once the field is empty. What cannot be read changes nothing. */
  onChange: (mm: number | null) => void;
}

/**
 * A length typed as people write it: "9 3/4", "9.75", "24.8 cm", "6 ft 2". What was typed stays, also when it cannot be
 * read.
 */
export function LengthField({ label, hint, value, lengths, long = false, error, onChange }: LengthFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null || typed.trim() === '' ? null : parseLength({ text: typed, unit: lengths.unit });
  const type = (text: string) => {
    setTyped(text);
    if (text.trim() === '') return onChange(null);
    const result = parseLength({ text, unit: lengths.unit });
    if (result.ok) onChange(result.value);
  };
  return (
    <Field
      label={long ? label : `${label}, ${lengths.unit === 'in' ? 'inches' : 'cm'}`}
      hint={hint}
      inputMode="text"
      value={typed ?? (value === null ? '' : long ? lengths.long(value) : lengths.bare(value))}
      onChangeText={type}
      onBlur={() => (parsed === null || parsed.ok) && setTyped(null)}
      error={parsed && !parsed.ok ? LENGTH_PROBLEMS[parsed.problem.code] : error}
    />
  );
}
