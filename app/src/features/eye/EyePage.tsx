import type { EyeCheckRecord, PersonRecord } from '@leggero/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useEyeChecks, usePeople, useSession, useSetSession } from '@/data/records';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';

import { EyeHistory } from './EyeHistory';
import { PersonTools } from './PersonTools';
import { PinSheet } from './PinSheet';

/** How good an eye is: whose history is shown, and a new check. A history is private to its person and the owner. */
export function EyePage() {
  const { person: personId } = useLocalSearchParams<{ person?: string }>();
  const people = usePeople().data;
  const session = useSession().data;
  const wide = useWide();
  const back = wide ? undefined : '/gauges';
  if (!people || !session) {
    return (
      <Page title="Test the eye" back={back}>
        <Loading what="the people" />
      </Page>
    );
  }
  const viewer = people.find(({ id }) => id === session.personId);
  const chosen = people.find(({ id }) => id === (personId ?? session.personId));
  return (
    <Page
      title="Test the eye"
      subtitle="Is it good enough, and for what?"
      back={back}
      actions={
        <Button
          title="Start an eye check"
          look="primary"
          tall
          className="flex-1"
          onPress={() => router.navigate(chosen ? `/gauges/eye/new?person=${chosen.id}` : '/gauges/eye/new')}
        />
      }
    >
      <Labelled label="Whose eye">
        <PickChips
          label="Whose eye"
          options={people.map(({ id, name }) => ({ value: id, title: name }))}
          value={chosen?.id ?? null}
          onChange={(id) => router.setParams({ person: id })}
        />
      </Labelled>
      {chosen ? (
        <Private key={chosen.id} person={chosen} open={viewer?.owner === true || viewer?.id === chosen.id} />
      ) : (
        <Words>Tap a name to see how that eye has done. Each history is private to its person and the owner.</Words>
      )}
      <PersonTools people={people} chosen={chosen} session={session} />
    </Page>
  );
}

function Private({ person, open }: { person: PersonRecord; open: boolean }) {
  const checks = useEyeChecks(person.id, open);
  const session = useSetSession();
  const [asking, setAsking] = useState(false);
  const knowledge = useKnowledge();
  if (!open || checks.error?.status === 403) {
    return (
      <>
        <Empty
          sentence={
            person.hasPin
              ? `What ${person.name}’s eye did is private. It opens with ${person.name}’s PIN, or the owner’s.`
              : `What ${person.name}’s eye did is private to ${person.name} and the owner.`
          }
          action={
            <Button
              title={`I am ${person.name}`}
              look="primary"
              tall
              onPress={() => (person.hasPin ? setAsking(true) : void session.open(person.id))}
            />
          }
        />
        <PinSheet person={person} open={asking} onClose={() => setAsking(false)} />
      </>
    );
  }
  if (checks.error) return <Failed sentence="The history could not be read." onRetry={checks.refetch} />;
  if (!checks.data || !knowledge) return <Loading what="the history" />;
  return <Shown person={person} checks={checks.data} />;
}

function Shown({ person, checks }: { person: PersonRecord; checks: readonly EyeCheckRecord[] }) {
  if (checks.length === 0) {
    return (
      <View className="py-4">
        <Words>
          {`Nothing yet. ${person.name} fills some balloons to a width by eye, measures them afterwards, and knows.`}
        </Words>
      </View>
    );
  }
  return <EyeHistory person={person} checks={checks} />;
}
