import { holeWidthAt, type SizerRecord } from '@leggero/contract';
import { passedWidth } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { squeezeOf } from '@/views/holes';
import { newId, nowUtc } from '@/device/id';
import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName, mostUsed } from '@/views/modelView';
import { write } from '@/data/outbox';
import { useSizers } from '@/data/records';
import { useTrade } from '@/data/trade';
import { WithGauge } from '@/parts/WithGauge';
import { BalloonChoice } from '@/parts/BalloonChoice';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Labelled } from '@/ui/Field';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty } from '@/ui/States';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

/** A soft balloon passes a hole smaller than itself: size some, measure them, and the app knows by how much. */
export function SqueezePage({ sizerId }: { sizerId: string }) {
  const { data } = useSizers();
  return (
    <WithGauge what="sizer" id={sizerId} gauges={data}>
      {(sizer) => (sizer && data ? <Learn sizer={sizer} sizers={data} /> : null)}
    </WithGauge>
  );
}

function Learn({ sizer, sizers }: { sizer: SizerRecord; sizers: readonly SizerRecord[] }) {
  const trade = useTrade();
  const lengths = useLengths();
  const knowledge = useKnowledge();
  const models = knowledge?.models ?? [];
  const [modelId, setModelId] = useState<string>();
  const [holeId, setHoleId] = useState<string>();
  const [typedMm, setTypedMm] = useState<number | null>(null);
  const model = models.find(({ id }) => id === modelId) ?? mostUsed(models);
  const within = model
    ? sizer.holes.filter(({ widthMm }) => widthMm < model.nominalMm && widthMm > 0.35 * model.nominalMm)
    : [];
  const hole = within.find(({ id }) => id === holeId) ?? within.at(-2) ?? within.at(-1);
  const back = `/gauges/sizers/${sizer.id}`;
  if (!model || !hole) {
    return (
      <Page title="Learn the squeeze" back={back}>
        <Empty sentence="A balloon on the shelf, and a hole it can be sized in, are needed first." />
      </Page>
    );
  }
  const squeeze = squeezeOf(sizers, trade);
  const holeMm = holeWidthAt(hole);
  const expected = passedWidth({ holeMm, nominalMm: model.nominalMm, squeeze });
  const widthMm = typedMm ?? holeMm;
  const possible = widthMm > 0.8 * holeMm && widthMm < 1.25 * holeMm;
  const last = sizer.sizings.at(-1);
  const keep = () => {
    const body = { id: newId(), holeId: hole.id, nominalMm: model.nominalMm, widthMm, takenAt: nowUtc() };
    write({ put: 'sizing', row: body });
    setTypedMm(null);
  };
  return (
    <Page
      title="Learn the squeeze"
      subtitle={`${sizer.name} · ${counted(sizer.sizings.length, 'balloon')} so far`}
      back={back}
      aside={
        last ? <Button title="Undo" look="plain" onPress={() => write({ remove: 'sizing', id: last.id })} /> : undefined
      }
      actions={
        <Button title="Add this balloon" look="primary" tall className="flex-1" disabled={!possible} onPress={keep} />
      }
    >
      <Words>
        {`Size a balloon in the ${hole.label} hole as you always do, take it out, wait a breath, and ` +
          'measure it across.'}
      </Words>
      <LengthEntry
        label="Width once out of the hole"
        value={widthMm}
        least={0.8 * holeMm}
        most={1.25 * holeMm}
        lengths={lengths}
        error={possible ? undefined : 'A sized balloon is not that far from its hole. Check the unit.'}
        onChange={setTypedMm}
      />
      <Card>
        <View className="gap-2">
          <Chip
            tone={squeeze.origin === 'measured' ? 'measured' : 'plain'}
            word={squeeze.origin === 'measured' ? 'learned' : 'assumed, from memory'}
          />
          <Words look="strong" role="status">
            {`A ${modelName(model)} that just passes the ${hole.label} hole is ` +
              `${lengths.fine(expected.widthMm - holeMm)} wider than it: ${lengths.text(expected.widthMm)}.`}
          </Words>
          <Words look="quiet">
            {squeeze.origin === 'measured'
              ? `From ${counted(squeeze.sizings, 'balloon')} of all sizers, ${lengths.eitherWay(expected.sdMm)} from one ` +
                'to the next. Holes are chosen with it.'
              : 'Until a balloon was measured after sizing, holes are chosen without it.'}
          </Words>
        </View>
      </Card>
      <Labelled label="Hole">
        <PickChips
          label="Hole"
          options={within.map(({ id, label }) => ({ value: id, title: label }))}
          value={hole.id}
          onChange={setHoleId}
        />
      </Labelled>
      <BalloonChoice models={models} value={model.id} onChange={setModelId} />
    </Page>
  );
}
