import type { FileEncoding, ImportReport } from '@leggero/contract/readingFile';
import { useState } from 'react';
import { View } from 'react-native';

import { ApiError } from '@/data/client';
import { chooseFile } from '@/device/download';
import { pullSoon } from '@/data/delivery';
import { sendReadingFile, type ImportStep } from '@/data/readingFile';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { PickChips } from '@/ui/PickChips';
import { Progress } from '@/ui/Progress';
import { Words } from '@/ui/Words';
import { ENCODINGS, IMPORT_PHASES } from '@/wording/files';
import { counted } from '@/wording/trade';

import { ImportPreview } from './ImportPreview';

/** A file of readings: chosen, looked at, then imported whole or not at all. */
export function ImportCard() {
  const [file, setFile] = useState<File | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);
  const [step, setStep] = useState<ImportStep | null>(null);
  const [failed, setFailed] = useState('');
  const [encoding, setEncoding] = useState<FileEncoding>('utf-8');
  const [asked, setAsked] = useState(false);

  const send = async (chosen: File, write: boolean, as: FileEncoding) => {
    setFailed('');
    try {
      const told = await sendReadingFile(chosen, { write, encoding: as, onStep: setStep });
      setReport(told);
      // Once asked, the answer can be changed until the letters look right.
      if (told.askEncoding) setAsked(true);
      if (write) pullSoon();
    } catch (error) {
      const away = error instanceof ApiError && error.passing;
      setFailed(
        away ? 'The records are out of reach just now. Nothing was imported; try again.' : (error as Error).message,
      );
    } finally {
      setStep(null);
    }
  };
  const choose = async () => {
    const chosen = await chooseFile('.csv,text/csv');
    if (!chosen) return;
    setFile(chosen);
    setReport(null);
    setAsked(false);
    setEncoding('utf-8');
    await send(chosen, false, 'utf-8');
  };
  const ready = file && report && !report.written && report.problemCount === 0 && report.added > 0;
  return (
    <Card title="Readings in">
      <View className="gap-3">
        <Words look="quiet">
          A CSV file with a line for each reading. Nothing is imported before you have seen what it would do.
        </Words>
        {step ? <Progress label={IMPORT_PHASES[step.phase]} share={step.share} /> : null}
        {file && asked && !report?.written ? (
          <View className="gap-2">
            <Words>How are its letters written? Choose until the names below look right.</Words>
            <PickChips
              label="Letters of the file"
              options={ENCODINGS}
              value={encoding}
              onChange={(to) => {
                setEncoding(to);
                void send(file, false, to);
              }}
            />
          </View>
        ) : null}
        {report && file ? <ImportPreview report={report} fileName={file.name} /> : null}
        {failed ? (
          <Words look="error" role="alert">
            {failed}
          </Words>
        ) : null}
        <View className="flex-row gap-3">
          <Button
            title={file ? 'Choose another file' : 'Choose a CSV file'}
            tall
            className="flex-1"
            disabled={step !== null}
            onPress={() => void choose()}
          />
          {ready ? (
            <Button
              title={`Import ${counted(report.added, 'reading')}`}
              look="primary"
              tall
              className="flex-1"
              disabled={step !== null}
              onPress={() => void send(file, true, encoding)}
            />
          ) : null}
        </View>
      </View>
    </Card>
  );
}
