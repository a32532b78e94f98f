import { usualLeanDeg, type LinkProblemCode } from '@leggero/core/linking';
import type { ClosedDesign } from '@leggero/contract';
import { formatLength, MM_PER_INCH, STEP_MM, type Problem, type Trade } from '@leggero/core';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { linkProblemText } from '@/wording/linking';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { FORM_STEPS } from '@/parts/piece/viewClosed';

interface ClosedFieldsProps {
  design: ClosedDesign;
  basis: PieceBasis;
  problem: Problem<LinkProblemCode> | null;
  counts: { least: number; most: number };
  /** Numbers of rings that come out. */
  rings: readonly number[];
  change: (by: Partial<ClosedDesign>) => void;
}

const BY = [
  { value: 'base', title: 'By the base' },
  { value: 'mouth', title: 'By the opening' },
] as const;
/** The steps of a sizer in the studio's own unit, and the one that was chosen before in another. */
function stepsIn({ unit }: Lengths, chosenMm: number) {
  return FORM_STEPS.filter((mm) => mm === chosenMm || (mm === STEP_MM.millimetre) === (unit !== 'in')).map((mm) => ({
    value: String(mm),
    title: mm === STEP_MM.millimetre ? '0.1 cm' : formatLength({ mm, unit: 'in', step: mm }),
  }));
}

/** A basket as it is practised: six spokes, two rings. */
function practised(trade: Trade) {
  const baseMm = trade.practisedBasket.spokes * MM_PER_INCH;
  return { count: 6, rings: 2, by: 'base', baseMm, leanDeg: usualLeanDeg('basket', trade) } as const;
}

function practisedText({ practisedBasket }: Trade, text: (mm: number) => string): string {
  const { spokes, firstRing, upperRing, ties } = practisedBasket;
  return [spokes, firstRing, upperRing, ties].map((inches) => text(inches * MM_PER_INCH)).join(' · ');
}

/** What a closed form is made to. */
export function ClosedFields({ design, basis, problem, counts, rings, change }: ClosedFieldsProps) {
  const { trade } = basis.knowledge;
  const { text } = basis.lengths;
  const { form, count } = design;
  const wrong = (field: string) => (problem?.field === field ? linkProblemText(problem, text) : undefined);
  const walled = form === 'basket' || form === 'cup';
  const next = (by: number) => {
    const sorted = by > 0 ? rings : [...rings].reverse();
    return sorted.find((each) => (by > 0 ? each > design.rings : each < design.rings)) ?? design.rings + by;
  };
  return (
    <View className="gap-3">
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Stepper
            label={form === 'basket' ? 'spokes' : 'around'}
            value={count}
            shown={String(count)}
            step={1}
            {...counts}
            onChange={(to) => change({ count: to })}
          />
        </View>
        <View className="flex-1">
          <Stepper
            label="rings"
            value={design.rings}
            shown={String(design.rings)}
            step={1}
            least={walled ? 1 : 0}
            most={6}
            onChange={(to) => change({ rings: Math.min(6, Math.max(walled ? 1 : 0, next(to - design.rings))) })}
          />
        </View>
      </View>
      {[wrong('count'), wrong('rings')].map((each) =>
        each ? (
          <Words key={each} look="error" role="alert">
            {each}
          </Words>
        ) : null,
      )}
      {form === 'basket' ? (
        <Segmented label="Sized by" options={BY} value={design.by} onChange={(by) => change({ by })} />
      ) : null}
      {form === 'basket' ? (
        <Button
          title={`As practised: ${practisedText(trade, text)}`}
          onPress={() => change({ ...practised(trade), stepMm: design.stepMm })}
        />
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {form === 'basket' && design.by === 'mouth' ? (
          <MmField
            label="Clear opening"
            value={design.mouthMm}
            basis={basis}
            error={wrong('mouthMm') ?? wrong('baseMm')}
            onChange={(mouthMm) => change({ mouthMm })}
          />
        ) : (
          <MmField
            label={form === 'basket' ? 'Spoke balloons' : 'Base balloons'}
            width
            value={design.baseMm}
            basis={basis}
            error={wrong('baseMm')}
            onChange={(baseMm) => change({ baseMm })}
          />
        )}
        {walled ? (
          <View className="min-w-[130px] flex-1">
            <NumberField
              label="Leans out, degrees"
              hint="More makes each ring larger."
              value={design.leanDeg}
              range={{ least: 0, most: 30, error: '0 to 30 degrees.' }}
              onChange={(leanDeg) => change({ leanDeg })}
            />
          </View>
        ) : null}
      </View>
      <Labelled label="Steps of your sizer" error={wrong('stepMm')}>
        <PickChips
          label="Steps of your sizer"
          options={stepsIn(basis.lengths, design.stepMm)}
          value={String(design.stepMm)}
          onChange={(value) => change({ stepMm: Number(value) })}
        />
      </Labelled>
    </View>
  );
}
