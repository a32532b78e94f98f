import { useState } from 'react';

import { Labelled } from './Field';
import { nativeInput } from './nativeInput';

interface TimeFieldProps {
  label: string;
  /** Minutes after midnight. */
  value: number;
  error?: string | undefined;
  onChange: (minutes: number) => void;
}

/** An hour of any day, by the browser's own field for it; the end of a day is its last minute. */
export function TimeField({ label, value, error, onChange }: TimeFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const type = (text: string) => {
    setTyped(text);
    const [hours, minutes] = text.split(':').map(Number);
    if (hours !== undefined && minutes !== undefined) onChange(60 * hours + minutes);
  };
  return (
    <Labelled label={label} error={error}>
      <input
        type="time"
        aria-label={label}
        aria-invalid={error !== undefined}
        value={typed ?? textOf(value)}
        onChange={({ target }) => type(target.value)}
        onBlur={() => setTyped(null)}
        className={nativeInput(error !== undefined)}
      />
    </Labelled>
  );
}

function textOf(minutes: number): string {
  const two = (figure: number) => String(figure).padStart(2, '0');
  const within = Math.min(minutes, 1439);
  return `${two(Math.floor(within / 60))}:${two(within % 60)}`;
}
