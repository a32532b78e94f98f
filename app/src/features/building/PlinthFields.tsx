import { MOST_STANDING } from '@leggero/contract';
import { LAYER_COUNTS, MM_PER_INCH } from '@leggero/core';
import { coverBoard } from '@leggero/core/building';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';

import { CountField, MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { PlinthDesign, PlinthView } from '@/parts/piece/viewPlinth';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { boardText, tooLightText, weightsText } from '@/wording/plinth';

import { CountChoice, WidthField } from './LayerFields';
import { WindCaution, WindChoice } from './WindChoice';

interface PlinthFieldsProps {
  design: PlinthDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<PlinthDesign>) => void;
}

const MOST_CLUSTERS = 30;
const FIRST_SMALL_MM = 4 * MM_PER_INCH;
const FIRST_FIGURE = { wideMm: 18 * MM_PER_INCH, highMm: 30 * MM_PER_INCH, kg: 0.1 };
const FIRST_BOARD = { acrossMm: 14 * MM_PER_INCH };
const MOST_KG = 100;
const KG = { least: 0, most: MOST_KG, error: `0 to ${MOST_KG} kg.` };

/** What a plinth is asked for: its clusters, the small ones between them, and what stands on it. */
export function PlinthFields({ design, basis, wrong, change }: PlinthFieldsProps) {
  const { clusters, widthMm, smallMm, standing } = design;
  const put = (at: number, by: Partial<PlinthDesign['standing'][number]>) =>
    change({ standing: standing.map((each, i) => (i === at ? { ...each, ...by } : each)) });
  return (
    <View className="gap-4">
      <CountChoice design={design} counts={LAYER_COUNTS} change={change} />
      <View className="flex-row flex-wrap gap-3">
        <CountField
          label="Clusters in the row"
          value={clusters}
          most={MOST_CLUSTERS}
          of="clusters"
          onChange={(many) => change({ clusters: many })}
        />
        <WidthField {...{ widthMm, basis, wrong, change }} />
      </View>
      <SwitchRow
        label="Small clusters between them"
        value={smallMm !== null}
        onChange={(on) => change({ smallMm: on ? FIRST_SMALL_MM : null })}
      />
      {smallMm === null ? null : (
        <MmField
          label="Width of the small ones"
          value={smallMm}
          width
          basis={basis}
          error={wrong('smallMm')}
          onChange={(mm) => change({ smallMm: mm })}
        />
      )}
      {standing.map(({ wideMm, highMm, kg }, i) => (
        <View key={i} className="flex-row flex-wrap items-end gap-2">
          <MmField
            label={`Figure ${i + 1} across`}
            value={wideMm}
            basis={basis}
            onChange={(mm) => put(i, { wideMm: mm })}
          />
          <MmField
            label={`Figure ${i + 1} high`}
            value={highMm}
            basis={basis}
            onChange={(mm) => put(i, { highMm: mm })}
          />
          <View className="w-[100px]">
            <NumberField
              label={`Figure ${i + 1}, kg`}
              value={kg}
              range={KG}
              onChange={(next) => put(i, { kg: next })}
            />
          </View>
          <IconButton
            label={`Take figure ${i + 1} off`}
            icon={X}
            onPress={() => change({ standing: standing.filter((_, at) => at !== i) })}
          />
        </View>
      ))}
      {wrong('standing') ? (
        <Words look="error" role="alert">
          {wrong('standing')}
        </Words>
      ) : null}
      {standing.length < MOST_STANDING ? (
        <Button
          title="A figure or sign on it"
          icon={Plus}
          onPress={() => change({ standing: [...standing, FIRST_FIGURE] })}
        />
      ) : null}
    </View>
  );
}

/** The weights at a plinth's ends: what they are, and what they must be. */
export function WeightsCard({ design, view, basis, wrong, change }: PlinthFieldsProps & { view: PlinthView | null }) {
  const { weightKg, wind } = design;
  const { unit } = basis.lengths;
  const light = view ? tooLightText(view.plan, unit) : null;
  return (
    <Card title="Weights">
      <View className="gap-3">
        <NumberField
          label="At each end, kg"
          value={weightKg}
          range={{ ...KG, error: wrong('weightKg') ?? KG.error }}
          onChange={(kg) => change({ weightKg: kg })}
        />
        {light ? (
          <Words look="error" role="alert">
            {light}
          </Words>
        ) : null}
        <WindChoice wind={wind} basis={basis} onChange={(to) => change({ wind: to })} />
        {view ? (
          <Words look="strong" role="status">
            {weightsText(view.plan, unit)}
          </Words>
        ) : null}
        <WindCaution wind={wind} />
      </View>
    </Card>
  );
}

/** A round board under a plinth or beside it, covered with half a foil. */
export function BoardCard({ design, basis, change }: Omit<PlinthFieldsProps, 'wrong'>) {
  const { board } = design;
  const cover = board && coverBoard({ acrossMm: board.acrossMm, trade: basis.knowledge.trade });
  return (
    <Card title="A round board">
      <View className="gap-3">
        <SwitchRow
          label="Covered with half a foil"
          value={board !== null}
          onChange={(on) => change({ board: on ? FIRST_BOARD : null })}
        />
        {board && cover ? (
          <>
            <MmField
              label="Board across"
              value={board.acrossMm}
              basis={basis}
              error={cover.ok ? undefined : 'No round foil is large enough for that.'}
              onChange={(acrossMm) => change({ board: { acrossMm } })}
            />
            {cover.ok ? <Words>{boardText(cover.value, basis.lengths)}</Words> : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}
