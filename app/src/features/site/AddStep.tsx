import { MOST_STEP } from '@leggero/contract';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';

import { AddText } from './AddText';

/** A step of the studio's own, for this event and all others. */
export function AddStep() {
  return (
    <AddText
      label="A step of your own, for every event"
      most={MOST_STEP}
      title="Add this step"
      onAdd={(text) => write({ put: 'ownStep', row: { id: newId(), text, createdAt: nowUtc() } })}
    />
  );
}
