import { coreInflator } from '@leggero/contract';
import { nextReading } from '@leggero/core/calibrating';
import { router, useLocalSearchParams } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { useWalk } from '@/parts/useFirstSteps';
import type { ShownModel } from '@/parts/WithModel';
import { Button, IconButton } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { nextText } from '@/wording/target';
import { counted } from '@/wording/trade';

import { balloonNumber, canFillOn, draftProblem, proposedDraft, readingOf, type Draft } from './draft';
import { useCalibrationStart } from './PumpChoice';
import { ReadingForm } from './ReadingForm';
import { ReadingPicture } from './ReadingPicture';

/** From so many readings on, the targets are offered. */
const ENOUGH_TO_OFFER = 6;

/** One reading after another, by taps: dose, width, shape, how it felt; the picture moves with each. */
export function ReadingPage(shown: ShownModel) {
  const trade = useTrade();
  const { model, view, tiers, studio, pumps } = shown;
  const { nominalMm } = model;
  const wide = useWide();
  // Whoever is led through the first minutes is shown the target after one reading.
  const isFirst = useLocalSearchParams<{ first?: string }>().first !== undefined;
  const walk = useWalk((state) => state.walk);
  const lengths = useLengths();
  const { calibration, fit } = view;
  const readings = calibration?.readings ?? [];
  const start = useCalibrationStart(shown);
  const pumpId = start.fresh ? start.fresh.pumpId : calibration?.pumpId;
  const wantedMm = model.targets.map(({ widthMm }) => widthMm);
  // A calibration about to start has no readings yet, whatever the one before had.
  // Of a pair the smaller balloon says how far to go.
  const known = start.fresh || !fit ? null : { ...fit, nominalMm: view.governingMm };
  const pump = pumps.find(({ id }) => id === pumpId);
  const kind = pump?.kind ?? 'hand';
  const first = {
    nominalMm: view.governingMm,
    inflator: pump ? coreInflator(pump) : { kind },
    curve: view.estimate?.inflator === kind ? view.estimate : null,
  };
  const next = nextReading({ fit: known, tiers, wantedMm, step: studio.stepMm, first, trade });
  // What was changed by hand; what was not follows the proposal. The way of measuring stays from reading to reading.
  const [touched, setTouched] = useState<Partial<Draft>>({});
  const draft: Draft = {
    ...proposedDraft(next, { nominalMm: view.governingMm, stepMm: studio.stepMm, kind }),
    ...touched,
  };
  const wrong = draftProblem(draft, nominalMm);
  const change = (by: Partial<Draft>) => setTouched((before) => ({ ...before, ...by }));
  const begin = () =>
    setTouched(({ way, nozzle }) => ({
      ...(way ? { way } : {}),
      // Two nozzles are read in turn.
      ...(kind === 'twin' ? { nozzle: (nozzle ?? draft.nozzle) === 'left' ? 'right' : 'left' } : {}),
    }));

  const add = () => {
    const { calibrationId, writes } = start.ensure();
    const row = readingOf(draft, {
      id: newId(),
      calibrationId,
      takenAt: nowUtc(),
      balloon: balloonNumber(start.fresh ? [] : readings, draft),
    });
    write(...writes, { put: 'reading', row });
    begin();
  };
  const undo = () => {
    const last = readings.at(-1);
    if (last) write({ remove: 'reading', id: last.id });
    begin();
  };
  const seeTarget = () => {
    walk('target');
    router.navigate(`/shelf/${model.id}`);
  };
  useKeys({ u: undo });
  const form = (
    <ReadingForm
      shown={shown}
      start={start}
      draft={draft}
      kind={kind}
      count={readings.length}
      canFillOn={!start.fresh && canFillOn(readings.at(-1), draft)}
      lengths={lengths}
      wrong={wrong}
      onChange={change}
    />
  );
  const picture = <ReadingPicture {...shown} draft={draft} kind={kind} lengths={lengths} />;
  return (
    <Page
      title={modelName(model)}
      subtitle={`Calibrate · ${counted(readings.length, 'reading')}`}
      back={`/shelf/${model.id}`}
      aside={<IconButton label="Undo the last reading" icon={Undo} disabled={readings.length === 0} onPress={undo} />}
      actions={
        <>
          {readings.length >= ENOUGH_TO_OFFER || next.purpose === 'enough' ? (
            <Button title="Target sheet" tall className="flex-1" onPress={seeTarget} />
          ) : isFirst && readings.length > 0 ? (
            <Button title="See the target" tall className="flex-1" onPress={seeTarget} />
          ) : null}
          <Button title="Add reading" look="primary" tall className="flex-1" disabled={wrong !== null} onPress={add} />
        </>
      }
    >
      <Words look="strong" role="status">
        {nextText(next, fit?.lastDose ?? 0, kind)}
      </Words>
      {wide ? (
        <View className="flex-row items-start gap-6">
          <View className="flex-1 gap-4">{picture}</View>
          <View className="flex-1 gap-4">{form}</View>
        </View>
      ) : (
        <>
          {picture}
          {form}
        </>
      )}
    </Page>
  );
}
