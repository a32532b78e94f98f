import { useState } from 'react';
import { View } from 'react-native';

import { useEvents } from '@/data/records';
import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { CHANGE_WORDS } from '@/wording/stock';

import { CountField } from './CountField';

/** For no event in particular. */
const NONE = 'none';
const CHANGES = ['counted', 'out', 'back', 'spoiled'] as const;

/** Balloons that were counted, went out, came back or were spoiled. */
export function Happened({ modelId }: { modelId: string }) {
  const [change, setChange] = useState<(typeof CHANGES)[number]>('counted');
  const [count, setCount] = useState<number | null>(null);
  const [eventId, setEvent] = useState<string | null>(null);
  const events = useEvents().data ?? [];
  const moves = change === 'out' || change === 'back';
  const keep = () => {
    if (count === null) return;
    const row = { id: newId(), modelId, eventId: moves ? eventId : null, change, count, at: nowUtc() };
    write({ put: 'stockEntry', row });
    setCount(null);
  };
  return (
    <Card title="What happened">
      <View className="gap-3">
        <Segmented
          label="What happened"
          options={CHANGES.map((value) => ({ value, title: CHANGE_WORDS[value].short }))}
          value={change}
          onChange={setChange}
        />
        <CountField label={CHANGE_WORDS[change].asked} value={count} onChange={setCount} />
        {moves && events.length > 0 ? (
          <Labelled label="For which event">
            <PickChips
              label="For which event"
              options={[{ value: NONE, title: 'None' }, ...events.map(({ id, name }) => ({ value: id, title: name }))]}
              value={eventId ?? NONE}
              onChange={(id) => setEvent(id === NONE ? null : id)}
            />
          </Labelled>
        ) : null}
        <Button title="Write it down" look="primary" tall disabled={count === null} onPress={keep} />
      </View>
    </Card>
  );
}
