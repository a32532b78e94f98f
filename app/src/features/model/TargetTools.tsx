import { roundDose } from '@leggero/core';
import { evenDoses } from '@leggero/core/calibrating';
import { View } from 'react-native';

import { bestHole, targetOf, type SizerChoice } from '@/views/holes';
import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import type { TierTarget } from '@/views/modelView';
import { Tool } from '@/ui/Tool';
import { doseText } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

/** The tools that reach a target, side by side: hole, dose, tape. */
export function TargetTools({ model, view, sizers, chosen }: ShownModel & { chosen: TierTarget }) {
  const trade = useTrade();
  const lengths = useLengths();
  const { target } = chosen;
  return (
    <View className="flex-row gap-2">
      <HoleTool choice={bestHole(sizers, targetOf(model, target), trade)} none={sizers.length === 0} />
      <DoseTool view={view} target={target} />
      <Tool
        title="Tape around"
        figure={lengths.bare(target.circumferenceMm)}
        note={lengths.unit === 'in' ? 'inches' : 'cm'}
      />
    </View>
  );
}

const TITLES = { hand: 'Pump strokes', timed: 'Seconds', twin: 'Seconds' } as const;

function DoseTool({ view: { fit, curve }, target: { dose } }: Pick<ShownModel, 'view'> & Pick<TierTarget, 'target'>) {
  const lengths = useLengths();
  const kind = curve?.inflator ?? 'hand';
  if (!dose) return <Tool title={TITLES[kind]} figure="–" note="after a reading" />;
  const note = `lands ${lengths.bare(dose.nextLowMm)}–${lengths.bare(dose.nextHighMm)}`;
  if (kind !== 'twin' || !fit || fit.nozzleVolumeL === 0) {
    return <Tool title={TITLES[kind]} figure={doseText(dose.dose, kind)} note={note} />;
  }
  const even = evenDoses({ fit, dose: dose.dose });
  const [left = '', right = ''] = [even.left, even.right].map((each) =>
    doseText(roundDose({ dose: each, kind }), kind),
  );
  const sides = left === right ? note : `L ${left} · R ${right}`;
  return <Tool title={TITLES[kind]} figure={doseText(dose.dose, kind)} note={sides} />;
}

function HoleTool({ choice, none }: { choice: SizerChoice | null; none: boolean }) {
  const lengths = useLengths();
  if (!choice) return <Tool title="Sizer hole" figure="–" note={none ? 'no sizer yet' : 'none is large enough'} />;
  const { hole } = choice.choice;
  const how = choice.choice.how === 'gap' ? `leave ${lengths.bare(choice.choice.gapMm)} gap` : 'just passes';
  return <Tool title="Sizer hole" figure={hole.label} note={how} />;
}
