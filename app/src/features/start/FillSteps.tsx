import type { ShelfModel } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { Aperture } from '@/parts/Aperture';
import { useWalk } from '@/parts/useFirstSteps';
import { Empty } from '@/ui/States';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { asSold, modelName } from '@/views/modelView';
import { FILLING_CAUTION } from '@/wording/cautions';
import { FIRST_STEP_WORDS } from '@/wording/firstSteps';

import type { StepProps } from './StartPage';
import { StepFrame } from './StepFrame';

const NEEDS_ONE = 'Put a balloon on the shelf first: that is the first step.';

/** The first balloon is filled once and its width taken: on the page where all readings are. */
export function FillStep({ way: { first }, place, goOn }: StepProps) {
  return (
    <StepFrame
      step="reading"
      place={place}
      action={FIRST_STEP_WORDS.reading.action}
      ready={first !== undefined}
      onAct={() => first && router.navigate(`/shelf/${first.id}/reading?first=1`)}
      onSkip={goOn}
    >
      {first ? (
        <>
          <Pictured model={first} />
          <Steps
            steps={[
              'Fill it as the page says: a few strokes, or seconds.',
              'Take its width: a tape around it, or the hole it just passes.',
              'Tap both in. Its targets follow at once, and each further reading makes them surer.',
            ]}
          />
          <Words look="quiet">{FILLING_CAUTION}</Words>
        </>
      ) : (
        <Empty sentence={NEEDS_ONE} />
      )}
    </StepFrame>
  );
}

/** The first target, on the balloon's own page. */
export function TargetStep({ way: { first }, place, goOn }: StepProps) {
  const walk = useWalk((state) => state.walk);
  return (
    <StepFrame
      step="target"
      place={place}
      action={FIRST_STEP_WORDS.target.action}
      ready={first !== undefined}
      onAct={() => {
        walk('target');
        if (first) router.navigate(`/shelf/${first.id}`);
      }}
      onSkip={goOn}
    >
      {first ? (
        <>
          <Pictured model={first} />
          <Words>
            Its page says how wide to fill it, by which hole, with how many strokes, and how sure that is. Choose a
            fullness there, and the days it has to stand.
          </Words>
        </>
      ) : (
        <Empty sentence={NEEDS_ONE} />
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
