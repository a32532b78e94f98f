import { MOST_CRESCENTS } from '@leggero/contract';
import { LAYER_COUNTS, MM_PER_INCH } from '@leggero/core';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { HoopDesign, HoopView } from '@/parts/piece/viewHoop';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { signText } from '@/wording/hoop';

import { CrescentCard } from './CrescentCard';
import { CountChoice } from './LayerFields';
import { StrokesSheet } from './StrokesSheet';

interface HoopFieldsProps {
  design: HoopDesign;
  view: HoopView | null;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<HoopDesign>) => void;
}

const FIRST_FOOT = { clusters: 2, widthMm: 10 * MM_PER_INCH };
const FIRST_SIGN = { wideMm: 20 * MM_PER_INCH, highMm: 12 * MM_PER_INCH };
const MOST_FOOT = 12;

/** What a hoop is asked for: itself, its foot, its sign. */
export function HoopFields({ design, view, basis, wrong, change }: HoopFieldsProps) {
  const { hoopMm, standMm, foot, sign } = design;
  return (
    <View className="gap-4">
      <CountChoice design={design} counts={LAYER_COUNTS} change={change} />
      <View className="flex-row flex-wrap gap-3">
        <MmField
          label="Hoop across"
          value={hoopMm}
          basis={basis}
          error={wrong('hoopMm')}
          onChange={(mm) => change({ hoopMm: mm })}
        />
        <MmField
          label="Its foot above the floor"
          value={standMm}
          basis={basis}
          onChange={(mm) => change({ standMm: mm })}
        />
      </View>
      <SwitchRow
        label="Larger clusters at its foot"
        value={foot !== null}
        onChange={(on) => change({ foot: on ? FIRST_FOOT : null })}
      />
      {foot ? (
        <View className="flex-row flex-wrap gap-3">
          <View className="min-w-[130px] flex-1">
            <NumberField
              label="Clusters at the foot"
              value={foot.clusters}
              range={{ least: 1, most: MOST_FOOT, error: `1 to ${MOST_FOOT}.` }}
              onChange={(many) => change({ foot: { ...foot, clusters: Math.round(many) } })}
            />
          </View>
          <MmField
            label="Their width"
            value={foot.widthMm}
            width
            basis={basis}
            error={wrong('foot')}
            onChange={(widthMm) => change({ foot: { ...foot, widthMm } })}
          />
        </View>
      ) : null}
      <SwitchRow
        label="A sign inside"
        value={sign !== null}
        onChange={(on) => change({ sign: on ? FIRST_SIGN : null })}
      />
      {sign ? (
        <>
          <View className="flex-row flex-wrap gap-3">
            <MmField
              label="Sign across"
              value={sign.wideMm}
              basis={basis}
              onChange={(wideMm) => change({ sign: { ...sign, wideMm } })}
            />
            <MmField
              label="Sign high"
              value={sign.highMm}
              basis={basis}
              onChange={(highMm) => change({ sign: { ...sign, highMm } })}
            />
          </View>
          {view?.sign ? (
            <Words
              look={view.sign.ok && view.sign.value.freeMm >= 0 ? 'quiet' : 'error'}
              role={view.sign.ok && view.sign.value.freeMm >= 0 ? undefined : 'alert'}
            >
              {signText(view.sign, basis.lengths)}
            </Words>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

/** Every crescent, in widths and strokes; one that was written in strokes is read in. */
export function CrescentCards({ design, view, basis, wrong, change }: HoopFieldsProps) {
  const { crescents, colours } = design;
  const [reading, setReading] = useState<number | null>(null);
  const put = (at: number, by: Partial<HoopDesign['crescents'][number]>) =>
    change({ crescents: crescents.map((crescent, i) => (i === at ? { ...crescent, ...by } : crescent)) });
  const read = ([centreMm, ...rest]: number[]) => {
    const { steps } = crescents[reading!]!;
    put(reading!, {
      centreMm: centreMm!,
      steps: rest.map((widthMm, j) => ({ left: 1, right: 1, ...steps[j], widthMm })),
    });
  };
  return (
    <>
      {crescents.map((crescent, i) => (
        <View key={i} className="gap-2">
          <CrescentCard
            title={`Crescent ${i + 1}`}
            crescent={crescent}
            part={colours[0]!}
            basis={basis}
            scale={view?.plan.crescents[i]?.scale ?? null}
            wrong={(field) => wrong(`crescents.${i}.${field}`)}
            change={(by) => put(i, by)}
            onRemove={crescents.length > 1 ? () => change({ crescents: crescents.filter((_, at) => at !== i) }) : null}
          />
          {wrong(`crescents.${i}`) ? (
            <Words look="error" role="alert">
              {wrong(`crescents.${i}`)}
            </Words>
          ) : null}
          <Button title={`Crescent ${i + 1} from strokes`} onPress={() => setReading(i)} />
        </View>
      ))}
      {crescents.length < MOST_CRESCENTS ? (
        <Button
          title="Another crescent"
          icon={Plus}
          onPress={() => change({ crescents: [...crescents, { ...crescents.at(-1)!, atDeg: 90, between: null }] })}
        />
      ) : null}
      <StrokesSheet
        open={reading !== null}
        onClose={() => setReading(null)}
        part={colours[0]!}
        basis={basis}
        onWidths={read}
      />
    </>
  );
}
