import { MOST_MINOR } from '@leggero/contract';
import { useState } from 'react';

import { Field } from '@/ui/Field';
import { moneyEntry, readMoney } from '@/wording/money';

interface MoneyFieldProps {
  label: string;
  hint?: string | undefined;
  /** In minor units; null while nothing was said. */
  value: number | null;
  currency: string;
  /** Told null where the field is emptied; a field that always holds money is 0 then. */
  onChange: (minor: number | null) => void;
}

/** Money as people type it; what is none stays in the field with the reason below and changes nothing. */
export function MoneyField({ label, hint, value, currency, onChange }: MoneyFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const usable = (text: string) => {
    if (text.trim() === '') return true;
    const minor = readMoney(text, currency);
    return minor >= 0 && minor <= MOST_MINOR;
  };
  const wrong = typed !== null && !usable(typed);
  return (
    <Field
      label={`${label}, ${currency}`}
      hint={hint}
      inputMode="decimal"
      value={typed ?? (value === null ? '' : moneyEntry(value, currency))}
      onChangeText={(text) => {
        setTyped(text);
        if (usable(text)) onChange(text.trim() === '' ? null : readMoney(text, currency));
      }}
      onBlur={() => wrong || setTyped(null)}
      error={wrong ? `Money from 0 up, in ${currency}, please.` : undefined}
    />
  );
}
