import { MOST_BY_HAND, MOST_KEPT, type ByHand } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { seedsOf, type Place } from '@leggero/core/garland';
import Down from 'lucide-react-native/icons/arrow-down';
import Left from 'lucide-react-native/icons/arrow-left';
import Right from 'lucide-react-native/icons/arrow-right';
import Up from 'lucide-react-native/icons/arrow-up';
import Lock from 'lucide-react-native/icons/lock';
import type { LucideIcon } from 'lucide-react-native';
import { View } from 'react-native';

import { MmField, PartPick } from '@/parts/piece/Fields';
import {
  handOf,
  isMadeSo,
  nameOf,
  type GarlandDesign,
  type GarlandPlan,
  type PlannedBalloon,
} from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { byHandText, keptText, movedText, whichText } from '@/wording/garland';

import { movedBy } from './moved';

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
  const { hand: all, strip, kept, moved } = design;
  const moves = moved.filter(isMadeSo(design));
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
            <View role="group" aria-label="Move its cluster" className="flex-row items-center gap-2">
              <Words className="flex-1">Its cluster: drag it by its arrows in the picture, or an inch</Words>
              {NUDGES.map(({ label, icon, by }) => (
                <IconButton key={label} label={label} icon={icon} onPress={() => change(movedBy(design, tapped, by))} />
              ))}
            </View>
            {tapped.cluster > 0 ? (
              <Button
                title="Keep what comes before it as it lies"
                icon={Lock}
                onPress={() => change({ kept: keptBefore(tapped.cluster, design) })}
              />
            ) : null}
          </>
        ) : (
          <Words look="quiet">
            {full
              ? `Up to ${MOST_BY_HAND} balloons are changed by hand.`
              : 'Tap a balloon in the picture to change its size or colour, or to take it out.'}
          </Words>
        )}
        {kept.length > 0 ? (
          <UndoLine
            sentence={keptText(kept.at(-1)!.before, strip !== null)}
            title="Let go"
            onUndo={() => change({ kept: [], seed: kept[0]!.seed })}
          />
        ) : null}
        {moves.length > 0 ? (
          <UndoLine
            sentence={movedText(moves.length)}
            onUndo={() => change({ moved: moved.filter((each) => each !== moves.at(-1)) })}
          />
        ) : null}
        {hand.length > 0 ? <UndoLine sentence={byHandText(hand.length)} onUndo={undo} /> : null}
      </View>
    </Card>
  );
}

/** An inch each way, as the wall is looked at. */
const NUDGES: { label: string; icon: LucideIcon; by: Place }[] = [
  { label: 'Cluster to the left', icon: Left, by: [-MM_PER_INCH, 0, 0] },
  { label: 'Cluster to the right', icon: Right, by: [MM_PER_INCH, 0, 0] },
  { label: 'Cluster up', icon: Up, by: [0, 0, MM_PER_INCH] },
  { label: 'Cluster down', icon: Down, by: [0, 0, -MM_PER_INCH] },
];

/** What is kept where all before a cluster is to stay as it lies now. */
function keptBefore(cluster: number, { kept, seed }: GarlandDesign): GarlandDesign['kept'] {
  const last = { before: cluster, seed: seedsOf({ seed, kept })(cluster - 1) };
  const before = kept.filter((each) => each.before < cluster);
  // One beginning more than can be told apart takes the place of the last.
  return [...before.slice(0, MOST_KEPT - 1), last];
}
