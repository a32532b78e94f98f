import { useState } from 'react';
import { View } from 'react-native';

import { fileName, keepFile } from '@/device/download';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';

interface PrintButtonsProps {
  /** What the file is called, in words. */
  name: string;
  draw: () => Promise<Uint8Array>;
}

/** Prints the page as it stands, or saves it as PDF. */
export function PrintButtons({ name, draw }: PrintButtonsProps) {
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const save = async () => {
    setBusy(true);
    setFailed(false);
    try {
      keepFile((await draw()) as BlobPart, { name: fileName(name, 'pdf'), type: 'application/pdf' });
    } catch {
      setFailed(true);
    } finally {
      setBusy(false);
    }
  };
  return (
    <View className="flex-1 gap-2">
      <View className="flex-row gap-3">
        <Button title="Print" tall className="flex-1" onPress={() => window.print()} />
        <Button
          title={busy ? 'Drawing…' : 'Save as PDF'}
          look="primary"
          tall
          className="flex-1"
          disabled={busy}
          onPress={() => void save()}
        />
      </View>
      {failed ? (
        <Words look="error" role="alert">
          The PDF could not be drawn. Print the page instead.
        </Words>
      ) : null}
    </View>
  );
}
