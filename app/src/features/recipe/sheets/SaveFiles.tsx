import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useChains, useModels } from '@/data/records';
import { fileName, keepFile } from '@/device/download';
import type { PaperThing } from '@/parts/paper/paper';
import { useMaterials } from '@/parts/piece/useMaterials';
import type { ShownEvent } from '@/parts/WithEvent';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

import type { EventWork } from '@/parts/useEventWork';
import { eventPng, eventSvg } from './eventPictures';
import { fileOfEvent } from './filesOf';
import { recipeCsv } from './recipeCsv';

interface SaveFilesProps extends Pick<ShownEvent, 'event' | 'pieces'> {
  work: EventWork;
  things: ReadonlyMap<string, PaperThing> | null;
}

/** An event as files: its recipe for a spreadsheet, itself for another studio, its picture for a client. */
export function SaveFiles({ event, pieces, work, things }: SaveFilesProps) {
  const lengths = useLengths();
  const models = useModels().data ?? [];
  const chains = useChains().data ?? [];
  const materials = useMaterials();
  const [failed, setFailed] = useState(false);
  const shown = things ? pieces.flatMap(({ id }) => things.get(id) ?? []) : [];
  const save =
    (what: string, extension: string, type: string, made: () => BlobPart | Promise<BlobPart>) => async () => {
      setFailed(false);
      try {
        keepFile(await made(), { name: fileName(`${event.name} ${what}`, extension), type });
      } catch {
        setFailed(true);
      }
    };
  const csv = save('recipe', 'csv', 'text/csv', () => recipeCsv(work, { models, pieces, lengths }));
  const json = save('event', 'json', 'application/json', () =>
    JSON.stringify(fileOfEvent({ event, pieces, models, chains, work }), null, 2),
  );
  const svg = save('picture', 'svg', 'image/svg+xml', () => eventSvg(pieces, materials!));
  const png = save('picture', 'png', 'image/png', () => eventPng(shown));
  return (
    <Card title="As files" className="no-print">
      <View className="gap-3">
        <View className="flex-row flex-wrap gap-3">
          <Button title="Recipe as CSV" className="flex-1" onPress={() => void csv()} />
          <Button title="Event as JSON" className="flex-1" onPress={() => void json()} />
        </View>
        <View className="flex-row flex-wrap gap-3">
          <Button title="Picture as SVG" className="flex-1" disabled={!materials} onPress={() => void svg()} />
          <Button title="Picture as PNG" className="flex-1" disabled={shown.length === 0} onPress={() => void png()} />
        </View>
        {failed ? (
          <Words look="error" role="alert">
            The file could not be made here. Load the page again.
          </Words>
        ) : null}
        <Words look="quiet">
          Another studio takes the JSON in under Plan an event: the pieces, their balloons and what each is filled to.
          It has no client and no money in it.
        </Words>
      </View>
    </Card>
  );
}
