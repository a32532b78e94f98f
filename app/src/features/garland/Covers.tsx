import { View } from 'react-native';

import type { PackedWithGaps } from '@/parts/piece/packing';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { shareOfRule } from '@/parts/piece/softness';
import type { Softness } from '@/parts/piece/useSoftness';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import {
  coverText,
  fillingClusters,
  fillingHoles,
  lengthText,
  ownRuleText,
  ruleText,
  seenText,
  softnessText,
} from '@/wording/garlandLength';
import { counted } from '@/wording/trade';

import { LengthBars } from './LengthBars';

interface CoversProps {
  design: GarlandDesign;
  packed: PackedWithGaps;
  /** From its front to its back. */
  deepMm: number;
  /** What the trade says such clusters cover; undefined while it is packed anew. */
  ruleMm: number | null | undefined;
  softness: Softness;
  settled: boolean;
  change: (by: Partial<GarlandDesign>) => void;
  text: (mm: number) => string;
}

/** How long a garland came out, beside its path, the trade's rule and this studio's own; and what would fill the path. */
export function Covers({ design: { strip }, packed, deepMm, ruleMm, softness, settled, change, text }: CoversProps) {
  const { lengthMm, pathMm, clusters, bare } = packed;
  // Until it is packed anew, what is said is of the path and the clusters that were packed.
  const covered = { lengthMm, pathMm, clusters };
  const filling = !settled || strip ? null : fillingClusters(covered);
  const holes = settled && strip ? fillingHoles(strip, pathMm) : null;
  const ruled = strip || ruleMm === undefined ? null : ruleMm;
  const own = shareOfRule(softness.finished);
  const ownMm = ruled && own ? own.share * ruled : null;
  return (
    <>
      <View role="status">
        <Words look="strong">{lengthText(covered, strip !== null, text)}</Words>
        <Words look="quiet">{coverText(covered, text, strip !== null)}</Words>
        <Words look="quiet">{seenText({ bare, deepMm, strip: strip !== null }, text)}</Words>
      </View>
      {ruled === null ? null : (
        <LengthBars
          bars={[
            { title: 'As packed', mm: lengthMm },
            { title: 'By the rule', mm: ruled },
            ...(ownMm === null ? [] : [{ title: 'As yours came out', mm: ownMm }]),
          ]}
          pathMm={pathMm}
          text={text}
        />
      )}
      {ruleMm === undefined || strip ? null : (
        <View>
          <Words look="quiet">{ruleText(ruleMm, lengthMm, text)}</Words>
          {own && ownMm !== null ? <Words look="quiet">{ownRuleText(own, ownMm, lengthMm, text)}</Words> : null}
          {softness.learned ? (
            <Words look="quiet">{softnessText(softness.learned, softness.finished.length)}</Words>
          ) : null}
        </View>
      )}
      {filling === null ? null : (
        <Button
          title={`Take ${counted(filling, 'cluster')}: they fill the path`}
          onPress={() => change({ clusters: filling })}
        />
      )}
      {strip && holes !== null ? (
        <Button
          title={`Take ${counted(holes, 'hole')}: they fill the path`}
          onPress={() => change({ strip: { ...strip, holes } })}
        />
      ) : null}
    </>
  );
}
