import { LOSS_WORKS, type LossWork } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { BatchPick } from '@/parts/BatchPick';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';

import { CountField } from './CountField';

const WORK_TITLES: Record<LossWork, string> = { inflate: 'In filling', build: 'In building' };

/** So many went through some work, and so many of them were lost. */
export function LostCard({ modelId }: { modelId: string }) {
  const [bagId, setBag] = useState<string | null>(null);
  const [work, setWork] = useState<LossWork>('inflate');
  const [used, setUsed] = useState<number | null>(null);
  const [lost, setLost] = useState<number | null>(null);
  const tooMany = used !== null && lost !== null && lost > used;
  const ready = used !== null && used > 0 && lost !== null && !tooMany;
  const keep = () => {
    if (!ready) return;
    write({ put: 'loss', row: { id: newId(), modelId, bagId, work, used, lost, at: nowUtc() } });
    setUsed(null);
    setLost(null);
  };
  return (
    <Card title="Losses">
      <View className="gap-3">
        <Labelled label="Where">
          <Segmented
            label="Where"
            options={LOSS_WORKS.map((value) => ({ value, title: WORK_TITLES[value] }))}
            value={work}
            onChange={setWork}
          />
        </Labelled>
        <BatchPick modelId={modelId} value={bagId} onChange={setBag} />
        <View className="flex-row gap-3">
          <View className="flex-1">
            <CountField label="Used" value={used} onChange={setUsed} />
          </View>
          <View className="flex-1">
            <CountField
              label="Lost"
              value={lost}
              error={tooMany ? 'No more are lost than were used.' : undefined}
              onChange={setLost}
            />
          </View>
        </View>
        <Button title="Add losses" disabled={!ready} onPress={keep} />
      </View>
    </Card>
  );
}
