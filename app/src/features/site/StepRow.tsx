import Check from 'lucide-react-native/icons/check';
import { Pressable, View } from 'react-native';

import { write } from '@/data/outbox';
import { DeleteButton } from '@/ui/DeleteButton';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import type { ListedStep } from '@/views/site';
import { STEP_WORDS } from '@/wording/site';

interface StepRowProps {
  step: ListedStep;
  nameOf: (piece: string) => string;
  onToggle: () => void;
}

/** One step: a tap says that it was looked at, another takes that back. */
export function StepRow({ step, nameOf, onToggle }: StepRowProps) {
  const palette = usePalette();
  const done = step.ticks.length > 0;
  const { title, note } = wordsOf(step, nameOf);
  return (
    <View role="listitem" className="flex-row items-center border-b border-line">
      <Pressable
        role="checkbox"
        aria-checked={done}
        aria-label={title}
        onPress={onToggle}
        className="min-h-[60px] flex-1 flex-row items-center gap-3 px-1 py-2 active:bg-sunk"
      >
        <View
          className={
            'h-8 w-8 items-center justify-center rounded-[8px] border ' +
            `${done ? 'border-pine bg-pine' : 'border-quiet bg-surface'}`
          }
        >
          {done ? <Check size={22} color={palette.onPine} /> : null}
        </View>
        <View className="flex-1">
          <Words look="strong" className={done ? 'text-quiet' : ''}>
            {title}
          </Words>
          {note === '' ? null : <Words look="quiet">{note}</Words>}
        </View>
      </Pressable>
      {'own' in step ? (
        <DeleteButton
          what={title}
          consequence="It goes from the lists of all events."
          onDelete={() => write({ remove: 'ownStep', id: step.own.id })}
        />
      ) : null}
    </View>
  );
}

function wordsOf(step: ListedStep, nameOf: (piece: string) => string): { title: string; note: string } {
  if ('own' in step) return { title: step.own.text, note: '' };
  const { kind, piece } = step.usual;
  const { title, note } = STEP_WORDS[kind];
  return piece === null ? { title, note } : { title: `${nameOf(piece)}: ${title.toLowerCase()}`, note };
}
