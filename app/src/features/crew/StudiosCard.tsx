import type { Access } from '@leggero/contract';
import { CREW_ROUTES } from '@leggero/contract/crew';
import { useState } from 'react';
import { View } from 'react-native';

import { moveTo } from '@/data/access';
import { here } from '@/data/place';
import { useSending } from '@/data/useSending';
import { newId } from '@/device/id';
import { ActionRow } from '@/ui/ActionRow';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { ROLE_WORDS } from '@/wording/crew';

import { LeaveButton } from './LeaveButton';
import { SendButton } from './SendButton';

/** The studios that one works in: another one is opened, or started. */
export function StudiosCard({ accountId, studios }: { accountId: string; studios: Access['studios'] }) {
  const [name, setName] = useState<string | null>(null);
  const sending = useSending(CREW_ROUTES.makeStudio);
  const make = async () => {
    const id = newId();
    const sent = await sending.send({ body: { id, name: name?.trim() } });
    if (sent) await moveTo({ studioId: id, accountId, role: 'owner', eventId: null });
  };
  const open = ({ id: studioId, role, eventId }: Access['studios'][number]) =>
    void moveTo({ studioId, accountId, role, eventId });
  const opened = studios.find(({ id }) => id === here()?.studioId);
  return (
    <Card title="Your studios">
      <View className="gap-3">
        {studios.map((studio) => (
          <ActionRow
            key={studio.id}
            title={studio.name}
            note={ROLE_WORDS[studio.role].title}
            action={studio === opened ? 'open here' : { title: 'Open', onPress: () => open(studio) }}
          />
        ))}
        {/* Everyone else does so from the crew's page, which a helper does not see. */}
        {opened?.role === 'helper' ? <LeaveButton memberId={opened.memberId} /> : null}
        {name === null ? (
          <Button title="Start another studio" look="plain" onPress={() => setName('')} />
        ) : (
          <>
            <Field label="Its name" value={name} onChangeText={setName} />
            <SendButton title="Start it" sending={sending} disabled={name.trim() === ''} onPress={() => void make()} />
          </>
        )}
      </View>
    </Card>
  );
}
