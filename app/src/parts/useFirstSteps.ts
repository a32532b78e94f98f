import type { PumpRecord, ShelfModel } from '@leggero/contract';
import { isWidthKind, MM_PER_INCH } from '@leggero/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

import { usePumps, useShelf, useSizers } from '@/data/records';
import { FIRST_STEPS, type FirstStep } from '@/wording/firstSteps';

interface WalkState {
  /** Steps that leave no record of their own: the pump there is was the right one, the target was looked at. */
  walked: readonly FirstStep[];
  /** The way is not to be shown until the app is opened again. */
  putAway: boolean;
  walk(step: FirstStep): void;
  putItAway(): void;
}

/** What this device remembers of the first minutes. */
export const useWalk = create<WalkState>()(
  persist(
    (set) => ({
      walked: [],
      putAway: false,
      walk: (step) => set(({ walked }) => ({ walked: [...walked.filter((each) => each !== step), step] })),
      putItAway: () => set({ putAway: true }),
    }),
    { name: 'leggero-first-steps', partialize: ({ walked }) => ({ walked }) },
  ),
);

/** An eleven inch. */
const USUAL_MM = 11 * MM_PER_INCH;
/** So many readings nobody takes without a look at what they say. */
const SURELY_SEEN = 6;

/**
 * The steps of the first minutes and which of them are walked, as the records tell; undefined until they have come.
 * `first` is the balloon to begin with: one that was read, or the one nearest to eleven inches; `fresh` the pump that
 * the studio began with, while nothing was measured by it.
 */
export function useFirstSteps() {
  const models = useShelf().data;
  const pumps = usePumps().data;
  const sizers = useSizers().data;
  const { walked, putAway } = useWalk();
  if (!models || !pumps || !sizers) return undefined;
  const filled = models.filter(({ kind, outerId }) => isWidthKind(kind) && outerId === null);
  const most = Math.max(0, ...filled.map(readingsOf));
  const fresh = most === 0 ? pumps.find(isUntouched) : undefined;
  const done: Record<FirstStep, boolean> = {
    balloons: models.length > 0,
    // A studio begins with a hand pump: a second one, one of its own, or readings say that it is settled.
    pump: pumps.length > 1 || (pumps.length > 0 && !fresh),
    sizer: sizers.length > 0,
    reading: most > 0,
    target: most >= SURELY_SEEN || models.some(({ uses }) => uses > 0),
  };
  const steps = FIRST_STEPS.map((step) => ({ step, done: done[step] || walked.includes(step) }));
  const byDistance = [...filled].sort((a, b) => Math.abs(a.nominalMm - USUAL_MM) - Math.abs(b.nominalMm - USUAL_MM));
  const first = filled.find((model) => readingsOf(model) > 0) ?? byDistance[0];
  return { steps, putAway, first, pumps, fresh };
}

const readingsOf = ({ calibrations }: ShelfModel) => calibrations.reduce((sum, each) => sum + each.readings.length, 0);

/** The pump that every studio begins with, as it was. */
const isUntouched = ({ name, kind, doseVolumeL }: PumpRecord) =>
  kind === 'hand' && doseVolumeL === null && name === 'Hand pump';
