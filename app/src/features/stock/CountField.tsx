import { MOST_COUNTED } from '@leggero/contract';
import { readNumber } from '@leggero/core';
import { useState } from 'react';

import { Field } from '@/ui/Field';

interface CountFieldProps {
  label: string;
  value: number | null;
  error?: string | undefined;
  onChange: (count: number | null) => void;
}

/** What is typed as a count; null where it is none. */
function readCount(text: string): number | null {
  const count = readNumber(text);
  return Number.isInteger(count) && count >= 0 && count <= MOST_COUNTED ? count : null;
}

/** A whole number of things, or nothing yet; what is none stays in the field with the reason below. */
export function CountField({ label, value, error, onChange }: CountFieldProps) {
  const [typed, setTyped] = useState('');
  const wrong = typed.trim() !== '' && readCount(typed) === null;
  return (
    <Field
      label={label}
      inputMode="numeric"
      // Emptied from outside once it was kept.
      value={value === null && !wrong ? '' : typed}
      error={wrong ? 'A whole number, from 0 up.' : error}
      onChangeText={(text) => {
        setTyped(text);
        onChange(text.trim() === '' ? null : readCount(text));
      }}
    />
  );
}
