import { pinSchema, type PersonRecord, type Session } from '@leggero/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { newId } from '@/device/id';
import { write } from '@/data/outbox';
import { useSetSession } from '@/data/records';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';

import { pinError } from './PinSheet';

interface PersonToolsProps {
  people: readonly PersonRecord[];
  chosen: PersonRecord | undefined;
  session: Session;
}

/** Who takes part, and how private each one's history is. */
export function PersonTools({ people, chosen, session }: PersonToolsProps) {
  const { close } = useSetSession();
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const viewer = people.find(({ id }) => id === session.personId);
  const add = () => {
    const trimmed = name.trim();
    if (trimmed === '' || trimmed.length > 80) return setError('Give a name of 1 to 80 characters.');
    const id = newId();
    write({ put: 'person', row: { id, name: trimmed } });
    setName('');
    router.setParams({ person: id });
  };
  const owner = people.find((person) => person.owner);
  const mayChange = chosen && (viewer?.owner || (viewer?.id === chosen.id && (chosen.hasPin || !owner?.hasPin)));
  return (
    <Card title="People">
      <View className="gap-3">
        {viewer ? (
          <View className="flex-row items-center gap-3">
            <Words className="flex-1">
              {`Open as ${viewer.name}${viewer.owner ? ', the owner, who sees every history' : ''}.`}
            </Words>
            <Button title="Lock" onPress={() => void close()} />
          </View>
        ) : null}
        {chosen && mayChange ? (
          <PinChange key={chosen.id} person={chosen} />
        ) : chosen && viewer?.id === chosen.id ? (
          <Words look="quiet">{`The owner, ${owner?.name ?? ''}, sets a first PIN.`}</Words>
        ) : null}
        <View className="flex-row items-start gap-3">
          <View className="flex-1">
            <Field
              label="Someone to add"
              value={name}
              onChangeText={(text) => {
                setName(text);
                setError(undefined);
              }}
              onSubmitEditing={add}
              error={error}
            />
          </View>
          <Button title="Add" className="mt-[26px]" onPress={add} />
        </View>
      </View>
    </Card>
  );
}

function PinChange({ person }: { person: PersonRecord }) {
  const { setPin } = useSetSession();
  const [pin, setTyped] = useState('');
  const [error, setError] = useState<string>();
  const change = async (next: string | null) => {
    if (next !== null && !pinSchema.safeParse(next).success) return setError('A PIN has 4 to 32 characters.');
    try {
      await setPin(person.id, next);
      setTyped('');
    } catch (problem) {
      setError(pinError(problem));
    }
  };
  return (
    <View className="flex-row items-start gap-3">
      <View className="flex-1">
        <Field
          label={`${person.hasPin ? 'New PIN' : 'PIN'} for ${person.name}`}
          hint={person.hasPin ? 'The history opens with it.' : 'Without one, whoever taps the name sees the history.'}
          secureTextEntry
          autoComplete="new-password"
          value={pin}
          onChangeText={(text) => {
            setTyped(text);
            setError(undefined);
          }}
          error={error}
        />
      </View>
      <Button title="Set PIN" className="mt-[26px]" onPress={() => void change(pin)} />
      {person.hasPin ? <Button title="No PIN" className="mt-[26px]" onPress={() => void change(null)} /> : null}
    </View>
  );
}
