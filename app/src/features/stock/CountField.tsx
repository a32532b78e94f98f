import { readNumber } from '@leggero/core';
import { useState } from 'react';

import { Field } from '@/ui/Field';

interface CountFieldProps {
  label: string;
  value: number | null;
  error?: string | undefined;
  onChange: (count: number | null) => void;
}

const MOST = 1_000_000;

/** A whole number of things, or nothing yet; what is none stays in the field with the reason below. */
export function CountField({ label, value, error, onChange }: CountFieldProps) {
  const [typed, setTyped] = useState('');
  const count = readNumber(typed);
  const usable = Number.isInteger(count) && count >= 0 && count <= MOST;
  const wrong = typed.trim() !== '' && !usable;
  return (
    <Field
      label={label}
      inputMode="numeric"
      // Emptied from outside once it was kept.
      value={value === null && !wrong ? '' : typed}
      error={wrong ? 'A whole number, from 0 up.' : error}
      onChangeText={(text) => {
        setTyped(text);
        const read = readNumber(text);
        onChange(text.trim() !== '' && Number.isInteger(read) && read >= 0 && read <= MOST ? read : null);
      }}
    />
  );
}
