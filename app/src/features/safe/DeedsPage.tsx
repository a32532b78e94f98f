import { isAtLeast } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { roleHere } from '@/data/access';
import { useDeeds } from '@/data/deeds';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty, Failed, Loading } from '@/ui/States';
import { byDay, doers } from '@/views/deeds';
import { longDayText } from '@/wording/day';

import { DeedRow } from './DeedRow';

/** What was done in the studio, by whom, and the way back. */
export function DeedsPage() {
  return (
    <Page title="Who changed what" back="/studio">
      {isAtLeast(roleHere(), 'planner') ? <Done /> : <Empty sentence="Planners and owners see who changed what." />}
    </Page>
  );
}

function Done() {
  const [by, setBy] = useState('');
  const deeds = useDeeds(by);
  const all = deeds.data?.pages.flatMap((page) => page.deeds) ?? [];
  return (
    <View className="w-full max-w-[640px] gap-4">
      <ByWhom value={by} onChange={setBy} />
      {deeds.isPending ? <Loading what="what was done" /> : null}
      {deeds.isError ? (
        <Failed sentence="This is not kept on devices: it needs the network." onRetry={() => void deeds.refetch()} />
      ) : null}
      {deeds.isSuccess && all.length === 0 ? <Empty sentence="Nothing was changed yet." /> : null}
      {byDay(all).map(({ day, deeds: ofDay }) => (
        <Card key={day} title={longDayText(Date.parse(day), null)}>
          <View role="list" className="gap-4">
            {ofDay.map((deed) => (
              <View key={deed.id} role="listitem">
                <DeedRow deed={deed} />
              </View>
            ))}
          </View>
        </Card>
      ))}
      {deeds.hasNextPage ? (
        <Button
          title="Show what was before"
          tall
          disabled={deeds.isFetchingNextPage}
          onPress={() => void deeds.fetchNextPage()}
        />
      ) : null}
    </View>
  );
}

/** Of whom: everybody, or one of those who did something of late. */
function ByWhom({ value, onChange }: { value: string; onChange: (by: string) => void }) {
  const people = doers(useDeeds('').data?.pages.flatMap((page) => page.deeds) ?? []);
  if (people.length < 2) return null;
  const options = [{ value: '', title: 'Everybody' }, ...people.map(({ id, name }) => ({ value: id, title: name }))];
  return <PickChips label="Who" options={options} value={value} onChange={onChange} />;
}
