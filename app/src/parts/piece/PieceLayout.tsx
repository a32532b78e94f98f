import type { PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Sheet } from '@/ui/Sheet';
import { FORM_WORDS } from '@/wording/pieces';

interface PieceLayoutProps {
  piece: PieceRecord;
  subtitle: string;
  /** The picture and what is asked. */
  first: ReactNode;
  /** What follows from it. */
  second: ReactNode;
}

/** The frame of every piece: side by side when wide, one below the other on a phone. */
export function PieceLayout({ piece, subtitle, first, second }: PieceLayoutProps) {
  const wide = useWide();
  const [naming, setNaming] = useState(false);
  return (
    <Page
      title={piece.name}
      subtitle={`${FORM_WORDS[piece.design.form].title} · ${subtitle}`}
      back={wide ? undefined : '/builds'}
      aside={<Button title="Name" look="plain" onPress={() => setNaming(true)} />}
    >
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>{first}</View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>{second}</View>
      </View>
      <Sheet title="Name of the piece" open={naming} onClose={() => setNaming(false)}>
        <Naming piece={piece} onDone={() => setNaming(false)} />
      </Sheet>
    </Page>
  );
}

function Naming({ piece, onDone }: { piece: PieceRecord; onDone: () => void }) {
  const [name, setName] = useState(piece.name);
  const wrong = name.trim() === '' || name.trim().length > 80;
  const keep = () => {
    if (wrong) return;
    write({ change: 'piece', id: piece.id, by: { name: name.trim() } });
    onDone();
  };
  const remove = () => {
    write({ remove: 'piece', id: piece.id });
    router.replace('/builds');
  };
  return (
    <View className="gap-3">
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        error={wrong ? 'A name of 1 to 80 characters.' : undefined}
      />
      <Button title="Keep the name" look="primary" tall onPress={keep} />
      <DeleteButton
        what={piece.name}
        consequence="Its design goes and does not come back. Checks of its balloons stay with the balloons."
        onDelete={remove}
      />
    </View>
  );
}
