import { EVERYTHING_PATH } from '@leggero/contract';
import { IMPORT_CALIBRATION, readCalibrationFile, type CalibrationFile } from '@leggero/contract/calibrationFile';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { roleHere } from '@/data/access';
import { call } from '@/data/client';
import { chooseFile } from '@/device/download';
import { modelName } from '@/views/modelView';
import { pullSoon } from '@/data/delivery';
import { inStudio } from '@/data/place';
import { readingFileAddress } from '@/data/readingFile';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Words } from '@/ui/Words';
import { ownFileText } from '@/wording/files';
import { counted } from '@/wording/trade';

import { ImportCard } from './ImportCard';

/** Readings, calibrations and everything as files, in and out. */
export function FilesPage() {
  const wide = useWide();
  return (
    <Page title="Files in and out" back={wide ? undefined : '/shelf'}>
      <View className="w-full max-w-[640px] gap-4">
        <ImportCard />
        <Card title="Readings out">
          <View className="gap-3">
            <Words look="quiet">
              Every reading of the shelf, with the units in the header. The same file can be read in again.
            </Words>
            <Button
              title="Save all readings as CSV"
              tall
              onPress={() => window.location.assign(readingFileAddress())}
            />
          </View>
        </Card>
        <CalibrationIn />
        {roleHere() === 'owner' ? (
          <Card title="Everything out">
            <View className="gap-3">
              <Words look="quiet">
                Every record of the studio in one JSON file, but for what is private to a person. Keep it somewhere else
                than on this machine.
              </Words>
              <Button
                title="Save everything as JSON"
                tall
                onPress={() => window.location.assign(inStudio(EVERYTHING_PATH))}
              />
            </View>
          </Card>
        ) : null}
      </View>
    </Page>
  );
}

type Outcome = { kind: 'wrong' | 'done'; sentence: string };

/** A whole calibration from a file: looked at first, then taken in. */
function CalibrationIn() {
  const [found, setFound] = useState<CalibrationFile | null>(null);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const choose = async () => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const result = readCalibrationFile(await file.text());
    setFound(result.ok ? result.value : null);
    setOutcome(result.ok ? null : { kind: 'wrong', sentence: ownFileText(result.problem, 'calibration') });
  };
  const take = async () => {
    if (!found) return;
    try {
      const { modelId } = await call(IMPORT_CALIBRATION, { body: found });
      setFound(null);
      pullSoon();
      router.navigate(`/shelf/${modelId}`);
    } catch (error) {
      setOutcome({ kind: 'wrong', sentence: `It was not imported. ${(error as Error).message}` });
    }
  };
  return (
    <Card title="A whole calibration in">
      <View className="gap-3">
        <Words look="quiet">A file saved from a balloon’s page, here or in another studio.</Words>
        {found ? (
          <Words>
            {`${modelName(found.model)}, ${found.model.colourName}, with ${found.pump.name}: ` +
              `${counted(found.calibration.readings.length, 'reading')}.`}
          </Words>
        ) : null}
        {outcome ? (
          <Words look={outcome.kind === 'wrong' ? 'error' : 'body'} role="alert">
            {outcome.sentence}
          </Words>
        ) : null}
        <View className="flex-row gap-3">
          <Button title="Choose a JSON file" tall className="flex-1" onPress={() => void choose()} />
          {found ? (
            <Button title="Import it" look="primary" tall className="flex-1" onPress={() => void take()} />
          ) : null}
        </View>
      </View>
    </Card>
  );
}
