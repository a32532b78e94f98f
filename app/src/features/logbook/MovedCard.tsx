import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import type { SizesView } from '@/views/sized';
import { dayText } from '@/wording/day';
import { bagText, movedText } from '@/wording/logbook';

interface MovedCardProps {
  view: SizesView;
  /** The batch of each bag of this balloon. */
  batches: ReadonlyMap<string, string>;
  modelId: string;
}

/** What moved the newest sizes, if anything did, and what to do. */
export function MovedCard({ view: { sized, moved, askedFrom }, batches, modelId }: MovedCardProps) {
  const { fine } = useLengths();
  const said = movedText(moved.mover, {
    fine,
    bagOf: (id) => bagText(batches.get(id)),
    dayOf: (at) => dayText(sized[askedFrom + at]!.at),
  });
  if (said === null) return null;
  return (
    <Card title="What moved">
      <Words className="mb-3">{said}</Words>
      <RowLink href={`/shelf/${modelId}/reading`} title="Calibrate two" note="A reading each is enough to see it" />
    </Card>
  );
}
