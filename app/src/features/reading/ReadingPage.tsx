import { nextReading, OUTCOMES, SHAPES, WIDEST_FRACTION, DOSE_STEP, MOST_STROKES } from '@leggero/core';
import { router } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/api/id';
import { useLengths } from '@/api/lengths';
import { modelName } from '@/api/modelView';
import { useCommand } from '@/api/queries';
import type { ShownModel } from '@/features/model/WithModel';
import { Button, IconButton } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Labelled } from '@/ui/Field';
import { LengthEntry } from '@/ui/LengthEntry';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { FILLING_CAUTION } from '@/wording/cautions';
import { nextText } from '@/wording/target';
import { counted, doseText, OUTCOME_WORDS, SHAPE_WORDS } from '@/wording/trade';

import { draftProblem, proposedDraft, readingOf, type Draft } from './draft';
import { PumpChoice, useCalibrationStart } from './PumpChoice';
import { ReadingPicture } from './ReadingPicture';

/** From so many readings on, the targets are offered. */
const ENOUGH_TO_OFFER = 6;

const WAYS = [
  { value: 'across', title: 'Across' },
  { value: 'around', title: 'Tape around' },
] as const;

/** One reading after another, by taps: dose, width, shape, how it felt; the picture moves with each. */
export function ReadingPage(shown: ShownModel) {
  const { model, view, tiers, studio } = shown;
  const { nominalMm } = model;
  const send = useCommand();
  const wide = useWide();
  const lengths = useLengths();
  const { calibration, fit } = view;
  const readings = calibration?.readings ?? [];
  const next = nextReading({ fit, tiers });
  const start = useCalibrationStart(shown);
  const [way, setWay] = useState<'across' | 'around'>('across');
  const [tall, setTall] = useState(false);
  // What was changed by hand; what was not follows the proposal.
  const [touched, setTouched] = useState<Partial<Draft>>({});
  const draft: Draft = { ...proposedDraft(next, nominalMm, studio.stepMm), ...touched };
  const wrong = draftProblem(draft, nominalMm);
  const change = (by: Partial<Draft>) => setTouched((before) => ({ ...before, ...by }));

  const add = () => {
    const calibrationId = start.ensure();
    send({
      name: 'createReading',
      body: readingOf(draft, { id: newId(), calibrationId, takenAt: nowUtc() }),
    });
    setTouched({});
    setTall(false);
  };
  const undo = () => {
    const last = readings.at(-1);
    if (last) send({ name: 'deleteReading', id: last.id });
    setTouched({});
  };
  useKeys({ u: undo });
  const mostMm = WIDEST_FRACTION * nominalMm;
  const burst = draft.outcome === 'burst';
  const form = (
    <>
      <Stepper
        label="strokes in all"
        value={draft.dose}
        shown={doseText(draft.dose)}
        step={DOSE_STEP}
        least={DOSE_STEP}
        most={MOST_STROKES}
        onChange={(dose) => change({ dose })}
      />
      {burst ? (
        <Words look="quiet">A burst keeps its strokes and no width. Collect the pieces at once.</Words>
      ) : (
        <>
          <LengthEntry
            label={way === 'across' ? 'Width' : 'Around'}
            value={draft.widthMm}
            least={0.1 * nominalMm}
            most={mostMm}
            lengths={lengths}
            around={way === 'around'}
            error={
              wrong === 'widthMm'
                ? `This balloon cannot be ${lengths.text(draft.widthMm)} across: ${lengths.text(0.1 * nominalMm)} to ${lengths.text(mostMm)} is possible.`
                : undefined
            }
            onChange={(widthMm) => change({ widthMm })}
          />
          <Segmented label="How the width is taken" options={WAYS} value={way} onChange={setWay} />
          {tall ? (
            <LengthEntry
              label="Height, crown to neck"
              value={draft.heightMm ?? draft.widthMm}
              least={0.5 * draft.widthMm}
              most={2.5 * draft.widthMm}
              lengths={lengths}
              error={wrong === 'heightMm' ? 'A balloon of this width cannot be that high.' : undefined}
              onChange={(heightMm) => change({ heightMm })}
            />
          ) : (
            <Labelled label="Shape">
              <Segmented
                label="Shape"
                options={SHAPES.map((value) => ({ value, title: SHAPE_WORDS[value] }))}
                value={draft.shape}
                onChange={(shape) => change({ shape })}
              />
            </Labelled>
          )}
          <Button
            title={tall ? 'Give the shape instead' : 'Measure the height instead'}
            look="plain"
            onPress={() => {
              setTall(!tall);
              change({ heightMm: tall ? null : draft.widthMm, shape: null });
            }}
          />
        </>
      )}
      <Labelled label="Felt">
        <Segmented
          label="Felt"
          options={OUTCOMES.map((value) => ({ value, title: OUTCOME_WORDS[value] }))}
          value={draft.outcome}
          onChange={(outcome) => change({ outcome })}
        />
      </Labelled>
      <PumpChoice {...shown} start={start} />
      <Words look="quiet">{FILLING_CAUTION}</Words>
    </>
  );
  const picture = <ReadingPicture {...shown} draft={draft} lengths={lengths} />;
  return (
    <Page
      title={modelName(model)}
      subtitle={`Calibrate · ${counted(readings.length, 'reading')}`}
      back={`/shelf/${model.id}`}
      aside={
        <IconButton
          label="Undo the last reading"
          icon={Undo}
          disabled={readings.length === 0}
          onPress={undo}
        />
      }
      actions={
        <>
          {readings.length >= ENOUGH_TO_OFFER || next.purpose === 'enough' ? (
            <Button
              title="Target sheet"
              tall
              className="flex-1"
              onPress={() => router.navigate(`/shelf/${model.id}`)}
            />
          ) : null}
          <Button
            title="Add reading"
            look="primary"
            tall
            className="flex-1"
            disabled={wrong !== null}
            onPress={add}
          />
        </>
      }
    >
      <Words look="strong" role="status">
        {nextText(next, fit?.lastDose ?? 0)}
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
