import type { CheckResultRecord } from '@leggero/contract';
import { Pressable, View } from 'react-native';

import type { HoleView } from '@/views/holes';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';

/** Between which holes a balloon lies. */
export type Between = Pick<CheckResultRecord, 'stopsHoleId' | 'passesHoleId' | 'stopsMm' | 'passesMm'>;

interface HolesAnswerProps {
  /** Two or three, from small to large. */
  holes: readonly HoleView[];
  onAnswer: (between: Between) => void;
  onBack: () => void;
}

const ANSWER =
  'min-h-[72px] min-w-[45%] flex-1 items-center justify-center rounded-card ' +
  'border border-line bg-surface active:bg-sunk';

/** Which of a few holes it passes: one tap tells between which two it lies. */
export function HolesAnswer({ holes, onAnswer, onBack }: HolesAnswerProps) {
  const cells = [null, ...holes].map((stops, i) => ({ stops, passes: holes[i] ?? null }));
  return (
    <View className="gap-1">
      <View className="flex-row flex-wrap gap-2">
        {cells.map(({ stops, passes }) => {
          const title = passes ? `Passes ${passes.label}` : `Stops at ${stops?.label}`;
          const means = passes ? (stops ? `stops at ${stops.label}` : 'the smallest') : 'the largest';
          return (
            <Pressable
              key={passes?.id ?? 'past'}
              role="button"
              aria-label={`${title}, ${means}`}
              onPress={() =>
                onAnswer({
                  stopsHoleId: stops?.id ?? null,
                  passesHoleId: passes?.id ?? null,
                  stopsMm: stops?.widthMm ?? null,
                  passesMm: passes?.widthMm ?? null,
                })
              }
              className={ANSWER}
            >
              <Words look="strong">{title}</Words>
              <Words look="quiet">{means}</Words>
            </Pressable>
          );
        })}
      </View>
      <Button title="Answer at one hole" look="plain" onPress={onBack} />
    </View>
  );
}
