import type { EyeCheckRecord, PersonRecord, ShelfModel } from '@leggero/contract';
import { router } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { useEyeCheck, usePeople, useSetSession } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Button, IconButton } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';

import { EyeVerdict } from './EyeVerdict';
import { FillActions, FillStep } from './FillStep';
import { MeasureStep } from './MeasureStep';
import { PinSheet } from './PinSheet';
import { viewEyeCheck } from './viewEyeCheck';

const BACK = '/gauges/eye';

/** A session by eye: fill, then measure, then the verdict. Every tap is kept at once. */
export function EyeRunPage({ eyeCheckId }: { eyeCheckId: string }) {
  const found = useEyeCheck(eyeCheckId);
  const people = usePeople().data;
  const knowledge = useKnowledge();
  const check = found.data;
  const model = knowledge?.models.find(({ id }) => id === check?.modelId);
  if (check && people && model) return <Run check={check} people={people} model={model} />;
  const status = found.error?.status;
  return (
    <Page title="Eye check" back={BACK}>
      {status === 404 ? (
        <Empty sentence="No eye check is known at this address. It may have been deleted." />
      ) : status === 403 && people ? (
        <Locked people={people} />
      ) : found.error ? (
        <Failed sentence="This eye check could not be read." onRetry={found.refetch} />
      ) : (
        <Loading what="the eye check" />
      )}
    </Page>
  );
}

function Locked({ people }: { people: readonly PersonRecord[] }) {
  const { open } = useSetSession();
  const [asked, setAsked] = useState<PersonRecord | null>(null);
  return (
    <>
      <Empty
        sentence="This eye check is private to those who took part and the owner. Who are you?"
        action={
          <View className="flex-row flex-wrap justify-center gap-2">
            {people.map((person) => (
              <Button
                key={person.id}
                title={person.name}
                onPress={() => (person.hasPin ? setAsked(person) : void open(person.id))}
              />
            ))}
          </View>
        }
      />
      {asked ? <PinSheet person={asked} open onClose={() => setAsked(null)} /> : null}
    </>
  );
}

interface RunProps {
  check: EyeCheckRecord;
  people: readonly PersonRecord[];
  model: ShelfModel;
}

function Run({ check, people, model }: RunProps) {
  const trade = useTrade();
  const { text } = useLengths();
  const [early, setEarly] = useState(false);
  const view = viewEyeCheck(check, model.nominalMm, trade);
  const nameOf = (id: string | null) => people.find((person) => person.id === id)?.name ?? 'Someone';
  const { filled, total, measured } = view;
  const step = filled < total && !early ? 'fill' : measured < filled ? 'measure' : 'verdict';
  const undo = () => {
    const last = check.balloons.filter(({ widthMm }) => widthMm !== null).at(-1);
    if (step !== 'fill' && last) return write({ change: 'eyeBalloon', id: last.id, by: { widthMm: null } });
    const filledLast = check.balloons.at(-1);
    if (filledLast) write({ remove: 'eyeBalloon', id: filledLast.id });
  };
  useKeys({ u: undo });
  const who =
    check.mode === 'two' ? nameOf(filled < check.size ? check.personId : check.secondPersonId) : nameOf(check.personId);
  return (
    <Page
      title={step === 'fill' ? `${who}’s eye` : step === 'measure' ? 'Now measure them' : 'What the eye did'}
      subtitle={`${modelName(model)}, ${model.colourName} to ${text(check.targetMm)}`}
      back={BACK}
      aside={
        filled > 0 && step !== 'verdict' ? <IconButton label="Undo the last" icon={Undo} onPress={undo} /> : undefined
      }
      actions={
        step === 'verdict' ? (
          <>
            <DeleteButton
              what="this eye check"
              consequence="Its balloons go with it."
              onDelete={() => {
                write({ remove: 'eyeCheck', id: check.id });
                router.replace(BACK);
              }}
            />
            <Button title="Done" look="primary" tall className="flex-1" onPress={() => router.navigate(BACK)} />
          </>
        ) : step === 'fill' ? (
          <FillActions check={check} filled={filled} onMeasure={() => setEarly(true)} />
        ) : undefined
      }
    >
      {step === 'fill' ? (
        <FillStep check={check} filled={filled} total={total} who={who} />
      ) : step === 'measure' ? (
        <MeasureStep check={check} model={model} />
      ) : (
        <EyeVerdict check={check} view={view} model={model} nameOf={nameOf} />
      )}
    </Page>
  );
}
