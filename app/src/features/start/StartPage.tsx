import { router, useLocalSearchParams } from 'expo-router';

import { useFirstSteps } from '@/parts/useFirstSteps';
import { Page } from '@/ui/Page';
import { Loading } from '@/ui/States';
import { FIRST_STEPS, type FirstStep } from '@/wording/firstSteps';

import { BalloonsStep } from './BalloonsStep';
import { PumpStep } from './PumpStep';
import { SizerStep } from './SizerStep';
import { FillStep, TargetStep } from './FillSteps';

/** What each step is given: who comes first, and where it goes on. */
export interface StepProps {
  way: NonNullable<ReturnType<typeof useFirstSteps>>;
  /** "2 of 5". */
  place: string;
  /** To the next step, whether this one was done or not. */
  goOn: () => void;
}

const STEPS: Record<FirstStep, (props: StepProps) => React.ReactNode> = {
  balloons: BalloonsStep,
  pump: PumpStep,
  sizer: SizerStep,
  reading: FillStep,
  target: TargetStep,
};

/** The first minutes of a studio, one step at a time; which one stands in the address. */
export function StartPage() {
  const { step: asked } = useLocalSearchParams<{ step?: string }>();
  const way = useFirstSteps();
  if (!way) {
    return (
      <Page title="The first minutes" back="/bench">
        <Loading what="the studio" />
      </Page>
    );
  }
  const next = way.steps.find(({ done }) => !done)?.step ?? 'target';
  const step = FIRST_STEPS.find((each) => each === asked) ?? next;
  const at = FIRST_STEPS.indexOf(step);
  const after = FIRST_STEPS[at + 1];
  const Step = STEPS[step];
  return (
    <Step
      key={step}
      way={way}
      place={`${at + 1} of ${FIRST_STEPS.length}`}
      goOn={() => router.navigate(after ? `/start?step=${after}` : '/bench')}
    />
  );
}
