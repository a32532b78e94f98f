import { coreBalloon, type ShelfModel, type Studio, type TierRecord } from '@leggero/contract';
import { calibrationOrder, sameLine, type CalibrationTask, type Candidate } from '@leggero/core';
import { router } from 'expo-router';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import { figureOf, firstTarget, modelName, viewModel, type ModelView } from '@/views/modelView';
import { useShelf, useStudio, useTiers } from '@/data/records';
import { Aperture } from '@/parts/Aperture';
import { FirstStepsCard } from '@/parts/FirstStepsCard';
import { SearchLink } from '@/parts/SearchLink';
import { useWalk } from '@/parts/useFirstSteps';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { needText } from '@/wording/calibration';
import { capital, listed } from '@/wording/trade';

import { LineUp } from './LineUp';
import { NextEvent } from './NextEvent';
import { StudioLink } from './StudioLink';

/** Today's bench: what is worth calibrating first, and why. */
export function BenchPage() {
  const shelf = useShelf();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const knowledge = useKnowledge();
  if (!knowledge || !tiers || !studio) {
    return (
      <Page title="Bench">
        {shelf.error ? (
          <Failed sentence="The shelf could not be read." onRetry={shelf.refetch} />
        ) : (
          <Loading what="the bench" />
        )}
      </Page>
    );
  }
  return <Shown knowledge={knowledge} tiers={tiers} studio={studio} />;
}

interface ShownProps {
  knowledge: Knowledge;
  tiers: TierRecord[];
  studio: Studio;
}

function Shown({ knowledge, tiers, studio }: ShownProps) {
  const { models } = knowledge;
  const wide = useWide();
  const putAway = useWalk((state) => state.putAway);
  const views = new Map(models.map((model) => [model.id, viewModel({ model, knowledge, tiers, studio })]));
  const tasks = calibrationOrder(models.map((model) => candidateOf(model, views.get(model.id)!, models)));
  if (models.length === 0) {
    return (
      <Page title="Bench" subtitle="What to do next" aside={<StudioLink studio={studio} />}>
        <SearchLink />
        <FirstStepsCard />
        {putAway ? (
          <Empty
            sentence="Put the first balloon on the shelf, and the bench tells what to calibrate."
            action={<Button title="Add a balloon" look="primary" tall onPress={() => router.navigate('/shelf/new')} />}
          />
        ) : null}
      </Page>
    );
  }
  return (
    <Page title="Bench" subtitle="What to do next" aside={<StudioLink studio={studio} />}>
      <SearchLink />
      <View className={wide ? 'flex-row items-start gap-5' : 'gap-3'}>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <NextEvent />
          <FirstStepsCard />
          <Words look="heading" level={2}>
            Worth calibrating first
          </Words>
          {tasks.length === 0 ? (
            <Words>Every balloon on the shelf is known well enough for its targets.</Words>
          ) : (
            tasks.map((task) => (
              <TaskRow
                key={task.id}
                task={task}
                model={models.find(({ id }) => id === task.id)!}
                view={views.get(task.id)!}
              />
            ))
          )}
        </View>
        <View className={wide ? 'flex-1' : ''}>
          <LineUp models={models} views={views} />
        </View>
      </View>
    </Page>
  );
}

function TaskRow({ task, model, view }: { task: CalibrationTask; model: ShelfModel; view: ModelView }) {
  const { text } = useLengths();
  const widthMm = firstTarget(view)?.target.widthMm ?? model.nominalMm;
  const why = listed(task.reasons.map((reason) => needText(reason, text)));
  return (
    <RowLink
      href={`/shelf/${model.id}/reading`}
      title={`${modelName(model)}, ${model.colourName}`}
      note={`${capital(why)}.`}
    >
      <Aperture {...figureOf(model, view.curve, widthMm)} size={56} label={model.colourName} />
    </RowLink>
  );
}

const DAY_MS = 86_400_000;

function candidateOf(model: ShelfModel, view: ModelView, models: readonly ShelfModel[]): Candidate {
  const { fit, curve, targets } = view;
  const last = view.calibration?.readings.at(-1)?.takenAt;
  return {
    id: model.id,
    nominalMm: model.nominalMm,
    fit,
    curve,
    wanted: targets.map(({ target }) => target),
    uses: model.uses,
    sizesThatLearn: models.filter((other) => other.calibrations.length === 0 && sameLine(model, coreBalloon(other)))
      .length,
    daysSince: last ? Math.floor((Date.now() - Date.parse(last)) / DAY_MS) : null,
  };
}
