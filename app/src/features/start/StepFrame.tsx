import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { FIRST_STEP_WORDS, type FirstStep } from '@/wording/firstSteps';

interface StepFrameProps {
  step: FirstStep;
  place: string;
  /** What the step does, as a button. */
  action: string;
  ready: boolean;
  onAct: () => void;
  onSkip: () => void;
  children: ReactNode;
}

/** One step of the first minutes: what it asks, and its two ways on in the thumb's reach. */
export function StepFrame({ step, place, action, ready, onAct, onSkip, children }: StepFrameProps) {
  const { title, note } = FIRST_STEP_WORDS[step];
  return (
    <Page
      title={title}
      subtitle={`${place} · ${note}`}
      back="/bench"
      actions={
        <>
          <Button title="Skip" tall onPress={onSkip} />
          <Button title={action} look="primary" tall className="flex-1" disabled={!ready} onPress={onAct} />
        </>
      }
    >
      <View className="w-full max-w-[640px] gap-4">{children}</View>
    </Page>
  );
}
