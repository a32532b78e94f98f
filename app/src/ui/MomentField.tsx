import { DateTime } from 'luxon';
import { useState } from 'react';

import { Labelled } from './Field';
import { nativeInput } from './nativeInput';

interface MomentFieldProps {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  /** ISO 8601, UTC; null while there is none. */
  value: string | null;
  /** Whose clock it is entered by; the device's where none is named. */
  timeZone?: string | null;
  onChange: (moment: string | null) => void;
}

/** A year that somebody still types digit by digit is none yet. */
const YEARS = { least: 1900, most: 2199 };

/**
 * A day and an hour of a place, by the browser's own field for them. What cannot be used stays in the field with the
 * reason below and changes nothing.
 */
export function MomentField({ label, value, timeZone = null, error, onChange, ...labelled }: MomentFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = typed !== null && typed !== '' && momentOf(typed, timeZone) === null;
  const said = wrong ? `A day from ${YEARS.least} to ${YEARS.most}.` : error;
  const type = (text: string) => {
    setTyped(text);
    const moment = momentOf(text, timeZone);
    if (text === '' || moment !== null) onChange(moment);
  };
  return (
    <Labelled label={label} error={said} {...labelled}>
      <input
        type="datetime-local"
        aria-label={label}
        aria-invalid={said !== undefined}
        value={typed ?? (value === null ? '' : localText(value, timeZone))}
        onChange={({ target }) => type(target.value)}
        onBlur={() => wrong || setTyped(null)}
        className={nativeInput(said !== undefined)}
      />
    </Labelled>
  );
}

const zoneOf = (timeZone: string | null) => timeZone ?? 'local';

/** The moment that a text of the field means; null where it is none that a record may have. */
function momentOf(text: string, timeZone: string | null): string | null {
  const at = DateTime.fromISO(text, { zone: zoneOf(timeZone) });
  return at.isValid && at.year >= YEARS.least && at.year <= YEARS.most ? at.toJSDate().toISOString() : null;
}

/** "2026-12-05T18:00" of the place. */
const localText = (moment: string, timeZone: string | null): string =>
  DateTime.fromISO(moment, { zone: zoneOf(timeZone) }).toFormat("yyyy-MM-dd'T'HH:mm");
