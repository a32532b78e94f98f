import { router } from 'expo-router';

import { useModels } from '@/data/records';
import { useOpenRun } from '@/data/runs';
import { Button } from '@/ui/Button';

import { batchTargets } from './batchHow';
import { beginRun } from './beginRun';
import { lookIn } from './look';
import type { EventWork } from './useEventWork';

/** Begins the inflation run of a recipe, or leads back to the one that goes on. */
export function RunButton({ eventId, work }: { eventId: string; work: EventWork }) {
  const going = useOpenRun(eventId);
  const models = useModels().data ?? [];
  const { batches } = work.recipe;
  const go = () => {
    if (!going)
      beginRun(eventId, batches, {
        targets: batchTargets(batches, models, work.basis),
        lookOf: (balloon) => lookIn(balloon, models),
        known: (balloon) => models.some(({ id }) => id === balloon),
      });
    router.navigate(`/builds/events/${eventId}/run`);
  };
  return (
    <Button
      title={going ? 'Go on with the inflation run' : 'Begin the inflation run'}
      look="primary"
      tall
      className="flex-1"
      disabled={going === undefined || batches.length === 0}
      onPress={go}
    />
  );
}
