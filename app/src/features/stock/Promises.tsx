import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { useEventNeeds } from '@/parts/useEventNeeds';
import { Words } from '@/ui/Words';
import { stillAsked } from '@/views/supply';
import { promisesText } from '@/wording/supply';

/** Which events take it, with their spares. */
export function Promises({ modelId }: { modelId: string }) {
  const trade = useTrade();
  const book = useStockBook();
  const open = useEventNeeds(null);
  if (!open || open === 'failed' || !book) return null;
  const promises = open.needs.flatMap(({ event, needs, sure }) => {
    const need = needs.find(({ balloon }) => balloon === modelId);
    const name = open.events.find(({ id }) => id === event)?.name;
    const count = need ? stillAsked(need, { event, sure }, { book, trade }) : 0;
    return name && count > 0 ? [{ name, count }] : [];
  });
  return promises.length > 0 ? <Words>{promisesText(promises)}</Words> : null;
}
