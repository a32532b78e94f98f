import type { CheckRecord, PieceRecord } from '@leggero/contract';
import { HOLE_ANSWERS, type Trade } from '@leggero/core';
import { router } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';

import { runOf, viewCheck } from '@/views/checkView';
import { bestHole, holesNow, type HoleView, type SizerChoice } from '@/views/holes';
import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { usePiece } from '@/data/records';
import { useTrade } from '@/data/trade';
import { AnswerButtons } from '@/parts/check/AnswerButtons';
import { useLate } from '@/parts/useLate';
import type { ShownModel } from '@/parts/WithModel';
import { Button, IconButton } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';

import { BatchPicture } from './BatchPicture';
import { CheckNow, TargetPicture } from './CheckNow';
import { HolesAnswer } from './HolesAnswer';
import { LawCard } from './LawCard';
import { MeasureEntry } from '@/parts/check/MeasureEntry';
import { PlanSheet, type CheckPlan } from './PlanSheet';
import { useAnswers } from './useAnswers';
import { VerdictCard, VerdictLine } from './VerdictCard';

/** A batch held against its target, a tap for each balloon; the verdict grows with it. */
export function CheckPage({ checkId, ...shown }: ShownModel & { checkId: string }) {
  const { model } = shown;
  const check = model.checks.find(({ id }) => id === checkId);
  if (check) return <Run {...shown} check={check} />;
  return (
    <Page title="Check a batch" back={`/shelf/${model.id}`}>
      <Empty sentence="No check is known at this address." />
    </Page>
  );
}

