import type { ModelRecord } from '@leggero/contract';
import { Pressable, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { BatchPick } from '@/parts/BatchPick';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import type { ShownBatch, ShownRun } from '@/views/inflation';
import { chosenName } from '@/views/modelView';
import { madeText } from '@/wording/inflation';
import { batchMark } from '@/wording/batchMark';
import { listed } from '@/wording/trade';

import { SoundFields } from './SoundFields';
import type { AtStation } from './useTaps';

interface BatchesSheetProps {
  open: boolean;
  onClose: () => void;
  run: ShownRun;
  models: readonly ModelRecord[];
  at: AtStation;
  /** The one that is made here. */
  batch: ShownBatch;
  onGo: (batchId: string) => void;
  onBag: (bagId: string | null) => void;
  onStation: () => void;
  onEnd: () => void;
}

/** All batches of a run, who is at them and how far they are; and what else a station may say of itself. */
export function BatchesSheet(props: BatchesSheetProps) {
  const { open, onClose, run, models, at, batch, onGo, onBag, onStation, onEnd } = props;
  return (
    <Sheet title="All batches" open={open} onClose={onClose}>
      <View role="list">
        {run.batches.map((each) => (
          <View key={each.id} role="listitem">
            <BatchLine run={run} batch={each} models={models} here={each.id === batch.id} onGo={onGo} />
          </View>
        ))}
      </View>
      {batch.modelId ? <BatchPick modelId={batch.modelId} value={at.bagId} onChange={onBag} /> : null}
      <SoundFields />
      <Button title="Another station, or other hands" onPress={onStation} />
      <Button title="End the run" look="danger" onPress={onEnd} />
    </Sheet>
  );
}

interface BatchLineProps {
  run: ShownRun;
  batch: ShownBatch;
  models: readonly ModelRecord[];
  here: boolean;
  onGo: (batchId: string) => void;
}

function BatchLine({ run, batch, models, here, onGo }: BatchLineProps) {
  const { text } = useLengths();
  const model = models.find(({ id }) => id === batch.modelId);
  const { by, wanted, lost, left } = run.progress.batches.find((each) => each.batch === batch.id)!;
  const stations = [...new Set(batch.turns.map(({ station }) => station))];
  const state = left === 0 ? 'through' : here ? 'here' : stations.length > 0 ? listed(stations) : 'not begun';
  return (
    <Pressable
      role="button"
      aria-label={`Batch ${batchMark(batch.place)}: ${madeText({ done: by.done, wanted })}, ${state}`}
      onPress={() => onGo(batch.id)}
      className={`min-h-[60px] flex-row items-center gap-3 border-b border-line px-1 active:bg-sunk ${here ? 'bg-pine-wash' : ''}`}
    >
      <Words look="figure" className="w-8 text-[22px] leading-8">
        {batchMark(batch.place)}
      </Words>
      <View className="flex-1">
        <Words look="strong">{`${text(batch.fillMm)} · ${madeText({ done: by.done, wanted })}`}</Words>
        <Words look="quiet" numberOfLines={1}>
          {chosenName(model)}
        </Words>
      </View>
      <View className="items-end">
        <Words look="label">{state}</Words>
        {lost > 0 ? <Words look="quiet">{`${lost} lost`}</Words> : null}
      </View>
    </Pressable>
  );
}
