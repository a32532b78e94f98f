import { coreCheckResult, type CheckRecord } from '@leggero/contract';
import { HOLE_ANSWERS, judgeBatch, type HoleAnswer } from '@leggero/core';
import { router } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/api/id';
import { useLengths } from '@/api/lengths';
import { bestHole, modelName } from '@/api/modelView';
import { useCommand } from '@/api/queries';
import type { ShownModel } from '@/features/model/WithModel';
import { Button, IconButton } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';

import { AnswerButtons } from './AnswerButtons';
import { BatchPicture } from './BatchPicture';
import { CheckNow } from './CheckNow';
import { MeasureEntry } from './MeasureEntry';
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
  const { model, sizers, check } = props;
  const send = useCommand();
  const lengths = useLengths();
  const wide = useWide();
  const [measuring, setMeasuring] = useState(false);
  const { results, size, targetMm, toleranceMm } = check;
  const done = results.length >= size;
  const judged = judgeBatch({ targetMm, toleranceMm, results: results.map(coreCheckResult) });
  const hole = bestHole(sizers, targetMm);

  const keep = (answer: HoleAnswer | null, widthMm: number | null) => {
    if (done) return;
    const taken = new Set(results.map(({ position }) => position));
    const position =
      Array.from({ length: size }, (_, i) => i).find((place) => !taken.has(place)) ?? results.length;
    send({
      name: 'createCheckResult',
      body: { id: newId(), checkId: check.id, position, answer, widthMm, takenAt: nowUtc() },
    });
  };
  const undo = () => {
    const last = [...results].sort((a, b) => a.takenAt.localeCompare(b.takenAt)).at(-1);
    if (last) send({ name: 'deleteCheckResult', id: last.id });
  };
  useKeys({
    u: undo,
    ...Object.fromEntries(HOLE_ANSWERS.map((answer, i) => [String(i + 1), () => keep(answer, null)])),
  });

  const verdict = judged.ok ? (
    done || wide ? (
      <VerdictCard judgement={judged.value} done={done} />
    ) : (
      <VerdictLine judgement={judged.value} />
    )
  ) : null;
  const batch = <BatchPicture {...props} judgement={judged.ok ? judged.value : null} />;
  const answer = measuring ? (
    <MeasureEntry
      targetMm={targetMm}
      lengths={lengths}
      onKeep={(widthMm) => keep(null, widthMm)}
      onBack={() => setMeasuring(false)}
    />
  ) : (
    <AnswerButtons onAnswer={(given) => keep(given, null)} onMeasure={() => setMeasuring(true)} />
  );
  return (
    <Page
      title="Check a batch"
      subtitle={`${modelName(model)} · ${check.tierName} ${lengths.text(targetMm)} ±${lengths.bare(toleranceMm)}`}
      back={`/shelf/${model.id}`}
      aside={
        <IconButton label="Undo the last answer" icon={Undo} disabled={results.length === 0} onPress={undo} />
      }
      actions={
        done ? (
          <Button
            title="Done"
            look="primary"
            tall
            className="flex-1"
            onPress={() => router.navigate(`/shelf/${model.id}`)}
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
            <CheckNow {...props} hole={hole} />
          </View>
          <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
            {batch}
            {verdict}
          </View>
        </View>
      )}
      {done || !wide ? null : <Words look="quiet">Same hole, same hands, same wait for each.</Words>}
    </Page>
  );
}
