import type { PieceDesign, PieceRecord } from '@leggero/contract';
import { useCallback, useEffect, useRef, useState } from 'react';

import { write } from '@/data/outbox';

/** How long the hand rests before a change is kept, ms. */
const REST_MS = 400;

/**
 * A piece's design as it is being changed: the page follows at once, the record once the hand rests, and when the
 * page is left.
 */
export function useDesign<Design extends PieceDesign>(
  piece: PieceRecord,
  design: Design,
): [Design, (by: Partial<Design>) => void] {
  const [changed, setChanged] = useState<Design | null>(null);
  const waiting = useRef<Design | null>(null);
  const { id } = piece;
  // By hand: the effects below run anew whenever these are others, so who they are is part of what they do.
  const keep = useCallback(() => {
    if (!waiting.current) return;
    write({ change: 'piece', id, by: { design: waiting.current } });
    waiting.current = null;
  }, [id]);
  useEffect(() => {
    if (changed === null) return;
    waiting.current = changed;
    const timer = setTimeout(keep, REST_MS);
    return () => clearTimeout(timer);
  }, [changed, keep]);
  useEffect(() => keep, [keep]);
  const now = changed ?? design;
  const change = useCallback(
    (by: Partial<Design>) => setChanged((before) => ({ ...(before ?? design), ...by })),
    [design],
  );
  return [now, change];
}
