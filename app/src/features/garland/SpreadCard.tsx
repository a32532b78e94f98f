import { MOST_UNEVEN } from '@leggero/contract';
import type { Trade } from '@leggero/core';
import { GARLAND_WAYS, type ClusterKind, type GarlandSimulation } from '@leggero/core/garland';
import { useMemo, useState } from 'react';
import { View } from 'react-native';

import type { SimulateAnswer, SimulateQuestion } from '@/parts/piece/garlandAnswer';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { openGarlandWorker } from '@/parts/piece/openGarlandWorker';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { useOwnHands } from '@/parts/piece/useExact';
import { useAsked, useSameFigures } from '@/parts/useAsked';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Progress } from '@/ui/Progress';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { WAY_WORDS } from '@/wording/exact';
import { garlandProblemText } from '@/wording/garland';
import { handsLengthText, mattersText } from '@/wording/garlandLength';

import { RangeBars } from './LengthBars';
import { UnevenField } from './UnevenField';

interface SpreadCardProps {
  design: GarlandDesign;
  /** Its clusters as planned. */
  clusters: readonly ClusterKind[];
  /** With how soft this studio's garlands are; null until that is known. */
  trade: Trade | null;
  basis: PieceBasis;
  change: (by: Partial<GarlandDesign>) => void;
}

/** Uneven on purpose: a quarter of an 11 in balloon from the smallest to the largest (common practice). */
const FIRST_UNEVEN = 0.06;

/** How uneven a garland's balloons are: on purpose, by eye, or sized; and what comes of it. */
export function SpreadCard({ design, clusters, trade, basis, change }: SpreadCardProps) {
  const { uneven, kinds, strip } = design;
  const own = useOwnHands();
  const largestMm = Math.max(...kinds.flatMap(({ balloons }) => balloons.map(({ widthMm }) => widthMm)));
  const { lengths } = basis;
  return (
    <Card title="How even its sizes are">
      <View className="gap-3">
        <SwitchRow
          label="Uneven on purpose"
          value={uneven !== null}
          onChange={(on) => change({ uneven: on ? FIRST_UNEVEN : null })}
        />
        {uneven === null ? null : (
          <>
            <UnevenField
              label="Nearly all within, either way"
              hint={`95 of 100 balloons, at ${lengths.text(largestMm)}; smaller ones by as much less.`}
              uneven={uneven}
              ofMm={largestMm}
              basis={basis}
              onChange={(to) => change({ uneven: to })}
            />
            {own.eye && own.eye.sd !== uneven ? (
              <Button
                title={`As uneven as by my eye: ${lengths.fine(2 * own.eye.sd * largestMm)}`}
                onPress={() => change({ uneven: Math.min(MOST_UNEVEN, own.eye!.sd) })}
              />
            ) : null}
          </>
        )}
        {strip || !trade ? null : <ByHands {...{ clusters, trade, basis }} own={own} seed={design.seed} />}
      </View>
    </Card>
  );
}

interface ByHandsProps {
  clusters: readonly ClusterKind[];
  own: SimulateQuestion['own'];
  seed: number;
  trade: Trade;
  basis: PieceBasis;
}

/** How long it comes out by eye and with a sizer, the same clusters turned alike; and which sizes matter for that. */
function ByHands({ clusters, own, seed, trade, basis }: ByHandsProps) {
  const [wanted, setWanted] = useState(false);
  const figures = useSameFigures(wanted ? { clusters: [...clusters], own, seed } : null);
  const question = useMemo((): SimulateQuestion | null => (figures ? { ...figures, trade } : null), [figures, trade]);
  const { answer, last, share, stopped, stop, again } = useAsked<SimulateQuestion, SimulateAnswer>(
    openGarlandWorker,
    question,
  );
  if (!wanted) return <Button title="By eye, or sized? Find out" onPress={() => setWanted(true)} />;
  if (answer === 'failed') return <Words look="error">It could not be worked out here. Load the page again.</Words>;
  if (answer && !answer.ok)
    return (
      <Words look="error" role="alert">
        {garlandProblemText(answer.problem, basis.lengths.text)}
      </Words>
    );
  const found = last?.ok ? last.value : null;
  return (
    <>
      {found ? <Found found={found} clusters={clusters.length} basis={basis} /> : null}
      {answer ? null : stopped ? (
        <Button title="Make them after all" onPress={again} />
      ) : (
        <View className="gap-2">
          <Progress label="Making it again and again" share={share} />
          <Button title="Stop" onPress={stop} />
        </View>
      )}
    </>
  );
}

interface FoundProps {
  found: GarlandSimulation;
  clusters: number;
  basis: PieceBasis;
}

function Found({ found, clusters, basis: { lengths } }: FoundProps) {
  const { planned, ways, sizes } = found;
  return (
    <>
      <Words look="strong" role="status">
        {handsLengthText(found, clusters, lengths.text)}
      </Words>
      <RangeBars
        bars={[
          { title: 'As planned', ...planned },
          ...GARLAND_WAYS.map((way) => ({ title: WAY_WORDS[way], ...ways[way].lengthMm })),
        ]}
        text={lengths.text}
      />
      <View>
        <Words look="strong">Which sizes matter for its length</Words>
        {sizes.map((size) => (
          <Words key={`${size.nominalMm} ${size.widthMm}`}>{mattersText(size, planned.mean, lengths)}</Words>
        ))}
      </View>
    </>
  );
}
