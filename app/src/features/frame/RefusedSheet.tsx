import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { drop, sendAgain } from '@/data/outbox';
import { useRecords } from '@/data/state';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { LengthField } from '@/parts/LengthField';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { faultsOf, refusalsOf, withValue, type Entry, type Fault, type Refusal } from '@/views/entries';
import { entryWords, fieldWords } from '@/wording/entries';
import { counted } from '@/wording/trade';

interface RefusedSheetProps {
  open: boolean;
  onClose: () => void;
}

/** What the server would not take: why, and what to do with each. */
export function RefusedSheet({ open, onClose }: RefusedSheetProps) {
  const refused = useRecords((state) => state.refused);
  return (
    <Sheet title="Not taken" open={open} onClose={onClose}>
      {refusalsOf(refused).map((refusal) => (
        <RefusalCard key={refusal.entry.key} refusal={refusal} />
      ))}
    </Sheet>
  );
}

function RefusalCard({ refusal }: { refusal: Refusal }) {
  const { entry, hanging } = refusal;
  const [mended, setMended] = useState<Entry>(entry);
  return (
    <Card title={entryWords(entry)}>
      <View className="gap-3">
        <Words>{entry.problem?.title}</Words>
        {faultsOf(entry).map((fault) => (
          <FaultField
            key={`${fault.write} ${fault.field}`}
            fault={fault}
            onChange={(value) => setMended((now) => withValue(now, fault, value))}
          />
        ))}
        {hanging.length > 0 ? (
          <Words look="quiet">{`${counted(hanging.length, 'later entry hangs', 'later entries hang')} on it.`}</Words>
        ) : null}
        <View className="flex-row flex-wrap gap-3">
          <Button title="Send it again" look="primary" onPress={() => void sendAgain({ entry: mended, hanging })} />
          <Button title={hanging.length > 0 ? 'Drop them' : 'Drop it'} onPress={() => void drop(refusal)} />
        </View>
      </View>
    </Card>
  );
}

/** A value that was found fault with, to be put right. */
function FaultField({ fault, onChange }: { fault: Fault; onChange: (value: string | number) => void }) {
  const lengths = useLengths();
  const [typed, setTyped] = useState(String(fault.value));
  const [lengthMm, setLengthMm] = useState(fault.value);
  const label = fieldWords(fault.field);
  if (fault.field.endsWith('Mm') && typeof lengthMm === 'number')
    return (
      <LengthField
        label={label}
        value={lengthMm}
        lengths={lengths}
        error={fault.message}
        onChange={(mm) => {
          if (mm === null) return;
          setLengthMm(mm);
          onChange(mm);
        }}
      />
    );
  return (
    <Field
      label={label}
      value={typed}
      error={fault.message}
      onChangeText={(text) => {
        setTyped(text);
        const value = typeof fault.value === 'number' ? Number(text.replace(',', '.')) : text;
        if (text.trim() !== '' && (typeof value === 'string' || Number.isFinite(value))) onChange(value);
      }}
    />
  );
}
