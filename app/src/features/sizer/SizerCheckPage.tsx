import type { SizerRecord } from '@leggero/contract';
import type { HoleWay } from '@leggero/core';
import { router } from 'expo-router';
import { useState } from 'react';

import { write } from '@/data/outbox';
import { useSizers } from '@/data/records';
import { WithGauge } from '@/parts/WithGauge';
import { Button } from '@/ui/Button';
import { HoleRow } from '@/parts/HoleRow';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty } from '@/ui/States';
import { Words } from '@/ui/Words';
import { HOLE_WAY_WORDS } from '@/wording/sizer';

import { BarScale } from './BarScale';
import { ChangedTargets } from './ChangedTargets';
import { HoleMeasure } from './HoleMeasure';
import { RelabelCard } from './RelabelCard';

/** A walk through the holes of a sizer with caliper or tape; what was read of each is kept at once. */
export function SizerCheckPage({ sizerId }: { sizerId: string }) {
  const { data } = useSizers();
  return (
    <WithGauge what="sizer" id={sizerId} gauges={data}>
      {(sizer) =>
        sizer && sizer.holes.length > 0 ? (
          <Walk sizer={sizer} />
        ) : (
          <Page title="Check a sizer" back={`/gauges/sizers/${sizerId}`}>
            <Empty sentence="This sizer has no holes yet: add them first, by what is written beside each." />
          </Page>
        )
      }
    </WithGauge>
  );
}

function Walk({ sizer }: { sizer: SizerRecord }) {
  const wide = useWide();
  const [way, setWay] = useState<HoleWay>('caliper');
  const [place, setPlace] = useState(0);
  /** Measurements of this walk, by hole. */
  const [taken, setTaken] = useState<Record<string, string>>({});
  const { holes } = sizer;
  const hole = holes[place];
  const done = Object.keys(taken).length;
  const back = `/gauges/sizers/${sizer.id}`;
  const undo = () => {
    const last = Object.entries(taken).at(-1);
    if (!last) return;
    write({ remove: 'holeMeasurement', id: last[1] });
    setTaken(Object.fromEntries(Object.entries(taken).slice(0, -1)));
    setPlace(holes.findIndex(({ id }) => id === last[0]));
  };
  const finished = place >= holes.length;
  return (
    <Page
      title={`Check ${sizer.name}`}
      subtitle={finished ? `${done} of ${holes.length} measured` : `Hole ${place + 1} of ${holes.length}`}
      back={back}
      aside={done > 0 ? <Button title="Undo" look="plain" onPress={undo} /> : undefined}
      actions={
        finished ? (
          <Button title="Done" look="primary" tall className="flex-1" onPress={() => router.navigate(back)} />
        ) : undefined
      }
    >
      <HoleRow holes={holes} height={wide ? 120 : 76} at={hole?.id} />
      {finished ? (
        <>
          <RelabelCard sizer={sizer} />
          <ChangedTargets sizer={sizer} takenIds={Object.values(taken)} />
        </>
      ) : (
        <>
          <PickChips
            label="Measured with"
            options={(['caliper', 'tape', 'bar'] as const).map((value) => ({
              value,
              title: HOLE_WAY_WORDS[value].title,
            }))}
            value={way}
            onChange={setWay}
          />
          <Words look="quiet">{`${HOLE_WAY_WORDS[way].title}: ${HOLE_WAY_WORDS[way].means}.`}</Words>
          {way === 'bar' ? (
            <BarScale
              sizer={sizer}
              onDone={(ids) => {
                setTaken(ids);
                setPlace(holes.length);
              }}
            />
          ) : hole ? (
            <HoleMeasure
              key={hole.id}
              sizer={sizer}
              hole={hole}
              way={way}
              onKept={(id) => {
                setTaken({ ...taken, [hole.id]: id });
                setPlace(place + 1);
              }}
              onSkip={() => setPlace(place + 1)}
              onBack={place > 0 ? () => setPlace(place - 1) : undefined}
            />
          ) : null}
        </>
      )}
    </Page>
  );
}
