import type { PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import Copy from 'lucide-react-native/icons/copy';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { may } from '@/data/access';
import { write } from '@/data/outbox';
import { useEvents } from '@/data/records';
import { nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Field, Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { FORM_WORDS, pieceTitle } from '@/wording/pieces';

import { copyOfPiece } from './copies';

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
  const { eventId, copies } = piece;
  return (
    <Page
      title={pieceTitle(piece)}
      subtitle={`${FORM_WORDS[piece.design.form].title} · ${subtitle}`}
      back={eventId ? `/builds/events/${eventId}` : wide ? undefined : '/builds'}
      aside={may('piece') ? <Button title="More" look="plain" onPress={() => setNaming(true)} /> : null}
    >
      {copies > 1 ? <Words look="strong">{`Everything here is for one of the ${copies} that are made.`}</Words> : null}
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>{first}</View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>{second}</View>
      </View>
      <Sheet title="This piece" open={naming} onClose={() => setNaming(false)}>
        <Naming piece={piece} onDone={() => setNaming(false)} />
      </Sheet>
    </Page>
  );
}

const MOST_COPIES = 99;
/** A sketch belongs to no event. */
const SKETCH = 'sketch';

function Naming({ piece, onDone }: { piece: PieceRecord; onDone: () => void }) {
  const events = useEvents().data ?? [];
  const [name, setName] = useState(piece.name);
  const { id, copies, eventId } = piece;
  const wrong = name.trim() === '' || name.trim().length > 80;
  const change = (by: Partial<Pick<PieceRecord, 'name' | 'copies' | 'eventId'>>) => write({ change: 'piece', id, by });
  const keep = () => {
    if (wrong) return;
    if (name.trim() !== piece.name) change({ name: name.trim() });
    onDone();
  };
  const copy = () => {
    const made = copyOfPiece(piece, { name: `${piece.name}, once more`.slice(0, 80), createdAt: nowUtc() });
    write(made);
    onDone();
    router.navigate(`/builds/${made.row.id}`);
  };
  const remove = () => {
    write({ remove: 'piece', id });
    router.replace(eventId ? `/builds/events/${eventId}` : '/builds');
  };
  return (
    <View className="gap-3">
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        error={wrong ? 'A name of 1 to 80 characters.' : undefined}
      />
      <Stepper
        label="of this piece"
        value={copies}
        shown={String(copies)}
        step={1}
        least={1}
        most={MOST_COPIES}
        onChange={(many) => change({ copies: many })}
      />
      <Labelled label="It is for">
        <PickChips
          label="It is for"
          options={[
            { value: SKETCH, title: 'No event: a sketch' },
            ...events.map((event) => ({ value: event.id, title: event.name })),
          ]}
          value={eventId ?? SKETCH}
          onChange={(value) => change({ eventId: value === SKETCH ? null : value })}
        />
      </Labelled>
      <Button title="Done" look="primary" tall onPress={keep} />
      <Button title="Copy this piece" icon={Copy} onPress={copy} />
      <DeleteButton
        what={piece.name}
        consequence="Its design goes and does not come back. Checks of its balloons stay with the balloons."
        onDelete={remove}
      />
    </View>
  );
}
