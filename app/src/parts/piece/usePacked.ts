import type { DesignOf } from '@leggero/contract';
import type { Trade } from '@leggero/core';
import type { KeptApart, Wall } from '@leggero/core/garland';
import { useMemo } from 'react';

import { useAsked, useSameFigures, type Asked } from '../useAsked';
import { decorateQuestion, NOTHING_IN, type DecorateQuestion, type InHollows } from './decorators';
import type { GarlandDesign } from './garlandPlan';
import { packFigures, type PackAnswer, type PackedWithGaps, type PackQuestion, type TouchQuestion } from './packing';
import { openGarlandWorker } from './openGarlandWorker';
import { apartQuestion, type ApartQuestion, type GarlandView } from './viewGarland';

/** What is changed by hand, and colours, are seen at once. */
const SHORT_REST_MS = 30;

/**
 * A garland as a worker packs it by the trade's numbers, nothing while they are not known: anew once the hand rests; what
 * is changed by hand is touched up in what is packed.
 */
export function usePacked(view: GarlandView | null, trade: Trade | null): Asked<PackAnswer> {
  const asked = useSameFigures(view && packFigures(view));
  const question = useMemo((): PackQuestion | null => asked && trade && { ...asked, trade }, [asked, trade]);
  const whole = useAsked<PackQuestion, PackAnswer>(openGarlandWorker, question);
  const byHands = useSameFigures(view && { touches: view.touches, moves: view.moves });
  const { answer } = whole;
  const packed = answer && answer !== 'failed' && answer.ok ? answer.value : null;
  const touched = useMemo((): TouchQuestion | null => {
    if (!asked || !trade || !packed || !byHands) return null;
    const { touches, moves } = byHands;
    if (touches.length + moves.length === 0) return null;
    return { points: asked.points, walls: asked.walls, trade, packed, touches, moves };
  }, [asked, packed, byHands, trade]);
  const byHand = useAsked<TouchQuestion, PackAnswer>(openGarlandWorker, touched, { restMs: SHORT_REST_MS });
  if (!touched) return whole;
  return { ...whole, answer: byHand.answer, last: byHand.last ?? whole.last };
}

/** The colours of a packed garland as a worker lays them apart; as they were laid last until it has. */
export function useKeptApart(
  design: DesignOf<'garland'>,
  view: GarlandView | null,
  packed: PackedWithGaps | null,
): KeptApart | null {
  const question = useSameFigures(view && packed && apartQuestion(design, view, packed));
  const { last } = useAsked<ApartQuestion, KeptApart>(openGarlandWorker, question, { restMs: SHORT_REST_MS });
  return question && last;
}

/** What lies in the hollows of a packed garland, as a worker puts it there; as it lay last until it has. */
export function useInHollows(
  design: GarlandDesign,
  packed: PackedWithGaps | null,
  { walls, trade }: { walls: readonly Wall[]; trade: Trade | null },
): InHollows {
  const { decorators, trimmings, seed } = design;
  // What is packed is told apart by what it is: it has too many figures to compare them.
  const asked = useSameFigures({ decorators, trimmings, seed, walls: [...walls] });
  const question = useMemo(
    () => packed && trade && asked && decorateQuestion(asked, packed, { walls: asked.walls, trade }),
    [packed, trade, asked],
  );
  const { last } = useAsked<DecorateQuestion, InHollows>(openGarlandWorker, question, { restMs: SHORT_REST_MS });
  return (question && last) ?? NOTHING_IN;
}
