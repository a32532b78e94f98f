import { holdsAtRest, ownLeanDeg, restingLeanDeg, standingAcross } from '@leggero/core/linking';
import { useMemo } from 'react';
import { View } from 'react-native';

import type { PieceBasis } from '@/parts/piece/useBasis';
import type { ClosedView } from '@/parts/piece/viewClosed';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { leanText, restingLeanText, standsLines } from '@/wording/linking';

interface StandsCardProps {
  view: ClosedView;
  basis: PieceBasis;
  onLean: (leanDeg: number) => void;
}

/** Leans nearer to one another than this are one on a sizer's steps, degrees. */
const ONE_LEAN_DEG = 3;

/** How a basket comes to rest on its soft balloons, and whether its rings are sized for the wall that it has there. */
export function StandsCard({ view, basis, onLean }: StandsCardProps) {
  const { trade } = basis.knowledge;
  const { standing, snapped } = view;
  const { form } = snapped;
  const rests = useMemo(() => {
    if (!holdsAtRest(form, trade)) return null;
    const leanDeg = restingLeanDeg(form, trade);
    const same = leanDeg === null || Math.abs(leanDeg - form.shape.leanDeg) < ONE_LEAN_DEG;
    return { across: standingAcross(form, trade), leanDeg, ownDeg: same ? null : ownLeanDeg(form.shape, trade) };
  }, [form, trade]);
  if (!rests)
    return (
      <Card title="How it stands">
        <Words look="error" role="alert">
          Drawn by its knots alone: laid like this its balloons would press further into one another than balloons do.
          Fewer spokes, or a wall that leans less.
        </Words>
      </Card>
    );
  return (
    <Card title="How it stands">
      <View className="gap-2">
        {standsLines(standing, rests.across, basis.lengths.text).map((line, i) => (
          <Words key={line} look={i === 0 ? 'strong' : 'body'}>
            {line}
          </Words>
        ))}
        {rests.leanDeg === null ? null : (
          <Words>{restingLeanText(rests.leanDeg, form.shape.leanDeg, ONE_LEAN_DEG)}</Words>
        )}
        {rests.ownDeg === null ? null : (
          <Button
            title={`Size its rings for ${leanText(rests.ownDeg)}`}
            onPress={() => onLean(Math.round(10 * rests.ownDeg!) / 10)}
          />
        )}
        <Words look="quiet">
          Worked out with soft balloons that press into one another, stick, and pull on their necks; how hard a neck
          pulls is an estimate.
        </Words>
      </View>
    </Card>
  );
}
