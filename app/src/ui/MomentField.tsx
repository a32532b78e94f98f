import { Labelled } from './Field';

interface MomentFieldProps {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  /** ISO 8601, UTC; null while there is none. */
  value: string | null;
  onChange: (moment: string | null) => void;
}

/** A day and an hour of this place, by the browser's own field for them. */
export function MomentField({ label, value, onChange, ...labelled }: MomentFieldProps) {
  return (
    <Labelled label={label} {...labelled}>
      <input
        type="datetime-local"
        aria-label={label}
        aria-invalid={labelled.error !== undefined}
        value={value === null ? '' : localText(value)}
        onChange={({ target }) => onChange(target.value === '' ? null : new Date(target.value).toISOString())}
        className={
          'box-border min-h-[48px] w-full rounded-card border bg-surface px-3 font-body text-[16px] text-ink ' +
          `${labelled.error ? 'border-out' : 'border-line'}`
        }
      />
    </Labelled>
  );
}

/** "2026-12-05T18:00" of the place where the page is open. */
function localText(moment: string): string {
  const at = new Date(moment);
  const two = (figure: number) => String(figure).padStart(2, '0');
  const day = [at.getFullYear(), two(at.getMonth() + 1), two(at.getDate())].join('-');
  return `${day}T${two(at.getHours())}:${two(at.getMinutes())}`;
}
