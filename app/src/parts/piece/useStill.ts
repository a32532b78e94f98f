import type { PieceDesign } from '@leggero/contract';
import { useEffect } from 'react';
import { create } from 'zustand';

import { keepStills, keptStills, type DrawnStill, type KeptStill } from '@/data/stills';
import { ask } from '@/device/ask';

import type { PlainMaterial } from './material';
import { openPieceWorker } from './openPieceWorker';
import type { StillAnswer, StillQuestion } from './piece.worker';
import { useMaterials } from './useMaterials';

/** Of a still: sharp in a list, and still so where an event shows it larger. */
const PX = 288;
/** Pieces a worker draws before the page is shown them. */
const AT_ONCE = 12;
/** Changes when the way of drawing does: what was drawn before is drawn again. */
const HAND = 2;

/** What a picture is drawn from, as it is written to tell one from another. */
type DrawnFrom = [hand: number, design: PieceDesign, material: PlainMaterial];

const useStills = create<{ stills: ReadonlyMap<string, KeptStill> | null }>(() => ({ stills: null }));
/** What each piece that is wanted is drawn from. */
const wanted = new Map<string, string>();
let busy = false;

/**
 * A piece as it looks: as this device has it, until a worker has drawn it as it is now.
 * Null while there is none.
 */
export function useStill(id: string, design: PieceDesign): DrawnStill | null {
  const material = useMaterials()?.(design);
  const from = material && JSON.stringify([HAND, design, material] satisfies DrawnFrom);
  const kept = useStills(({ stills }) => stills?.get(id));
  const keptFrom = kept?.from;
  useEffect(() => {
    if (!from || keptFrom === from) return;
    wanted.set(id, from);
    void drawWanted();
  }, [id, from, keptFrom]);
  return kept?.still ?? null;
}

/** Has what is wanted drawn, some at a time, once; what was kept from the last visit is looked at first. */
async function drawWanted(): Promise<void> {
  if (busy || typeof Worker === 'undefined' || typeof OffscreenCanvas === 'undefined') return;
  busy = true;
  try {
    if (useStills.getState().stills === null) useStills.setState({ stills: await keptStills() });
    for (let jobs = nextJobs(); jobs.length > 0; jobs = nextJobs()) {
      const question = { jobs: jobs.map(([, from]) => jobOf(from)), px: PX };
      // A worker whose code is gone, since a newer version came: the next visit asks again.
      const pictures = await ask<StillQuestion, StillAnswer>(openPieceWorker(), { question }).catch(() => null);
      if (!pictures) return;
      const drawn = new Map(jobs.map(([id, from], i) => [id, { from, still: pictures[i] ?? null }]));
      useStills.setState(({ stills }) => ({ stills: new Map([...(stills ?? []), ...drawn]) }));
      await keepStills(drawn);
    }
  } finally {
    busy = false;
  }
}

/** The next few that are not drawn yet. */
function nextJobs(): [id: string, from: string][] {
  const { stills } = useStills.getState();
  const jobs: [string, string][] = [];
  for (const [id, from] of wanted) {
    if (jobs.length === AT_ONCE) break;
    wanted.delete(id);
    if (stills?.get(id)?.from !== from) jobs.push([id, from]);
  }
  return jobs;
}

function jobOf(from: string): StillQuestion['jobs'][number] {
  const [, design, material] = JSON.parse(from) as DrawnFrom;
  return { design, material };
}
