import type { DesignOf } from '@leggero/contract';
import type { KeptApart } from '@leggero/core/garland';
import { useMemo } from 'react';

import { useTrade } from '@/data/trade';

import { useAsked, useSameFigures, type Asked } from '../useAsked';
import type { PackAnswer, PackedWithGaps, PackQuestion, TouchQuestion } from './packing';
import { openGarlandWorker } from './openGarlandWorker';
import { apartQuestion, type ApartQuestion, type GarlandView } from './viewGarland';

/** What is changed by hand, and colours, are seen at once. */
const SHORT_REST_MS = 30;

/** A garland as a worker packs it, its balloons pressing by `press` of their widths (none until that is known): anew once the hand rests; what is changed by hand is touched up in what is packed. */
export function usePacked(view: GarlandView | null, press: number | null): Asked<PackAnswer> {
  const general = useTrade();
  // As soft as this studio's garlands are.
  const trade = useMemo(() => (press === null ? null : { ...general, garlandPress: press }), [general, press]);
  const asked = useSameFigures(view && figuresOf(view));
  const question = useMemo((): PackQuestion | null => asked && trade && { ...asked, trade }, [asked, trade]);
  const whole = useAsked<PackQuestion, PackAnswer>(openGarlandWorker, question);
  const touches = useSameFigures(view && view.touches);
  const { answer } = whole;
  const packed = answer && answer !== 'failed' && answer.ok ? answer.value : null;
  const touched = useMemo((): TouchQuestion | null => {
    if (!asked || !trade || !packed || !touches || touches.length === 0) return null;
    return { points: asked.points, walls: asked.walls, trade, packed, touches };
  }, [asked, packed, touches, trade]);
  const byHand = useAsked<TouchQuestion, PackAnswer>(openGarlandWorker, touched, SHORT_REST_MS);
  if (!touched) return whole;
  return { ...whole, answer: byHand.answer, last: byHand.last ?? whole.last };
}

function figuresOf({ clusters, strip, over, points, walls, seed, kept }: GarlandView): Omit<PackQuestion, 'trade'> {
  return { clusters, strip, over, points, walls, seed, kept };
}

/** The colours of a packed garland as a worker lays them apart; as they were laid last until it has. */
export function useKeptApart(
  design: DesignOf<'garland'>,
  view: GarlandView | null,
  packed: PackedWithGaps | null,
): KeptApart | null {
  const question = useSameFigures(view && packed && apartQuestion(design, view, packed));
  const { last } = useAsked<ApartQuestion, KeptApart>(openGarlandWorker, question, SHORT_REST_MS);
  return question && last;
}
