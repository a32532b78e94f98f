import type { Write } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { may } from '@/data/access';
import { write } from '@/data/outbox';
import { useModels } from '@/data/records';
import { useRunBatches } from '@/data/runBatches';
import { useOpenRun } from '@/data/runs';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { inCommands } from '@/views/inCommands';

import { batchTargets } from './batchHow';
import { lookIn } from '@/parts/look';
import { changesOf, runOf, type AboutBalloons } from './runOf';
import type { EventWork } from '@/parts/useEventWork';

function writeAll(writes: readonly Write[]): void {
  for (const command of inCommands(writes)) write(...command);
}

/** Begins the inflation run of a recipe, or leads back to the one that goes on, with what changed since. */
export function RunButton({ eventId, work }: { eventId: string; work: EventWork }) {
  const going = useOpenRun(eventId);
  const batchesOf = useRunBatches();
  const models = useModels().data;
  if (going === undefined || !batchesOf || !models) return null;
  const { batches } = work.recipe;
  const about = (): AboutBalloons => ({
    targets: batchTargets(batches, models, work.basis),
    lookOf: (balloon) => lookIn(balloon, models),
    known: (balloon) => models.some(({ id }) => id === balloon),
  });
  const changes = going ? changesOf(going.id, { kept: batchesOf(going.id), batches, about }) : [];
  const go = () => {
    if (!going) writeAll(runOf(eventId, batches, about));
    router.navigate(`/builds/events/${eventId}/run`);
  };
  if (!going && !may('inflation')) return <Words>Its run has not begun yet: who works in the studio begins it.</Words>;
  return (
    <View className="flex-1 gap-2">
      {changes.length > 0 && may('inflationBatch') ? (
        <Button
          title="Take what changed since into the run"
          onPress={() => {
            writeAll(changes);
            go();
          }}
        />
      ) : null}
      <Button
        title={going ? 'Go on with the inflation run' : 'Begin the inflation run'}
        look="primary"
        tall
        disabled={batches.length === 0}
        onPress={go}
      />
    </View>
  );
}
