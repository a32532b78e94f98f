import type { ModelDetail, PumpRecord } from '@leggero/contract';
import { roundDose } from '@leggero/core';
import { doseForLength, lengthReadingProblem, tailFor, type ModellingSize } from '@leggero/core/modelling';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import type { Lengths } from '@/views/lengths';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { LengthField } from '@/parts/LengthField';
import { PickChips } from '@/ui/PickChips';
import { Stepper } from '@/ui/Stepper';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';
import { LENGTH_LAW_PROBLEMS, lengthLawText, tailProblemText } from '@/wording/modelling';
import { dosed, doseText, doseUnit } from '@/wording/trade';

import { TubePicture } from './TubePicture';
import type { LengthView } from './viewLength';

export interface PartProps {
  model: ModelDetail;
  size: ModellingSize;
  lengths: Lengths;
}

const MOST_TWISTS = 40;

/** How far to fill for so many twists, and with how much of the pump; the readings that teach it. */
export function LengthPart({
  model,
  size,
  lengths,
  view,
  pumps,
  twists,
  ask,
}: PartProps & {
  view: LengthView;
  pumps: readonly PumpRecord[];
  twists: number;
  /** For another number of twists, or another pump. */
  ask: (by: { twists?: string; pump?: string }) => void;
}) {
  const trade = useTrade();
  const tail = tailFor({ size, twists, trade });
  const { law, pump } = view;
  const { long: text, fine } = lengths;
  const dose =
    law.ok && tail.ok
      ? roundDose({ dose: doseForLength({ law: law.value, lengthMm: tail.value.fillMm }), kind: pump.kind })
      : null;
  return (
    <>
      {tail.ok ? (
        <View className="gap-3">
          <TubePicture
            size={size}
            fillMm={tail.value.fillMm}
            colourHex={model.colourHex}
            label={`Filled to ${text(tail.value.fillMm)} of ${text(size.lengthMm)}, ${text(tail.value.tailMm)} empty`}
          />
          <View className="flex-row gap-2">
            <Tool title="Empty tail" figure={text(tail.value.tailMm)} note="left free" />
            <Tool title="Fill to" figure={text(tail.value.fillMm)} note="along it" />
            <Tool
              title={pump.kind === 'hand' ? 'Pump strokes' : 'Seconds'}
              figure={dose === null ? '–' : doseText(dose, pump.kind)}
              note={pump.name}
            />
          </View>
          <Words look="quiet">
            {`Fill to ${text(tail.value.firstMm)}, let a little out so that it bends, and tie at ` +
              `${text(tail.value.fillMm)}. Each twist pushes air on: about ${text(tail.value.eachMm)} of tail ` +
              'for each.'}
          </Words>
        </View>
      ) : (
        <Words look="error" role="alert">
          {tailProblemText(tail.problem)}
        </Words>
      )}
      <Stepper
        label="twists"
        value={twists}
        shown={String(twists)}
        step={1}
        least={0}
        most={MOST_TWISTS}
        onChange={(to) => ask({ twists: String(to) })}
      />
      <Card title="Length for a dose">
        <Words look="quiet" className="mb-2">
          {law.ok ? lengthLawText(law.value, pump.name, fine) : LENGTH_LAW_PROBLEMS[law.problem.code]}
        </Words>
        <Labelled label="Pump">
          <PickChips
            label="Pump"
            options={pumps.map(({ id, name }) => ({ value: id, title: name }))}
            value={pump.id}
            onChange={(id) => ask({ pump: id })}
          />
        </Labelled>
        <AddLength key={pump.id} model={model} size={size} lengths={lengths} view={view} />
        <Readings view={view} lengths={lengths} />
      </Card>
    </>
  );
}

function AddLength({ model, size, lengths, view }: PartProps & { view: LengthView }) {
  const { pump, calibration } = view;
  const [dose, setDose] = useState(6);
  const [lengthMm, setLengthMm] = useState<number | null>(null);
  const problem = lengthMm === null ? null : lengthReadingProblem({ size, reading: { dose, lengthMm } });
  const add = () => {
    if (lengthMm === null || problem) return;
    const calibrationId = calibration?.id ?? newId();
    const now = nowUtc();
    const asItComes = { preStretched: false, roundedOff: false, bagId: null };
    const begun = { id: calibrationId, modelId: model.id, pumpId: pump.id, ...asItComes, startedAt: now };
    const seen = { widthMm: size.widthMm, heightMm: lengthMm, sdMm: null, shape: null, outcome: 'ok' as const };
    write(...(calibration ? [] : [{ put: 'calibration' as const, row: begun }]), {
      put: 'reading',
      row: { id: newId(), calibrationId, dose, ...seen, takenAt: now },
    });
    setLengthMm(null);
  };
  return (
    <View className="mt-3 gap-3 border-t border-line pt-3">
      <Stepper
        label={doseUnit(pump.kind)}
        value={dose}
        shown={doseText(dose, pump.kind)}
        step={pump.kind === 'hand' ? 1 : 0.1}
        least={pump.kind === 'hand' ? 1 : 0.1}
        most={60}
        onChange={(to) => setDose(Number(to.toFixed(3)))}
      />
      <LengthField
        label="Inflated length"
        long
        hint="From the knot to where it is empty."
        value={lengthMm}
        lengths={lengths}
        error={
          problem
            ? `A ${size.code} is never longer than ` +
              `${lengths.long(problem.code === 'longer-than-full' ? problem.detail.mostMm : size.lengthMm)}.`
            : undefined
        }
        onChange={setLengthMm}
      />
      <Button title="Add this length" look="primary" disabled={lengthMm === null || problem !== null} onPress={add} />
    </View>
  );
}

function Readings({ view: { calibration, pump }, lengths }: { view: LengthView; lengths: Lengths }) {
  if (!calibration || calibration.readings.length === 0) return null;
  return (
    <View role="list" className="mt-3">
      {calibration.readings.map(({ id, dose, heightMm }) => (
        <View key={id} role="listitem" className="flex-row items-center border-b border-line">
          <Words className="flex-1">{`${dosed(dose, pump.kind)}: ${heightMm === null ? '–' : lengths.long(heightMm)}`}</Words>
          <IconButton
            label={`Delete the length after ${dosed(dose, pump.kind)}`}
            icon={Trash}
            onPress={() => write({ remove: 'reading', id })}
          />
        </View>
      ))}
    </View>
  );
}
