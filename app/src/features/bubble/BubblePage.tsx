import { bubbleGapMm, bubbleGasL } from '@leggero/core/stuffing';
import { latexMassG } from '@leggero/core/helium';
import type { ShelfModel } from '@leggero/contract';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { useStudio } from '@/data/records';
import { useTrade } from '@/data/trade';
import { BalloonPick } from '@/parts/BalloonPick';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { Labelled } from '@/ui/Field';
import { HeliumCard } from '@/parts/HeliumCard';
import { useWide } from '@/ui/layout';
import { LengthField } from '@/parts/LengthField';
import { LengthFigure } from '@/parts/LengthFigure';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Loading } from '@/ui/States';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { litresText } from '@/wording/helium';
import { BUBBLE_FIELDS, BUBBLE_HOW, bubbleProblemText, bubbleStepText } from '@/wording/stuffing';

import { BubblePicture } from './BubblePicture';
import { BUBBLE_WIDTHS, useBubble } from './useBubble';

const CLEAR = { colourHex: '#b9d3da', finish: 'clear', nominalMm: 457 } as const;
const COLOURED = { colourHex: '#d2577e', finish: 'matte', nominalMm: 305 } as const;
const SOUGHT = BUBBLE_WIDTHS.map((value) => ({ value, title: BUBBLE_FIELDS[value].title }));

/** A bubble: two of its three widths typed, the third worked out, with its steps at the sizer. */
export function BubblePage() {
  const trade = useTrade();
  const { sought, asked, outer, inner, found, steps, change } = useBubble();
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const lengths = useLengths();
  const wide = useWide();
  const back = wide ? undefined : '/shelf';
  if (!knowledge || !studio) {
    return (
      <Page title="Fill a bubble" back={back}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  const { text } = lengths;
  const problem = found.ok ? null : found.problem;
  const shown = found.ok ? found.value : null;
  const gas = shown && bubbleGasL(shown);
  const given = BUBBLE_WIDTHS.filter((each) => each !== sought);
  // A problem with no field among those typed stands at the first of them.
  const at = given.find((each) => each === problem?.field) ?? given[0];
  return (
    <Page title="Fill a bubble" subtitle="Gas in the gap as well as in the inner" back={back}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          {shown ? (
            <>
              <BubblePicture
                widths={shown}
                outer={outer ?? CLEAR}
                inner={inner ?? COLOURED}
                text={text}
                label={
                  `Outer filled to ${text(shown.outerFirstMm)}, then the inner to ${text(shown.innerMm)}: ` +
                  `${text(shown.finalMm)} across, with ${text(bubbleGapMm(shown))} of gap all around`
                }
              />
              <View className="flex-row items-end justify-center gap-2" role="status">
                <Words look="label" className="pb-2">
                  {BUBBLE_FIELDS[sought].title}
                </Words>
                <LengthFigure parts={lengths.parts(shown[sought])} size={56} />
                <Words look="quiet" className="pb-2">
                  {lengths.unit}
                </Words>
              </View>
            </>
          ) : null}
          <Labelled label="Work out">
            <Segmented label="Work out" options={SOUGHT} value={sought} onChange={(find) => change({ find })} />
          </Labelled>
          <View className="flex-row gap-3">
            {given.map((each) => (
              <View key={each} className="flex-1">
                <LengthField
                  label={BUBBLE_FIELDS[each].title}
                  hint={BUBBLE_FIELDS[each].hint}
                  value={asked[each]}
                  lengths={lengths}
                  error={problem && at === each ? bubbleProblemText(problem, text) : undefined}
                  onChange={(mm) => change({ [each]: mm === null ? '' : mm.toFixed(3) })}
                />
              </View>
            ))}
          </View>
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          {steps && shown && gas ? (
            <Card title="At the sizer">
              <Words look="quiet" className="mb-2">
                {BUBBLE_HOW[steps.how]}
              </Words>
              <Steps steps={steps.steps.map((step) => bubbleStepText(step, text))} />
              <Words look="quiet" className="mt-2">
                {`${litresText(gas.gapL)} in the gap and ${litresText(gas.innerL)} in the inner; ` +
                  `${text(bubbleGapMm(steps.widths))} of gap all around.`}
              </Words>
            </Card>
          ) : null}
          <Limits models={knowledge.models} outer={outer} inner={inner} change={change} />
          {shown && gas ? (
            <HeliumCard
              title="If it is to float"
              volumeL={gas.gapL + gas.innerL}
              massG={latexMassG({ ...(outer ?? CLEAR), trade }) + latexMassG({ ...(inner ?? COLOURED), trade })}
              place={{ tempC: studio.workroomTempC, altitudeM: studio.workroomAltitudeM }}
              lengths={lengths}
            />
          ) : null}
          <Cautions names={['burst', 'latex', 'choking']} />
        </View>
      </View>
    </Page>
  );
}

interface LimitsProps {
  models: readonly ShelfModel[];
  outer: ShelfModel | undefined;
  inner: ShelfModel | undefined;
  change: (by: { outer?: string; inner?: string }) => void;
}

/** Which balloons are used: their own limits then hold. */
function Limits({ models, outer, inner, change }: LimitsProps) {
  const singles = models.filter(({ outerId }) => outerId === null);
  return (
    <Card title="Held to the limits of">
      <View className="gap-3">
        <BalloonPick
          label="Outer balloon"
          none="Any balloon"
          models={singles}
          value={outer}
          onChange={(id) => change({ outer: id })}
        />
        <BalloonPick
          label="Inner balloon"
          none="Any balloon"
          models={singles}
          value={inner}
          onChange={(id) => change({ inner: id })}
        />
      </View>
    </Card>
  );
}
