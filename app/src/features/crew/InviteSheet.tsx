import type { MemberPart } from '@leggero/contract';
import { CREW_ROUTES, isWholePart, type GivenCode } from '@leggero/contract/crew';
import { useState } from 'react';

import { useEvents } from '@/data/records';
import { newId } from '@/device/id';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';

import { CodeShown } from './CodeShown';
import { PartFields } from './PartFields';
import { SendButton } from './SendButton';
import { useSending } from './useSending';

/** Invites someone: for whom it is and as what, then the code, this once. */
export function InviteSheet({ onClose }: { onClose: () => void }) {
  const events = (useEvents().data ?? []).filter(({ state }) => state !== 'down');
  const [name, setName] = useState('');
  const [tried, setTried] = useState(false);
  const [part, setPart] = useState<MemberPart>({ role: 'maker', eventId: null, until: null });
  const [given, setGiven] = useState<GivenCode | null>(null);
  const sending = useSending(CREW_ROUTES.invite);
  const named = name.trim().length >= 1 && name.trim().length <= 80;
  const invite = async () => {
    setTried(true);
    if (!named || !isWholePart(part)) return;
    setGiven((await sending.send({ body: { id: newId(), name: name.trim(), ...part } }))?.answer ?? null);
  };
  if (given)
    return (
      <Sheet title={`Invite ${name.trim()}`} open onClose={onClose}>
        <CodeShown
          page="/join"
          given={given}
          says={`Let ${name.trim()} scan this, or send the link. It joins one person.`}
        />
      </Sheet>
    );
  return (
    <Sheet title="Invite someone" open onClose={onClose}>
      <Field
        label="Their name"
        value={name}
        onChangeText={setName}
        autoComplete="off"
        error={tried && !named ? 'A name of 1 to 80 characters.' : undefined}
      />
      <PartFields part={part} events={events} onChange={setPart} />
      <SendButton
        title="Make the invitation"
        sending={sending}
        disabled={!isWholePart(part)}
        onPress={() => void invite()}
      />
    </Sheet>
  );
}
