import type { SizerRecord } from '@leggero/contract';
import { circumferenceMm, workToleranceMm } from '@leggero/core';
import { substitute } from '@leggero/core/calibrating';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { bestHole } from '@/views/holes';
import { comparedModel, modelName } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';
import { substituteText } from '@/wording/calibration';
import { doseText, doseUnit } from '@/wording/trade';

import type { Compared } from './compared';

interface StandInProps {
  from: Compared;
  to: Compared;
  widthMm: number;
  sizers: readonly SizerRecord[];
}

/** How the second balloon reaches the first one's width, and what to mind. */
export function StandIn({ from, to, widthMm, sizers }: StandInProps) {
  const trade = useTrade();
  const lengths = useLengths();
  const result = substitute({
    from: comparedModel(from.model, from.view),
    to: comparedModel(to.model, to.view),
    widthMm,
    trade,
  });
  if (!result.ok) return null;
  const { dose, givesMm, cautions } = result.value;
  const kind = to.view.curve?.inflator ?? 'hand';
  const { nominalMm } = to.model;
  const toleranceMm = workToleranceMm({ work: 'classic', nominalMm, trade });
  const hole = bestHole(sizers, { targetMm: widthMm, toleranceMm, nominalMm }, trade)?.choice;
  return (
    <Card title={`${modelName(to.model)} in place of ${modelName(from.model)}`}>
      <View className="flex-row gap-2">
        <Tool
          title="Hole"
          figure={hole?.hole.label ?? '–'}
          note={hole?.how === 'gap' ? `leave ${lengths.bare(hole.gapMm)} gap` : hole ? 'just passes' : 'none fits'}
        />
        <Tool
          title={kind === 'hand' ? 'Strokes' : 'Seconds'}
          figure={dose === null ? '–' : doseText(dose, kind)}
          note={givesMm === null ? `${doseUnit(kind)} not known` : `gives ${lengths.bare(givesMm)}`}
        />
        <Tool
          title="Tape"
          figure={lengths.bare(circumferenceMm({ widthMm }))}
          note={lengths.unit === 'in' ? 'inches' : 'cm'}
        />
      </View>
      <View role="list" className="mt-3 gap-3">
        {cautions.length === 0 ? (
          <Chip tone="good" word="nothing to mind: same shape, same look" />
        ) : (
          cautions.map((caution) => (
            <View key={caution.code} role="listitem" className="flex-row items-start gap-3">
              <Chip tone="edge" word="mind" />
              <Words className="flex-1">{substituteText(caution, lengths.text, lengths.fine)}</Words>
            </View>
          ))
        )}
      </View>
    </Card>
  );
}
