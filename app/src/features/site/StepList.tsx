import { View } from 'react-native';

import { useModels } from '@/data/records';
import { useOwnSteps, usePhotos, useSiteTicks } from '@/data/site';
import { Cautions } from '@/parts/Cautions';
import type { ShownEvent } from '@/parts/WithEvent';
import { Progress } from '@/ui/Progress';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { siteList } from '@/views/site';
import { lookedText, TIME_WORDS } from '@/wording/site';

import { AddStep } from './AddStep';
import { StepRow } from './StepRow';
import { toggleTick } from './toggleTick';

/** What is looked at, step by step; photos go with a step. */
export function StepList({ event, pieces, nameOf }: ShownEvent & { nameOf: (piece: string) => string }) {
  const models = useModels().data;
  const own = useOwnSteps();
  const ticks = useSiteTicks(event.id);
  const photos = usePhotos(event.id);
  const list = models && own && ticks && siteList({ outdoors: event.outdoors, pieces, models, own, ticks });
  if (!list || !photos) return <Loading what="the list" />;
  const steps = list.flatMap((part) => part.steps);
  const done = steps.filter((step) => step.ticks.length > 0).length;
  return (
    <>
      <Progress share={done / steps.length} label={lookedText(done, steps.length)} />
      {list.map((part) => (
        <View key={part.time} className="gap-1">
          <Words look="heading" level={2}>
            {TIME_WORDS[part.time]}
          </Words>
          <View role="list">
            {part.steps.map((step) => (
              <StepRow
                key={step.key}
                {...{ step, nameOf }}
                eventId={event.id}
                photos={photos.filter(({ key }) => key === step.key)}
                onToggle={() => toggleTick(event.id, step.key, step.ticks)}
              />
            ))}
          </View>
        </View>
      ))}
      <AddStep />
      <Cautions names={['latex', 'heights', 'power', 'choking']} />
    </>
  );
}
