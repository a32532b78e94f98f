import { router } from 'expo-router';
import { View } from 'react-native';

import { roleHere, useAccess } from '@/data/access';
import { useRecords } from '@/data/state';
import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import { AddressCard } from './AddressCard';
import { DevicesCard } from './DevicesCard';
import { OwnDataCard } from './OwnDataCard';
import { PasskeysCard } from './PasskeysCard';
import { PasswordCard } from './PasswordCard';
import { SignOutButton } from './SignOutButton';
import { StudiosCard } from './StudiosCard';

/** One's own account: where it is signed in, by what, and the studios it works in. */
export function AccountPage() {
  const access = useAccess((state) => state.access);
  const waiting = useRecords((state) => state.waiting.length);
  const back = roleHere() === 'helper' ? '/help' : '/studio';
  if (!access)
    return (
      <Page title="Your account" back={back}>
        <Loading what="your account" />
      </Page>
    );
  const { account, studios } = access;
  if (!account)
    return (
      <Page title="Your account" back={back}>
        <Empty
          sentence="Nobody signs in here so far: whoever is at this machine sees all of it."
          action={<Button title="Work here with others" tall onPress={() => router.navigate('/studio/owner')} />}
        />
      </Page>
    );
  return (
    <Page title={account.name} subtitle={account.signInName ?? undefined} back={back}>
      <View className="w-full max-w-[640px] gap-4">
        <StudiosCard accountId={account.id} studios={studios} />
        <DevicesCard />
        <PasskeysCard />
        <PasswordCard />
        <AddressCard account={account} />
        {waiting > 0 ? (
          <Words>{`${counted(waiting, 'entry waits', 'entries wait')} here until you sign in on this device again.`}</Words>
        ) : null}
        <SignOutButton />
        <OwnDataCard />
      </View>
    </Page>
  );
}
