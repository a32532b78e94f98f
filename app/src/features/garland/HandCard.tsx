import { MOST_BY_HAND, type ByHand } from '@leggero/contract';
import { View } from 'react-native';

import { MmField, PartPick } from '@/parts/piece/Fields';
import { handOf, nameOf, type GarlandDesign, type GarlandPlan, type PlannedBalloon } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { byHandText, whichText } from '@/wording/garland';

interface HandCardProps {
  design: GarlandDesign;
  view: GarlandPlan;
  basis: PieceBasis;
  /** The balloon that was tapped. */
  tapped: PlannedBalloon | null;
  change: (by: Partial<GarlandDesign>) => void;
}

/** One balloon of a garland changed by hand: another size, another colour, or out; and the way back. */
export function HandCard({ design, view, basis, tapped, change }: HandCardProps) {
  const { hand: all, strip } = design;
  const hand = handOf(design);
  const own = tapped && hand.find((each) => nameOf(each) === nameOf(tapped));
  const put = (by: Partial<ByHand>) => {
    if (!tapped) return;
    const { cluster, layer, place, colour, part } = tapped;
    const at = { cluster, layer, place, strip: strip !== null };
    // What has its colour from the whole keeps the one that is seen.
    const seen = colour === null ? null : part;
    const next = { ...at, out: false, widthMm: null, part: seen, ...own, ...by };
    // The newest is last: that is what is undone first.
    change({ hand: [...all.filter((each) => each !== own), next] });
  };
  const undo = () => change({ hand: all.filter((each) => each !== hand.at(-1)) });
  const full = all.length >= MOST_BY_HAND && !own;
  return (
    <Card title="By hand">
      <View className="gap-3">
        {tapped && !full ? (
          <>
            <Words look="strong">{whichText(tapped, view.strip)}</Words>
            <PartPick label="Made of" part={tapped.part} basis={basis} onChange={(part) => put({ part })} />
            <MmField
              label="Made to"
              value={tapped.widthMm}
              width
              basis={basis}
              onChange={(widthMm) => put({ widthMm })}
            />
            <Button title="Take it out" onPress={() => put({ out: true })} />
          </>
        ) : (
          <Words look="quiet">
            {full
              ? `Up to ${MOST_BY_HAND} balloons are changed by hand.`
              : 'Tap a balloon in the picture to change its size or colour, or to take it out.'}
          </Words>
        )}
        {hand.length > 0 ? <UndoLine sentence={byHandText(hand.length)} onUndo={undo} /> : null}
      </View>
    </Card>
  );
}
