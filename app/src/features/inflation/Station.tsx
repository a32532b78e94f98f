import { activateKeepAwakeAsync, deactivateKeepAwake } from 'expo-keep-awake';
import List from 'lucide-react-native/icons/list';
import Ruler from 'lucide-react-native/icons/ruler';
import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTurnChecks } from '@/data/inflation';
import { useModels, useSizers } from '@/data/records';
import { useTrade } from '@/data/trade';
import { nowUtc } from '@/device/id';
import { IconButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Loading } from '@/ui/States';
import { useLater } from '@/ui/useLater';
import { useNow } from '@/ui/useNow';
import { bestHole } from '@/views/holes';
import { doseAt, nextBatch, secondsLeft, stationChecks, type ShownRun } from '@/views/inflation';
import { batchSpoken, lastingText, WHY_CHECK_WORDS } from '@/wording/inflation';
import { batchMark } from '@/wording/batchMark';

import { BagLine } from './BagLine';
import { BatchesSheet } from './BatchesSheet';
import { BatchFigure } from './BatchFigure';
import { BeatCount } from './BeatCount';
import { BatchThrough } from './BatchThrough';
import { CountLine } from './CountLine';
import { LatelyLine } from './LatelyLine';
import { RunStale } from './RunStale';
import { TapButtons } from './TapButtons';
import { useStationSound } from './stationSound';
import { useStationVoice } from './useStationVoice';
import { useFreeKeys } from './useFreeKeys';
import { useTaps, type AtStation } from './useTaps';

interface StationProps {
  run: ShownRun;
  title: string;
  back: string;
  at: AtStation;
  /** When whoever works here said so. */
  since: string;
  /** Whose hands they are; null where nobody said. */
  hands: string | null;
  /** The batch that was gone to; the next one that is free where none was. */
  batchId: string | undefined;
  onGo: (batchId: string) => void;
  onStation: () => void;
  onBag: (bagId: string | null) => void;
  /** Ends the run, now or as of then. */
  onEnd: (at: string) => void;
}

/** A station of an inflation run: one batch, one figure, one large button. */
export function Station(props: StationProps) {
  const { run, title, back, at, batchId } = props;
  const models = useModels().data;
  const sizers = useSizers().data;
  const checksOf = useTurnChecks();
  const now = useNow();
  const [first] = useState(() => nextBatch(run, { station: at.station, now })?.id);
  useAwake();
  useFreeKeys();
  const batch = run.batches.find(({ id }) => id === (batchId ?? first)) ?? run.batches[0];
  if (models && sizers && checksOf && batch)
    return <AtBatch {...props} {...{ models, sizers, checksOf, batch, now }} key={batch.id} />;
  return (
    <Page title={title} back={back}>
      <Loading what="the batch" />
    </Page>
  );
}

/** The screen stays on while the station is worked at, where the browser can. */
function useAwake(): void {
  useEffect(() => {
    // Some browsers cannot, and some refuse while their battery is low: the station works all the same.
    activateKeepAwakeAsync().catch(() => undefined);
    return () => void deactivateKeepAwake().catch(() => undefined);
  }, []);
}

interface AtBatchProps extends StationProps {
  models: NonNullable<ReturnType<typeof useModels>['data']>;
  sizers: NonNullable<ReturnType<typeof useSizers>['data']>;
  checksOf: NonNullable<ReturnType<typeof useTurnChecks>>;
  batch: ShownRun['batches'][number];
  now: number;
}

function AtBatch({
  run,
  back,
  at,
  since,
  hands,
  models,
  sizers,
  checksOf,
  batch,
  now,
  onGo,
  onStation,
  onBag,
  onEnd,
}: AtBatchProps) {
  const lengths = useLengths();
  const trade = useTrade();
  const [listing, setListing] = useState(false);
  const [checking, setChecking] = useState(false);
  const { station } = at;
  const model = models.find(({ id }) => id === batch.modelId) ?? null;
  const { fillMm: targetMm, toleranceMm } = batch;
  const hole = model && bestHole(sizers, { targetMm, toleranceMm, nominalMm: model.nominalMm }, trade);
  const { tap, undo, size, changeDose, done, tallies } = useTaps({
    ...{ batch, at, hands, since, checksOf },
    hole: hole?.choice.hole ?? null,
  });
  // The count is on at once; what follows from it comes after, so that no tap waits for it.
  const late = useLater(run);
  const { due, lately, checkId } = stationChecks({
    batch: late.batches.find(({ id }) => id === batch.id) ?? batch,
    station,
    checksOf,
    trade,
  });
  const progress = run.progress.batches.find((each) => each.batch === batch.id)!;
  const left = secondsLeft(late, { station, usualS: trade.paceS.sized, now });
  const dose = doseAt(batch, station);
  const mark = batchMark(batch.place);
  const through = progress.left === 0;
  const next = through ? nextBatch(run, { station, now }) : undefined;
  const check = model && !checking ? () => setChecking(true) : null;
  const end = () => onEnd(nowUtc());
  const beat = useStationSound((sound) => sound.beat);
  useStationVoice({
    begin: batchSpoken({ mark, width: lengths.text(targetMm), dose, timed: batch.timed, left: progress.left }),
    prompt: through ? 'This batch is through.' : due.why ? WHY_CHECK_WORDS[due.why] : null,
    checking,
    // What is called out once a batch is through is meant for the next.
    onTap: (what) => through || tap(what),
    onUndo: undo,
    onCheck: check,
    onAnswer: (answer) => {
      size(answer);
      setChecking(false);
    },
  });
  return (
    <Page
      title={`Batch ${mark} of ${run.batches.length}`}
      subtitle={[station, left === null || left === 0 ? '' : `${lastingText(left)} left`].filter(Boolean).join(' · ')}
      back={back}
      aside={
        <View className="flex-row">
          {check ? <IconButton label="Check a size" icon={Ruler} onPress={check} /> : null}
          <IconButton label="All batches" icon={List} onPress={() => setListing(true)} />
        </View>
      }
      actions={
        through && !checking ? (
          <BatchThrough next={next} onGo={onGo} onEnd={end} onUndo={undo} />
        ) : (
          <TapButtons
            atOnce={at.atOnce}
            targetMm={targetMm}
            checking={checking}
            hearsKeys={!listing}
            onTap={tap}
            onUndo={undo}
            onCheck={check}
            onAnswer={(seen) => {
              if (seen !== null) size(seen);
              setChecking(false);
            }}
          />
        )
      }
    >
      <RunStale run={late} now={now} onEnd={onEnd} />
      <View className="mx-auto w-full max-w-[560px] gap-2">
        <BatchFigure {...{ batch, dose, model, hole }} />
        <CountLine {...{ progress, done, tallies }} />
        {beat && dose !== null && !through ? (
          <BeatCount {...{ dose }} timed={batch.timed} hearsKeys={!listing && !checking} />
        ) : null}
        <LatelyLine
          {...{ batch, dose, lately }}
          evidence={model && checkId && `/shelf/${model.id}/check/${checkId}`}
          why={due.why}
          fine={lengths.fine}
          onCheck={check}
          onDose={changeDose}
        />
        {batch.modelId !== null && at.bagId !== null ? <BagLine modelId={batch.modelId} bagId={at.bagId} /> : null}
      </View>
      <BatchesSheet
        open={listing}
        onClose={() => setListing(false)}
        {...{ run, models, at, batch, onBag, onStation }}
        onGo={(id) => {
          setListing(false);
          onGo(id);
        }}
        onEnd={end}
      />
    </Page>
  );
}
