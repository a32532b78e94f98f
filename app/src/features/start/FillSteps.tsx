import type { ShelfModel } from '@leggero/contract';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Aperture } from '@/parts/Aperture';
import { useWalk } from '@/parts/useFirstSteps';
import { Empty } from '@/ui/States';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { asSold, modelName } from '@/views/modelView';
import { FILLING_CAUTION } from '@/wording/cautions';
import { FIRST_STEP_WORDS, type FirstStep } from '@/wording/firstSteps';

import type { StepProps } from './StartPage';
import { StepFrame } from './StepFrame';

/** The first balloon is filled once and its width taken: on the page where all readings are. */
export function FillStep(props: StepProps) {
  return (
    <FirstBalloonStep {...props} step="reading" onAct={(id) => router.navigate(`/shelf/${id}/reading?first=1`)}>
      <Steps
        steps={[
          'Fill it as the page says: a few strokes, or seconds.',
          'Take its width: a tape around it, or the hole it just passes.',
          'Tap both in. Its targets follow at once, and each further reading makes them surer.',
        ]}
      />
      <Words look="quiet">{FILLING_CAUTION}</Words>
    </FirstBalloonStep>
  );
}

/** The first target, on the balloon's own page. */
export function TargetStep(props: StepProps) {
  const walk = useWalk((state) => state.walk);
  const see = (id: string) => {
    walk('target');
    router.navigate(`/shelf/${id}`);
  };
  return (
    <FirstBalloonStep {...props} step="target" onAct={see}>
      <Words>
        Its page says how wide to fill it, by which hole, with how many strokes, and how sure that is. Choose a fullness
        there, and the days it has to stand.
      </Words>
    </FirstBalloonStep>
  );
}

interface FirstBalloonStepProps extends StepProps {
  step: FirstStep;
  /** With the id of the first balloon. */
  onAct: (id: string) => void;
  children: ReactNode;
}

/** A step about the first balloon, which must be on the shelf. */
function FirstBalloonStep({ way: { first }, step, place, goOn, onAct, children }: FirstBalloonStepProps) {
  return (
    <StepFrame
      step={step}
      place={place}
      action={FIRST_STEP_WORDS[step].action}
      ready={first !== undefined}
      onAct={() => first && onAct(first.id)}
      onSkip={goOn}
    >
      {first ? (
        <>
          <Pictured model={first} />
          {children}
        </>
      ) : (
        <Empty sentence="Put a balloon on the shelf first: that is the first step." />
      )}
    </StepFrame>
  );
}

function Pictured({ model }: { model: ShelfModel }) {
  return (
    <View className="items-center gap-1">
      <Aperture {...asSold(model)} size={180} label={model.colourName} />
      <Words look="strong">{`${modelName(model)}, ${model.colourName}`}</Words>
    </View>
  );
}
