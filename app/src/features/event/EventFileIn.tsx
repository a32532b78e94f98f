import { readEventFile } from '@leggero/contract/eventFile';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { useModels } from '@/data/records';
import { useHeldCopy } from '@/data/shares';
import { write } from '@/data/outbox';
import { chooseFile } from '@/device/download';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { eventFromFile } from '@/views/eventFile';
import { ownFileText } from '@/wording/files';
import { counted } from '@/wording/trade';

/** An event from another studio’s file: looked at first, then taken in. */
export function EventFileIn() {
  const models = useModels().data;
  // What somebody shared comes this way too.
  const [found, setFound] = useState(useHeldCopy.getState().file);
  const [wrong, setWrong] = useState<string | null>(null);
  const choose = async () => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const read = readEventFile(await file.text());
    setFound(read.ok ? read.value : null);
    setWrong(read.ok ? null : ownFileText(read.problem, 'event'));
  };
  const taken = found && models ? eventFromFile(found, models, { newId, at: nowUtc() }) : null;
  const take = async () => {
    if (!taken) return;
    for (const command of taken.commands) await write(...command);
    useHeldCopy.setState({ file: null });
    router.replace(`/builds/events/${taken.eventId}`);
  };
  return (
    <Card title="From a file">
      <View className="gap-3">
        <Words look="quiet">An event that was saved as JSON from its sheets, here or in another studio.</Words>
        {found && taken ? (
          <Words>
            {`${found.event.name}: ${counted(found.pieces.length, 'piece')}, ` +
              (taken.newModels === 0
                ? 'all of its balloons are on the shelf.'
                : `${counted(taken.newModels, 'balloon')} that the shelf does not have yet.`)}
          </Words>
        ) : null}
        {wrong ? (
          <Words look="error" role="alert">
            {wrong}
          </Words>
        ) : null}
        <View className="flex-row gap-3">
          <Button title="Choose a JSON file" tall className="flex-1" onPress={() => void choose()} />
          {taken ? (
            <Button title="Take it in" look="primary" tall className="flex-1" onPress={() => void take()} />
          ) : null}
        </View>
      </View>
    </Card>
  );
}
