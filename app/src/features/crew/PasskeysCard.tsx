import { CREW_ROUTES, type Passkey } from '@leggero/contract/crew';
import { View } from 'react-native';

import { useCrewRenewed, usePasskeys } from '@/data/crew';
import { useSending } from '@/data/useSending';
import { hasPasskeys, makePasskey } from '@/device/passkey';
import { ActionRow } from '@/ui/ActionRow';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { WrongLine } from '@/ui/WrongLine';
import { deviceText } from '@/wording/crew';
import { dayText } from '@/wording/day';

import { usePasskey } from './usePasskey';

/** Keys that one's devices keep: to sign in by a finger or a glance instead of a password. */
export function PasskeysCard() {
  const passkeys = usePasskeys().data ?? [];
  const renew = useCrewRenewed();
  const making = usePasskey({
    options: CREW_ROUTES.passkeyOptions,
    device: makePasskey,
    nothing: 'No passkey was made: it was called off, or this device has one already.',
  });
  const keeping = useSending(CREW_ROUTES.keepPasskey);
  const add = async () => {
    const response = await making.ask();
    if (!response) return;
    await keeping.send({ body: { name: deviceText(navigator.userAgent), response } });
    renew('passkeys');
  };
  const wrong = making.wrong ?? keeping.wrong;
  return (
    <Card title="Passkeys">
      <View className="gap-3">
        <Words look="quiet">
          {hasPasskeys()
            ? 'This device keeps a key, and you sign in by finger, face or its PIN.'
            : 'They need https, or the name localhost on this machine.'}
        </Words>
        <View role="list" className="gap-3">
          {passkeys.map((passkey) => (
            <View key={passkey.id} role="listitem">
              <PasskeyRow passkey={passkey} onGone={() => renew('passkeys')} />
            </View>
          ))}
        </View>
        <WrongLine wrong={wrong} />
        {hasPasskeys() ? (
          <Button
            title="Add a passkey of this device"
            disabled={making.busy || keeping.busy}
            onPress={() => void add()}
          />
        ) : null}
      </View>
    </Card>
  );
}

function PasskeyRow({ passkey: { id, name, madeAt }, onGone }: { passkey: Passkey; onGone: () => void }) {
  const { send, busy } = useSending(CREW_ROUTES.removePasskey);
  const remove = () => void send({ id }).then(onGone);
  return (
    <ActionRow
      title={name}
      note={madeAt && `since ${dayText(madeAt)}`}
      action={{ title: 'Remove', busy, onPress: remove }}
    />
  );
}
