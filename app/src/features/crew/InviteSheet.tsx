import type { MemberPart } from '@leggero/contract';
import { CREW_ROUTES, emailSchema, isWholePart, type GivenCode } from '@leggero/contract/crew';
import { useState } from 'react';

import { useMails } from '@/data/access';
import { useEvents } from '@/data/records';
import { useSending } from '@/data/useSending';
import { newId } from '@/device/id';
import { CodeShown } from '@/parts/CodeShown';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { invitationSays } from '@/wording/crew';

import { PartFields } from './PartFields';
import { SendButton } from './SendButton';

/** Invites someone: for whom it is and as what, then the code, this once. */
export function InviteSheet({ onClose }: { onClose: () => void }) {
  const events = (useEvents().data ?? []).filter(({ state }) => state !== 'down');
  const [name, setName] = useState('');
  const [tried, setTried] = useState(false);
  const [part, setPart] = useState<MemberPart>({ role: 'maker', eventId: null, until: null });
  const mails = useMails();
  const [email, setEmail] = useState('');
  const [given, setGiven] = useState<(GivenCode & { mailed: boolean }) | null>(null);
  const sending = useSending(CREW_ROUTES.invite);
  const named = name.trim().length >= 1 && name.trim().length <= 80;
  const to = email.trim() || null;
  const reached = to === null || emailSchema.safeParse(to).success;
  const invite = async () => {
    setTried(true);
    if (!named || !reached || !isWholePart(part)) return;
    const body = { id: newId(), name: name.trim(), email: to, ...part };
    setGiven((await sending.send({ body }))?.answer ?? null);
  };
  if (given)
    return (
      <Sheet title={`Invite ${name.trim()}`} open onClose={onClose}>
        <CodeShown page="/join" given={given} says={invitationSays({ name: name.trim(), to, mailed: given.mailed })} />
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
      {mails ? (
        <Field
          label="Their e-mail, if it should go by mail"
          value={email}
          onChangeText={setEmail}
          autoComplete="off"
          autoCapitalize="none"
          inputMode="email"
          error={tried && !reached ? 'This is no e-mail address.' : undefined}
        />
      ) : null}
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
