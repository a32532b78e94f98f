import type { PersonRecord } from '@leggero/contract';
import { compareHands } from '@leggero/core/control';

import { usePeople, useSession, useTurnHands } from '@/data/records';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { offsBy, type SizesView } from '@/views/sized';

import { Compared } from './Compared';

/** How someone's own hands compare with all others; the owner sees each. Private, as what an eye did is. */
export function HandsCard({ view }: { view: SizesView }) {
  const people = usePeople().data;
  const session = useSession().data;
  if (!people || people.length < 2 || !session || view.sized.every(({ turn }) => turn === null)) return null;
  const viewer = people.find(({ id }) => id === session.personId);
  return (
    <Card title="Hands beside hands">
      {viewer ? (
        <Open {...{ view, viewer, people }} />
      ) : (
        <RowLink
          href="/gauges/eye"
          title="Open as yourself"
          note="How hands compare is private to each, and the owner"
        />
      )}
    </Card>
  );
}

const OTHERS = 'The others';

function Open({
  view: { sized },
  viewer,
  people,
}: {
  view: SizesView;
  viewer: PersonRecord;
  people: readonly PersonRecord[];
}) {
  const seen = viewer.owner ? people : [viewer];
  const hands = useTurnHands(seen.map(({ id }) => id));
  if (!hands) return null;
  const nameOf = new Map(seen.map(({ id, name }) => [id, name]));
  // Of those that may not be seen nothing is told: they only stand for what is usual here.
  const judged = compareHands(offsBy(sized, ({ id }) => nameOf.get(hands.get(id) ?? '') ?? OTHERS));
  const own = judged.filter(({ of }) => of !== OTHERS);
  return own.length > 0 ? (
    <Compared judged={own} />
  ) : (
    <RowLink href="/builds" title="No size of yours yet" note="Say whose hands they are where you begin at a station" />
  );
}
