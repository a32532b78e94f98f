import { router } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import { Pressable, View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { FIRST_STEP_WORDS, type FirstStep } from '@/wording/firstSteps';

import { useFirstSteps, useWalk } from './useFirstSteps';

const open = (step: FirstStep) => router.navigate(`/start?step=${step}`);

/** The way through the first minutes, until it is walked: which steps are done, and the next one as a button. */
export function FirstStepsCard() {
  const way = useFirstSteps();
  const putItAway = useWalk((state) => state.putItAway);
  const next = way?.steps.find(({ done }) => !done)?.step;
  if (!way || way.putAway || !next) return null;
  return (
    <Card title="The first minutes" className="w-full max-w-[640px]">
      <View role="list" className="gap-1">
        {way.steps.map(({ step, done }, i) => (
          <StepRow key={step} step={step} number={i + 1} done={done} next={step === next} />
        ))}
      </View>
      <View className="mt-3 flex-row gap-3">
        <Button title="Not now" look="plain" onPress={putItAway} />
        <Button
          title={FIRST_STEP_WORDS[next].action}
          look="primary"
          tall
          className="flex-1"
          onPress={() => open(next)}
        />
      </View>
    </Card>
  );
}

interface StepRowProps {
  step: FirstStep;
  number: number;
  done: boolean;
  next: boolean;
}

function StepRow({ step, number, done, next }: StepRowProps) {
  const palette = usePalette();
  const { title, note } = FIRST_STEP_WORDS[step];
  return (
    <View role="listitem">
      <Pressable
        role="link"
        aria-label={`${title}${done ? ', done' : ''}`}
        onPress={() => open(step)}
        className="min-h-[48px] flex-row items-center gap-3 rounded-card active:bg-sunk"
      >
        <View className="w-7 items-center">
          {done ? (
            <Check size={22} color={palette.good} />
          ) : (
            <Words look="figure" className={`text-[20px] leading-6 ${next ? 'text-kiln' : 'text-quiet'}`}>
              {number}
            </Words>
          )}
        </View>
        <View className="flex-1">
          <Words look={next ? 'strong' : 'label'}>{title}</Words>
          <Words look="quiet">{done ? 'Done' : note}</Words>
        </View>
      </Pressable>
    </View>
  );
}
