import type { PhotoRecord } from '@leggero/contract';

import { write } from '@/data/outbox';
import { DeleteButton } from '@/ui/DeleteButton';
import type { ListedStep } from '@/views/site';
import { STEP_WORDS } from '@/wording/site';

import { TickRow } from './TickRow';

interface StepRowProps {
  step: ListedStep;
  nameOf: (piece: string) => string;
  eventId: string;
  photos: readonly PhotoRecord[];
  onToggle: () => void;
}

/** One step of the list; one of the studio's own can be taken off it. */
export function StepRow({ step, nameOf, eventId, photos, onToggle }: StepRowProps) {
  const { title, note } = wordsOf(step, nameOf);
  return (
    <TickRow {...{ title, note, eventId, photos, onToggle }} photoKey={step.key} done={step.ticks.length > 0}>
      {'own' in step ? (
        <DeleteButton
          what={title}
          consequence="It goes from the lists of all events."
          onDelete={() => write({ remove: 'ownStep', id: step.own.id })}
        />
      ) : null}
    </TickRow>
  );
}

function wordsOf(step: ListedStep, nameOf: (piece: string) => string): { title: string; note: string } {
  if ('own' in step) return { title: step.own.text, note: '' };
  const { kind, piece } = step.usual;
  const { title, note } = STEP_WORDS[kind];
  return piece === null ? { title, note } : { title: `${nameOf(piece)}: ${title.toLowerCase()}`, note };
}
