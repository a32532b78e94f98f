import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { useNotes } from '@/data/records';
import { useRemoval } from '@/data/useRemoval';
import { newId, nowUtc } from '@/device/id';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { dayText } from '@/wording/day';

/** A note has so many characters at most. */
const LONGEST = 500;

/** What someone wants to remember of a balloon: added by typing, deleted with a way back. */
export function NotesCard({ modelId }: { modelId: string }) {
  const notes = useNotes(modelId);
  const [text, setText] = useState('');
  const [error, setError] = useState<string>();
  const { removed, remove, restore } = useRemoval('note');
  const add = () => {
    const trimmed = text.trim();
    if (trimmed === '') return setError('Write what is worth remembering, such as: this bag runs small.');
    if (trimmed.length > LONGEST)
      return setError(`A note has ${LONGEST} characters at most; this has ${trimmed.length}.`);
    write({ put: 'note', row: { id: newId(), modelId, text: trimmed, writtenAt: nowUtc() } });
    setText('');
    setError(undefined);
  };
  return (
    <Card title="Notes">
      <View role="list" aria-label="Notes">
        {notes.map((note) => (
          <View key={note.id} role="listitem" className="flex-row items-center gap-2 border-b border-line py-1">
            <View className="flex-1">
              <Words>{note.text}</Words>
              <Words look="quiet">{dayText(note.writtenAt)}</Words>
            </View>
            <IconButton label={`Delete the note “${note.text}”`} icon={Trash} onPress={() => remove(note)} />
          </View>
        ))}
      </View>
      {removed ? <UndoLine sentence="Note deleted." onUndo={restore} /> : null}
      <View className="mt-3 flex-row items-start gap-3">
        <View className="flex-1">
          <Field label="Note to add" value={text} onChangeText={setText} onSubmitEditing={add} error={error} />
        </View>
        <Button title="Add note" className="mt-[26px]" onPress={add} />
      </View>
    </Card>
  );
}
