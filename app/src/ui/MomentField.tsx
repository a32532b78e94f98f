import { useState } from 'react';

import { Labelled } from './Field';

interface MomentFieldProps {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  /** ISO 8601, UTC; null while there is none. */
  value: string | null;
  onChange: (moment: string | null) => void;
}

/** A year that somebody still types digit by digit is none yet. */
const YEARS = { least: 1900, most: 2199 };

/**
 * A day and an hour of this place, by the browser's own field for them. What cannot be used stays in the field with the
 * reason below and changes nothing.
 */
export function MomentField({ label, value, error, onChange, ...labelled }: MomentFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = typed !== null && typed !== '' && momentOf(typed) === null;
  const said = wrong ? `A day from ${YEARS.least} to ${YEARS.most}.` : error;
  const type = (text: string) => {
    setTyped(text);
    const moment = momentOf(text);
    if (text === '' || moment !== null) onChange(moment);
  };
  return (
    <Labelled label={label} error={said} {...labelled}>
      <input
        type="datetime-local"
        aria-label={label}
        aria-invalid={said !== undefined}
        value={typed ?? (value === null ? '' : localText(value))}
        onChange={({ target }) => type(target.value)}
        onBlur={() => wrong || setTyped(null)}
        className={
          'box-border min-h-[48px] w-full rounded-card border bg-surface px-3 font-body text-[16px] text-ink ' +
          `${said ? 'border-out' : 'border-line'}`
        }
      />
    </Labelled>
  );
}

/** The moment that a text of the field means; null where it is none that a record may have. */
function momentOf(text: string): string | null {
  const at = new Date(text);
  const year = at.getFullYear();
  return year >= YEARS.least && year <= YEARS.most ? at.toISOString() : null;
}

/** "2026-12-05T18:00" of the place where the page is open. */
function localText(moment: string): string {
  const at = new Date(moment);
  const two = (figure: number) => String(figure).padStart(2, '0');
  const day = [at.getFullYear(), two(at.getMonth() + 1), two(at.getDate())].join('-');
  return `${day}T${two(at.getHours())}:${two(at.getMinutes())}`;
}
