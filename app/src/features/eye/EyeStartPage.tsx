import { EYE_MODES, type EyeMode } from '@leggero/contract';
import { FEWEST_BY_EYE } from '@leggero/core/eye';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';

import { newId, nowUtc } from '@/device/id';
import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName, mostUsed } from '@/views/modelView';
import { write } from '@/data/outbox';
import { usePeople, useSession, useSetSession } from '@/data/records';
import { BalloonChoice } from '@/parts/BalloonChoice';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Empty, Loading } from '@/ui/States';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { EYE_MODE_WORDS } from '@/wording/eye';

import { PinSheet } from './PinSheet';

const USUAL = 12;
const FIRST_SHARE = 0.91;

/** What an eye check is to be: who, which balloon, to which width, how many. */
export function EyeStartPage() {
  const { person: asked } = useLocalSearchParams<{ person?: string }>();
  const lengths = useLengths();
  const people = usePeople().data;
  const session = useSession().data;
  const knowledge = useKnowledge();
  const [mode, setMode] = useState<EyeMode>('one');
  const [firstId, setFirstId] = useState(asked);
  const [secondId, setSecondId] = useState<string>();
  const [modelId, setModelId] = useState<string>();
  const [chosenMm, setChosenMm] = useState<number | null>(null);
  const [size, setSize] = useState(USUAL);
  const [asking, setAsking] = useState(false);
  const { open } = useSetSession();
  const back = '/gauges/eye';
  if (!people || !knowledge) {
    return (
      <Page title="Start an eye check" back={back}>
        <Loading what="the people" />
      </Page>
    );
  }
  const model = knowledge.models.find(({ id }) => id === modelId) ?? mostUsed(knowledge.models);
  const first = people.find(({ id }) => id === (firstId ?? session?.personId)) ?? people[0];
  if (!model || !first) {
    return (
      <Page title="Start an eye check" back={back}>
        <Empty sentence="A balloon on the shelf is needed first." />
      </Page>
    );
  }
  const others = people.filter(({ id }) => id !== first.id);
  const second = others.find(({ id }) => id === secondId) ?? others[0];
  const targetMm = chosenMm ?? Math.round((FIRST_SHARE * model.nominalMm) / lengths.stepMm) * lengths.stepMm;
  const step = mode === 'pairs' ? 2 : 1;
  const lonely = mode === 'two' && !second;
  const viewer = people.find(({ id }) => id === session?.personId);
  const sees = viewer && (viewer.owner || viewer.id === first.id || (mode === 'two' && viewer.id === second?.id));
  /** The verdict is private: who fills is asked for first, so that they see it. */
  const start = async () => {
    if (sees) return begin();
    if (first.hasPin) return setAsking(true);
    // Without the server the check begins all the same; the name is asked for later.
    await open(first.id).catch(() => undefined);
    begin();
  };
  const begin = () => {
    const id = newId();
    write({
      put: 'eyeCheck',
      row: {
        id,
        mode,
        personId: first.id,
        secondPersonId: mode === 'two' ? (second?.id ?? null) : null,
        modelId: model.id,
        targetMm,
        size,
        startedAt: nowUtc(),
      },
    });
    router.replace(`/gauges/eye/${id}`);
  };
  const names = (all: typeof people) => all.map(({ id, name }) => ({ value: id, title: name }));
  return (
    <Page
      title="Start an eye check"
      subtitle={`${modelName(model)} to ${lengths.text(targetMm)}`}
      back={back}
      actions={
        <Button title="Start" look="primary" tall className="flex-1" disabled={lonely} onPress={() => void start()} />
      }
    >
      <Segmented
        label="Who fills"
        options={EYE_MODES.map((value) => ({ value, title: EYE_MODE_WORDS[value].title }))}
        value={mode}
        onChange={(next) => {
          setMode(next);
          if (next === 'pairs') setSize(size + (size % 2));
        }}
      />
      <Words look="quiet">{EYE_MODE_WORDS[mode].means}</Words>
      <Labelled label={mode === 'two' ? 'First' : 'Whose eye'}>
        <PickChips label="Whose eye" options={names(people)} value={first.id} onChange={setFirstId} />
      </Labelled>
      {mode === 'two' ? (
        <Labelled label="Beside" error={lonely ? 'Two people are needed: add someone under Test the eye.' : undefined}>
          <PickChips label="Beside" options={names(others)} value={second?.id ?? null} onChange={setSecondId} />
        </Labelled>
      ) : null}
      <Stepper
        label={mode === 'two' ? 'balloons each' : 'balloons'}
        value={size}
        shown={String(size)}
        step={step}
        least={FEWEST_BY_EYE}
        most={60}
        onChange={setSize}
      />
      <LengthEntry
        label="To fill to, by eye"
        value={targetMm}
        least={0.3 * model.nominalMm}
        most={model.nominalMm}
        lengths={lengths}
        onChange={setChosenMm}
      />
      <BalloonChoice
        models={knowledge.models}
        value={model.id}
        onChange={(id) => {
          setModelId(id);
          setChosenMm(null);
        }}
      />
      <PinSheet person={first} open={asking} onClose={() => setAsking(false)} onOpened={begin} />
    </Page>
  );
}
