import { REPAIR_CAUSES, type RepairCause } from '@leggero/contract';
import { COLDEST_C, WARMEST_C } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { useInflations } from '@/data/inflation';
import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { Cautions } from '@/parts/Cautions';
import { LengthEntry } from '@/parts/LengthEntry';
import { LengthFigure } from '@/parts/LengthFigure';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { Loading } from '@/ui/States';
import { Stepper } from '@/ui/Stepper';
import { useNow } from '@/ui/useNow';
import { Words } from '@/ui/Words';
import { madeAt } from '@/views/madeAt';
import { FAILED_WORDS, likeText, madeFromText, stoodText, TIE_IN } from '@/wording/repair';

import { repairTarget } from './repair';
import type { RepairOneProps } from './RepairOne';
import { TargetTools } from './TargetTools';

const HOUR_MS = 3_600_000;
/** By so much a tap changes how long it stands. */
const STEP_H = 6;
const MOST_H = 8760;
/** What is measured of its like lies so near to what is reckoned, as a share. */
const NEAR = { least: 0.6, most: 1.3 };

type Form = RepairOneProps & { onDone: () => void };

/** A balloon that failed, made anew: what its like are by now, how to hit that, how to tie it in. */
export function RepairForm(props: Form) {
  const runs = useInflations(props.event.id);
  return runs ? <Filled {...props} runs={runs} /> : <Loading what="when it was made" />;
}

function Filled({
  piece,
  size,
  event,
  fillMm,
  basis,
  onDone,
  runs,
}: Form & { runs: NonNullable<ReturnType<typeof useInflations>> }) {
  const now = useNow();
  const { lengths, studio, venue } = basis;
  const made = madeAt(event, runs, { modelId: size.part.modelId, fillMm });
  const [ownHours, setOwnHours] = useState<number | null>(null);
  const [tempC, setTempC] = useState(venue?.tempC ?? studio.workroomTempC);
  const [measuredMm, setMeasuredMm] = useState<number | null>(null);
  const [cause, setCause] = useState<RepairCause>('popped');
  const known = made && made.ms < now ? (now - made.ms) / HOUR_MS : 0;
  const hours = Math.min(MOST_H, ownHours ?? known);
  const target = repairTarget(size, fillMm, { hours, tempC, measuredMm }, event, basis);
  if (!target)
    return <Words look="error">What its like are by now cannot be reckoned for this long, or this warm.</Words>;
  const { like, dose } = target;
  const log = () => {
    write({
      put: 'repair',
      row: {
        ...{ id: newId(), eventId: event.id, pieceId: piece.id, modelId: size.part.modelId },
        ...{ colourHex: size.part.colourHex, cause, reckonedMm: like.widthMm, measuredMm },
        ...{ fillMm: target.fillMm, at: nowUtc() },
      },
    });
    onDone();
  };
  return (
    <>
      <View role="status" className="flex-row items-center gap-3">
        <LengthFigure parts={lengths.parts(target.fillMm)} size={88} />
        <View className="flex-1">
          <Words look="strong">{`${lengths.unit} across, filled there`}</Words>
          <Words look="quiet">{likeText(like, measuredMm, lengths)}</Words>
        </View>
      </View>
      <TargetTools {...{ size, basis }} widthMm={target.fillMm} dose={dose?.dose ?? null} kind={dose?.kind ?? 'hand'} />
      {dose?.heldMm ? (
        <Words look="error" role="alert">
          {`This balloon is held at ${lengths.text(dose.heldMm)}: it comes out smaller than those beside it.`}
        </Words>
      ) : null}
      {dose?.preStretched ? <Words look="quiet">Pre-stretch it, as the others were.</Words> : null}
      {measuredMm === null ? (
        <Button title="Measure the one beside it" onPress={() => setMeasuredMm(target.fillMm)} />
      ) : (
        <LengthEntry
          label="The one beside it"
          value={measuredMm}
          least={NEAR.least * like.widthMm}
          most={NEAR.most * like.widthMm}
          lengths={lengths}
          onChange={setMeasuredMm}
        />
      )}
      <Stepper
        label="stood until now"
        value={hours}
        shown={stoodText(hours)}
        step={STEP_H}
        least={-STEP_H}
        most={MOST_H}
        onChange={(to) => setOwnHours(Math.max(0, to))}
      />
      {ownHours === null ? <Words look="quiet">{madeFromText(made?.from ?? null)}</Words> : null}
      <Stepper
        label="°C there now"
        value={tempC}
        shown={String(tempC)}
        step={1}
        least={COLDEST_C}
        most={WARMEST_C}
        onChange={setTempC}
      />
      <View className="gap-1">
        <Words look="strong">How to tie it in</Words>
        <Words>{TIE_IN[piece.design.form]}</Words>
      </View>
      <Segmented
        label="Why it failed"
        options={REPAIR_CAUSES.map((value) => ({ value, title: FAILED_WORDS[value] }))}
        value={cause}
        onChange={setCause}
      />
      <Button title="It is in: write it down" look="primary" tall onPress={log} />
      <Cautions names={['choking', 'heights']} />
    </>
  );
}
