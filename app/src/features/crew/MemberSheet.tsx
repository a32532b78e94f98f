import type { MemberPart } from '@leggero/contract';
import { CREW_ROUTES, isWholePart, type GivenCode, type Member } from '@leggero/contract/crew';
import { useState } from 'react';

import { learnAccess, roleHere } from '@/data/access';
import { useEvents } from '@/data/records';
import { useSending } from '@/data/useSending';
import { CodeShown } from '@/parts/CodeShown';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Sheet } from '@/ui/Sheet';
import { WrongLine } from '@/ui/WrongLine';

import { LeaveButton } from './LeaveButton';
import { PartFields } from './PartFields';
import { SendButton } from './SendButton';

/** Someone who works here: what they are, a code for a new password, and the end of it. */
export function MemberSheet({ member, onClose }: { member: Member; onClose: () => void }) {
  const { id, name, me } = member;
  const owns = roleHere() === 'owner';
  const [part, setPart] = useState<MemberPart>(member);
  const [given, setGiven] = useState<GivenCode | null>(null);
  const changing = useSending(CREW_ROUTES.changeMember);
  const resetting = useSending(CREW_ROUTES.resetMember);
  const removing = useSending(CREW_ROUTES.removeMember);
  const events = (useEvents().data ?? []).filter((event) => event.state !== 'down' || event.id === member.eventId);
  const { role, eventId, until } = part;
  const isOther = role !== member.role || eventId !== member.eventId || until !== member.until;
  const done = () => {
    onClose();
    // What is mine may be another by now.
    if (me) void learnAccess();
  };
  if (given)
    return (
      <Sheet title={name} open onClose={onClose}>
        <CodeShown page="/new-password" given={given} says={`${name} sets a new password with this, once.`} />
      </Sheet>
    );
  return (
    <Sheet title={me ? 'You' : name} open onClose={onClose}>
      {owns ? (
        <>
          <PartFields part={part} events={events} onChange={setPart} />
          <SendButton
            title="Save"
            sending={changing}
            disabled={!isOther || !isWholePart(part)}
            onPress={() => void changing.send({ id, body: { role, eventId, until } }).then((sent) => sent && done())}
          />
        </>
      ) : null}
      {owns && !me && member.role !== 'owner' ? (
        <Button
          title="Give a code for a new password"
          disabled={resetting.busy}
          onPress={() => void resetting.send({ id }).then((sent) => sent && setGiven(sent.answer))}
        />
      ) : null}
      <WrongLine wrong={resetting.wrong} />
      {me ? (
        <LeaveButton memberId={id} onLeft={onClose} />
      ) : (
        <>
          <WrongLine wrong={removing.wrong} />
          <DeleteButton
            what={`${name}’s part here`}
            verb="End"
            consequence={`${name} sees nothing of this studio any more. What they did stays.`}
            onDelete={() => void removing.send({ id }).then((sent) => sent && onClose())}
          />
        </>
      )}
    </Sheet>
  );
}
