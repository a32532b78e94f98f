import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { standing } from '@/wording/trade';

const CHOICES = [0, 1, 3, 7, 21] as const;

/** How long the piece must stand. */
export function StandingChoice({ days, onChange }: { days: number; onChange: (days: number) => void }) {
  const choices = CHOICES.some((choice) => choice === days) ? [...CHOICES] : [days, ...CHOICES];
  return (
    <Labelled label="Stands">
      <Segmented
        label="Stands"
        options={choices.map((choice) => ({
          value: String(choice),
          title: choice === 0 ? 'today' : standing(choice),
        }))}
        value={String(days)}
        onChange={(value) => onChange(Number(value))}
      />
    </Labelled>
  );
}