function Run(props: ShownModel & { check: CheckRecord }) {
  const trade = useTrade();
  const { model, sizers, check } = props;
  const lengths = useLengths();
  const wide = useWide();
  const [asking, setAsking] = useState<'hole' | 'holes' | 'width'>('hole');
  const [planning, setPlanning] = useState(false);
  const { results, size, targetMm, toleranceMm, lotSize, acceptMost, pairs } = check;
  // The next balloon is on at once; what is made of the answers follows, so that no tap but the last waits for it.
  const deferred = useLate(props);
  const late = results.length < size ? deferred : props;
  const view = viewCheck(late.check, late.sizers);
  const { judgement } = view;
  const done = results.length >= size || view.lot?.state === 'rejected';
  const piece = usePiece(check.pieceId).data;
  const rest = restOf(piece, check);
  const hole = bestHole(sizers, { targetMm, toleranceMm, nominalMm: model.nominalMm }, trade);
  const around = holesAround(hole, targetMm, trade);

  /** A check that has begun stays; one without a result is planned anew. */
  const plan = (chosen: CheckPlan) => {
    const { modelId, tierName, pieceId, layer, runId, place, turnId } = check;
    const { id: holeId, widthMm: holeMm } = hole?.choice.hole ?? { id: null, widthMm: null };
    const id = newId();
    write({
      put: 'check',
      row: {
        id,
        modelId,
        tierName,
        targetMm,
        toleranceMm,
        holeId,
        holeMm,
        pieceId,
        layer,
        runId,
        place,
        turnId,
        startedAt: nowUtc(),
        ...chosen,
      },
    });
    write({ remove: 'check', id: check.id });
    setPlanning(false);
    router.replace(`/shelf/${model.id}/check/${id}`);
  };
  const answers = useAnswers(check);
  const keep: typeof answers.keep = (...answer) => {
    if (!done) answers.keep(...answer);
  };
  const { undo } = answers;
  useKeys({
    u: undo,
    ...Object.fromEntries(HOLE_ANSWERS.map((answer, i) => [String(i + 1), () => keep(answer, null)])),
  });

  const verdict = judgement ? (
    <>
      {done || wide ? <VerdictCard judgement={judgement} done={done} /> : <VerdictLine judgement={judgement} />}
      <LawCard view={view} />
    </>
  ) : null;
  const batch = <BatchPicture {...late} check={view.check} judgement={judgement} />;
  const answer =
    asking === 'width' ? (
      <MeasureEntry targetMm={targetMm} onKeep={(widthMm) => keep(null, widthMm)} onBack={() => setAsking('hole')} />
    ) : asking === 'holes' ? (
      <HolesAnswer holes={around} onAnswer={(between) => keep(null, null, between)} onBack={() => setAsking('hole')} />
    ) : (
      <AnswerButtons
        onAnswer={(given) => keep(given, null)}
        onMeasure={() => setAsking('width')}
        onHoles={around.length > 1 ? () => setAsking('holes') : undefined}
      />
    );
  const lotNote = lotSize === null ? '' : ` · ${size} of ${lotSize}, ${acceptMost} may be off`;
  return (
    <Page
      title={piece ? `Check ${piece.name}` : 'Check a batch'}
      subtitle={
        `${modelName(model)} · ${check.tierName} ` +
        `${lengths.text(targetMm)} ±${lengths.bare(toleranceMm)}${lotNote}${pairs ? ' · pairs' : ''}`
      }
      back={piece ? `/builds/${piece.id}` : `/shelf/${model.id}`}
      aside={
        results.length === 0 && !piece ? (
          <Button title="Plan" onPress={() => setPlanning(true)} />
        ) : (
          <IconButton label="Undo the last answer" icon={Undo} onPress={undo} />
        )
      }
      actions={
        done ? (
          <Button
            title={rest.next ? `Next: ${rest.next.tierName}` : 'Done'}
            look="primary"
            tall
            className="flex-1"
            onPress={() => router.navigate(addressAfter(check, rest))}
          />
        ) : (
          <View className="flex-1">{answer}</View>
        )
      }
    >
      {done ? (
        <>
          {verdict}
          {batch}
        </>
      ) : (
        <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
          <View className={wide ? 'flex-1' : ''}>
            <CheckNow check={check} hole={hole} left={piece ? rest.left : null}>
              <TargetPicture {...late} />
            </CheckNow>
          </View>
          <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
            {batch}
            {verdict}
          </View>
        </View>
      )}
      {done || !wide ? null : <Words look="quiet">Same hole, same hands, same wait for each.</Words>}
      {results.length === 0 && !piece ? (
        <PlanSheet open={planning} onClose={() => setPlanning(false)} onPlan={plan} />
      ) : null}
    </Page>
  );
}

interface Rest {
  /** Balloons of the whole piece that are not checked yet. */
  left: number;
  /** The next size to check once this one is through. */
  next: CheckRecord | undefined;
}

/** What is left of the run that a check is part of: the checks started with it, one for each size of the piece. */
function restOf(piece: PieceRecord | undefined, check: CheckRecord): Rest {
  const run = runOf(piece?.checks ?? [], check.runId);
  const open = run.filter(({ size, results }) => results.length < size);
  const left = open.reduce((sum, { size, results }) => sum + size - results.length, 0);
  return { left, next: open.find(({ id }) => id !== check.id) };
}

/** Where a check that is through leads: to the next size, back to the piece, or to the balloon. */
function addressAfter({ pieceId, modelId }: CheckRecord, { next }: Rest) {
  if (next) return `/shelf/${next.modelId}/check/${next.id}` as const;
  return pieceId === null ? (`/shelf/${modelId}` as const) : (`/builds/${pieceId}` as const);
}

const MOST_AROUND = 3;

/** The holes nearest to the target, of the sizer at hand, from small to large. */
function holesAround(choice: SizerChoice | null, targetMm: number, trade: Trade): HoleView[] {
  if (!choice) return [];
  const apart = ({ widthMm }: HoleView) => Math.abs(widthMm - targetMm);
  return holesNow(choice.sizer, trade)
    .sort((a, b) => apart(a) - apart(b))
    .slice(0, MOST_AROUND)
    .sort((a, b) => a.widthMm - b.widthMm);
}
