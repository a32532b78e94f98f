import { View } from 'react-native';

import { useModels } from '@/data/records';
import { write } from '@/data/outbox';
import { useOwnSteps, useSiteTicks } from '@/data/site';
import { newId, nowUtc } from '@/device/id';
import { Cautions } from '@/parts/Cautions';
import { WithEvent, type ShownEvent } from '@/parts/WithEvent';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Progress } from '@/ui/Progress';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { siteList, type ListedStep } from '@/views/site';
import { lookedText, TIME_WORDS } from '@/wording/site';

import { AddStep } from './AddStep';
import { StepRow } from './StepRow';

/** What is looked at where an event is put up, step by step. */
export function SitePage({ eventId }: { eventId: string }) {
  return <WithEvent eventId={eventId}>{(shown) => <Shown {...shown} />}</WithEvent>;
}

function Shown({ event, pieces }: ShownEvent) {
  const wide = useWide();
  const models = useModels().data;
  const own = useOwnSteps();
  const ticks = useSiteTicks(event.id);
  const list = models && own && ticks && siteList({ outdoors: event.outdoors, pieces, models, own, ticks });
  const page = { title: `Site list: ${event.name}`, back: `/builds/events/${event.id}` };
  if (!list)
    return (
      <Page {...page}>
        <Loading what="the list" />
      </Page>
    );
  const steps = list.flatMap((part) => part.steps);
  const done = steps.filter((step) => step.ticks.length > 0).length;
  const toggle = ({ key, ticks: seen }: ListedStep) =>
    seen.length > 0
      ? write(...seen.map(({ id }) => ({ remove: 'siteTick' as const, id })))
      : write({ put: 'siteTick', row: { id: newId(), eventId: event.id, key, at: nowUtc() } });
  const nameOf = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? 'a piece';
  return (
    <Page {...page}>
      <Progress share={done / steps.length} label={lookedText(done, steps.length)} />
      <View className={wide ? 'w-full max-w-[760px] gap-4' : 'gap-4'}>
        {list.map((part) => (
          <View key={part.time} className="gap-1">
            <Words look="heading" level={2}>
              {TIME_WORDS[part.time]}
            </Words>
            <View role="list">
              {part.steps.map((step) => (
                <StepRow key={step.key} {...{ step, nameOf }} onToggle={() => toggle(step)} />
              ))}
            </View>
          </View>
        ))}
        <AddStep />
        <Cautions names={['latex', 'heights', 'power', 'choking']} />
      </View>
    </Page>
  );
}
