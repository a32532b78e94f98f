import type { ChainRecord, ModelRecord, PieceDesign, PieceForm, StackRecord, Studio } from '@leggero/contract';
import type { OwnNumber } from '@leggero/core';
import { useEffect } from 'react';
import { create } from 'zustand';

import { useChains, useConstants, useModels, useStudio } from '@/data/records';
import { useStacks } from '@/data/measured';
import { keepStills, keptStills, type DrawnStill, type KeptStill } from '@/data/stills';
import { ask } from '@/device/ask';

import type { PlainMaterial } from './material';
import type { StillAnswer, StillQuestion } from './still.worker';

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
  const material = useMaterial(design);
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

/** What of the records a piece is drawn from, and no more: a new reading changes no picture. */
function useMaterial(design: PieceDesign): PlainMaterial | null {
  const models = useModels().data;
  const studio = useStudio().data;
  const chains = useChains().data;
  const stacks = useStacks().data;
  const constants = useConstants().data;
  if (!(models && studio && chains && stacks && constants)) return null;
  return materialOf(design, { models, studio, chains, stacks, constants });
}

/** The balloons that a design names. */
const NAMED = /"modelId":"([^"]+)"/g;

/** Of the records what a design is drawn from. */
function materialOf(
  design: PieceDesign,
  {
    models,
    studio,
    chains,
    stacks,
    constants,
  }: {
    models: readonly ModelRecord[];
    studio: Studio;
    chains: readonly ChainRecord[];
    stacks: readonly StackRecord[];
    constants: readonly OwnNumber[];
  },
): PlainMaterial {
  const named = new Set([...JSON.stringify(design).matchAll(NAMED)].map(([, id]) => id));
  const chooses = CHOOSING.includes(design.form);
  const own = models
    .filter(({ id, kind }) => named.has(id) || (chooses && kind === 'round'))
    .map(({ id, nominalMm, lengthMm, kind, finish, colourName, outerId }) => {
      const sold = { id, nominalMm, lengthMm, kind };
      return chooses ? { ...sold, finish, colourName, outerId } : sold;
    });
  return {
    knowledge: { models: own.filter(({ kind }) => kind !== 'modelling') },
    longs: own.filter(({ kind }) => kind === 'modelling'),
    studio: { stepMm: studio.stepMm },
    stacks: isLayered(design) ? stacks.map(({ layers, heightMm }) => ({ layers, heightMm })) : [],
    chains: chains.filter(({ modelId }) => named.has(modelId)),
    own: constants.map(({ key, value }) => ({ key, value })),
  };
}

const LAYERED: readonly PieceForm[] = ['column', 'taper', 'arch', 'hoop', 'rope', 'bow', 'plinth'];
/** Those that look for each of their sizes among all that the shelf has of their colours. */
const CHOOSING: readonly PieceForm[] = ['taper', 'hoop', 'plinth'];
const isLayered = ({ form }: PieceDesign) => LAYERED.includes(form);

/** Has what is wanted drawn, some at a time, once; what was kept from the last visit is looked at first. */
async function drawWanted(): Promise<void> {
  if (busy || typeof Worker === 'undefined' || typeof OffscreenCanvas === 'undefined') return;
  busy = true;
  try {
    if (useStills.getState().stills === null) useStills.setState({ stills: await keptStills() });
    for (let jobs = nextJobs(); jobs.length > 0; jobs = nextJobs()) {
      const worker = new Worker(new URL('./still.worker', window.location.href));
      const question = { jobs: jobs.map(([, from]) => jobOf(from)), px: PX };
      // A worker whose code is gone, since a newer version came: the next visit asks again.
      const pictures = await ask<StillQuestion, StillAnswer>(worker, { question }).catch(() => null);
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
