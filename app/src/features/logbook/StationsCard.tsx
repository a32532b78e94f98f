import { compareHands } from '@leggero/core/control';

import { Card } from '@/ui/Card';
import { offsBy, type SizesView } from '@/views/sized';

import { Compared } from './Compared';

/** Stations beside one another, each drawn toward all by as much as its few balloons leave open. */
export function StationsCard({ view: { sized } }: { view: SizesView }) {
  const judged = compareHands(offsBy(sized, (turn) => turn.station));
  return judged.length === 0 ? null : (
    <Card title="Station beside station">
      <Compared judged={judged} />
    </Card>
  );
}
