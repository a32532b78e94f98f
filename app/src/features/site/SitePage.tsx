import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { WithEvent, type ShownEvent } from '@/parts/WithEvent';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { SITE_PARTS, type SitePart } from '@/wording/site';

import { BackPart } from './BackPart';
import { BuiltPart } from './BuiltPart';
import { SnagPart } from './SnagPart';
import { StepList } from './StepList';

/** Where an event is put up: what is looked at, what is to be put right, how it came out, what goes back. */
export function SitePage({ eventId }: { eventId: string }) {
  return <WithEvent eventId={eventId}>{(shown) => <Shown {...shown} />}</WithEvent>;
}

const PARTS: Record<SitePart, (shown: ShownEvent & { nameOf: (piece: string) => string }) => React.ReactNode> = {
  look: (shown) => <StepList {...shown} />,
  right: (shown) => <SnagPart {...shown} />,
  built: (shown) => <BuiltPart {...shown} />,
  back: (shown) => <BackPart {...shown} />,
};

function Shown(shown: ShownEvent) {
  const wide = useWide();
  const { part: asked } = useLocalSearchParams<{ part: string }>();
  const part = SITE_PARTS.find(({ value }) => value === asked)?.value ?? 'look';
  const { event, pieces } = shown;
  const nameOf = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? 'a piece';
  return (
    <Page title={`Site list: ${event.name}`} back={`/builds/events/${event.id}`}>
      <View className={wide ? 'w-full max-w-[760px] gap-4' : 'gap-4'}>
        <Segmented label="Part" options={SITE_PARTS} value={part} onChange={(to) => router.setParams({ part: to })} />
        {PARTS[part]({ ...shown, nameOf })}
      </View>
    </Page>
  );
}
