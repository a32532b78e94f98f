import { isTimeZone } from '@leggero/contract';
import { useId, useState } from 'react';

import { Labelled } from '@/ui/Field';
import { nativeInput } from '@/ui/nativeInput';
import { cityOf } from '@/wording/day';

interface ZoneFieldProps {
  /** Null as this device's clock. */
  value: string | null;
  onChange: (timeZone: string | null) => void;
}

/** Whose clock a place goes by: this device's, or that of a city which is found by its name. */
export function ZoneField({ value, onChange }: ZoneFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const list = useId();
  const wrong = typed !== null && typed !== '' && zoneNamed(typed) === null;
  const type = (text: string) => {
    setTyped(text);
    const zone = text === '' ? null : zoneNamed(text);
    if (text === '' || zone !== null) onChange(zone);
  };
  return (
    <Labelled
      label="Clock of the place"
      hint="Empty: as this device. Else its city, such as Lisbon."
      error={wrong ? 'No clock is known by this name: try the nearest large city.' : undefined}
    >
      <input
        list={list}
        aria-label="Clock of the place"
        aria-invalid={wrong}
        value={typed ?? (value === null ? '' : cityOf(value))}
        onChange={({ target }) => type(target.value)}
        onBlur={() => wrong || setTyped(null)}
        className={nativeInput(wrong)}
      />
      <datalist id={list}>
        {zones().map((zone) => (
          <option key={zone} value={cityOf(zone)}>
            {zone}
          </option>
        ))}
      </datalist>
    </Labelled>
  );
}

let known: string[] | undefined;
/** Every clock that the browser knows. */
const zones = (): string[] => (known ??= Intl.supportedValuesOf('timeZone'));

/** The clock of a city, or by its whole name; null where none is known by it. */
function zoneNamed(text: string): string | null {
  const asked = text.trim().toLowerCase();
  const found = zones().find((zone) => zone.toLowerCase() === asked || cityOf(zone).toLowerCase() === asked);
  return found ?? (isTimeZone(text.trim()) ? text.trim() : null);
}
