import { useState } from 'react';

import { write } from '@/data/outbox';
import { chooseFile } from '@/device/download';
import { newId, nowUtc } from '@/device/id';
import { PHOTO_PROBLEMS } from '@/wording/site';

import { smallPhoto } from './smallPhoto';

/** Takes a photo for a step of an event: chosen or taken, made small, kept; or told why it was not. */
export function usePhotoTaking(eventId: string, key: string) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async () => {
    const file = await chooseFile('image/*');
    if (!file) return;
    setBusy(true);
    setProblem(null);
    const made = await smallPhoto(file);
    setBusy(false);
    if ('problem' in made) setProblem(PHOTO_PROBLEMS[made.problem]);
    else await write({ put: 'photo', row: { id: newId(), eventId, key, picture: made.picture, at: nowUtc() } });
  };
  return { take, busy, problem };
}
