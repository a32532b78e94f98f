import { MOST_STEP } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';

/** A step of the studio's own, for this event and all others. */
export function AddStep() {
  const [text, setText] = useState('');
  const long = text.trim().length > MOST_STEP;
  const add = () => {
    if (text.trim() === '' || long) return;
    write({ put: 'ownStep', row: { id: newId(), text: text.trim(), createdAt: nowUtc() } });
    setText('');
  };
  return (
    <View className="gap-2">
      <Field
        label="A step of your own, for every event"
        value={text}
        onChangeText={setText}
        onSubmitEditing={add}
        error={long ? `At most ${MOST_STEP} characters.` : undefined}
      />
      <Button title="Add this step" disabled={text.trim() === '' || long} onPress={add} />
    </View>
  );
}
