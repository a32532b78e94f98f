import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';

const WRAPS = [
  { value: '1', title: 'Once' },
  { value: '2', title: 'Twice' },
] as const;

/** How often the neck is wrapped before the knot. */
export function WrapsChoice({ wraps, onChange }: { wraps: 1 | 2; onChange: (wraps: 1 | 2) => void }) {
  return (
    <Labelled label="Neck wrapped">
      <Segmented
        label="Neck wrapped"
        options={WRAPS}
        value={wraps === 1 ? '1' : '2'}
        onChange={(value) => onChange(value === '1' ? 1 : 2)}
      />
    </Labelled>
  );
}
