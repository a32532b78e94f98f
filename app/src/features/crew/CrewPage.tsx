import { CREW_ROUTES, type Invitation, type Member } from '@leggero/contract/crew';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { roleHere, useAccess } from '@/data/access';
import { useCrewRenewed, useInvitations, useMembers } from '@/data/crew';
import { useEvents } from '@/data/records';
import { useSending } from '@/data/useSending';
import { ActionRow } from '@/ui/ActionRow';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { memberNote, partText, ROLE_WORDS } from '@/wording/crew';
import { dayText } from '@/wording/day';

import { InviteSheet } from './InviteSheet';
import { MemberSheet } from './MemberSheet';

/** Who works in the studio, and who is asked to. */
export function CrewPage() {
  const owns = roleHere() === 'owner';
  const isAlone = useAccess(({ access }) => access?.state === 'alone');
  const members = useMembers();
  const invitations = useInvitations(owns).data ?? [];
  const events = useEvents().data ?? [];
  const renew = useCrewRenewed();
  const [inviting, setInviting] = useState(false);
  const [looked, setLooked] = useState<Member | null>(null);
  const eventOf = (id: string) => events.find((event) => event.id === id)?.name ?? 'an event that is gone';
  const close = () => {
    setLooked(null);
    setInviting(false);
    renew('members');
    renew('invitations');
  };
  const title = 'Who works here';
  if (isAlone)
    return (
      <Page title={title} back="/studio">
        <Empty
          sentence="Nobody signs in here so far: whoever is at this machine sees all of it. Own the studio first, then invite."
          action={
            <Button title="Own this studio" look="primary" tall onPress={() => router.navigate('/studio/owner')} />
          }
        />
      </Page>
    );
  if (members.isPending)
    return (
      <Page title={title} back="/studio">
        <Loading what="who works here" />
      </Page>
    );
  if (!members.data)
    return (
      <Page title={title} back="/studio">
        <Failed sentence="This is not kept on devices: it needs the network." onRetry={() => void members.refetch()} />
      </Page>
    );
  return (
    <Page
      title={title}
      back="/studio"
      actions={
        owns ? (
          <Button title="Invite someone" look="primary" tall className="flex-1" onPress={() => setInviting(true)} />
        ) : null
      }
    >
      <View className="w-full max-w-[640px] gap-4">
        <View role="list" className="gap-2">
          {members.data.map((member) => (
            <View key={member.id} role="listitem">
              <MemberRow
                member={member}
                part={partText(member, eventOf)}
                onPress={owns || member.me ? () => setLooked(member) : null}
              />
            </View>
          ))}
        </View>
        {invitations.length > 0 ? (
          <Card title="Invited">
            <View role="list" className="gap-3">
              {invitations.map((invitation) => (
                <View key={invitation.id} role="listitem">
                  <InvitationRow {...{ invitation, part: partText(invitation, eventOf), onGone: close }} />
                </View>
              ))}
            </View>
          </Card>
        ) : null}
        {members.data.length === 1 && owns ? (
          <Empty sentence="You work here alone so far. Who joins signs in on their own phone, and sees what their part needs." />
        ) : null}
        <Card title="What each may do">
          <View role="list" className="gap-2">
            {(['owner', 'planner', 'maker', 'helper'] as const).map((role) => (
              <View key={role} role="listitem">
                <Words look="strong">{ROLE_WORDS[role].title}</Words>
                <Words look="quiet">{ROLE_WORDS[role].note}</Words>
              </View>
            ))}
          </View>
        </Card>
      </View>
      {inviting ? <InviteSheet onClose={close} /> : null}
      {looked ? <MemberSheet member={looked} onClose={close} /> : null}
    </Page>
  );
}

function MemberRow({ member, part, onPress }: { member: Member; part: string; onPress: (() => void) | null }) {
  return (
    <Pressable
      role={onPress ? 'button' : undefined}
      disabled={!onPress}
      onPress={onPress ?? undefined}
      className="min-h-[56px] rounded-card border border-line bg-surface p-3 active:bg-sunk"
    >
      <Words look="strong">{`${member.name}${member.me ? ', you' : ''}`}</Words>
      <Words>{part}</Words>
      <Words look="quiet">{memberNote(member)}</Words>
    </Pressable>
  );
}

function InvitationRow({
  invitation: { id, name, expiresAt },
  part,
  onGone,
}: {
  invitation: Invitation;
  part: string;
  onGone: () => void;
}) {
  const { send, busy } = useSending(CREW_ROUTES.withdrawInvitation);
  const withdraw = () => void send({ id }).then(onGone);
  return (
    <ActionRow
      title={name}
      note={`${part}; the code is good until ${dayText(expiresAt)}`}
      action={{ title: 'Withdraw', busy, onPress: withdraw }}
    />
  );
}
