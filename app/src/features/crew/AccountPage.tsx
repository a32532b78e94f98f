import { CREW_ROUTES, type SignedInDevice } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { leave, moveTo, roleHere, useAccess } from '@/data/access';
import { useCrewRenewed, useDevices } from '@/data/crew';
import { here } from '@/data/place';
import { useRecords } from '@/data/state';
import { newId } from '@/device/id';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { FormField } from '@/ui/FormField';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { deviceText, ROLE_WORDS, usedText } from '@/wording/crew';
import { counted } from '@/wording/trade';

import { PasskeysCard } from './PasskeysCard';
import { SendButton } from './SendButton';
import { useSending } from './useSending';

/** One's own account: where it is signed in, its password, the studios it works in. */
export function AccountPage() {
  const access = useAccess((state) => state.access);
  const back = roleHere() === 'helper' ? '/' : '/studio';
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
        <Studios studios={studios} />
        <Devices />
        <PasskeysCard />
        <Password />
        <SignOut />
      </View>
    </Page>
  );
}

function Studios({ studios }: { studios: NonNullable<ReturnType<typeof useAccess.getState>['access']>['studios'] }) {
  const [name, setName] = useState<string | null>(null);
  const sending = useSending(CREW_ROUTES.makeStudio);
  const accountId = here()?.accountId ?? '';
  const make = async () => {
    const id = newId();
    const sent = await sending.send({ body: { id, name: name?.trim() } });
    if (sent) await moveTo({ studioId: id, accountId, role: 'owner', eventId: null });
  };
  return (
    <Card title="Your studios">
      <View className="gap-3">
        {studios.map(({ id, name: called, role, eventId }) => (
          <View key={id} className="flex-row items-center gap-3">
            <View className="flex-1">
              <Words look="strong">{called}</Words>
              <Words look="quiet">{ROLE_WORDS[role].title}</Words>
            </View>
            {id === here()?.studioId ? (
              <Words look="quiet">open here</Words>
            ) : (
              <Button title="Open" onPress={() => void moveTo({ studioId: id, accountId, role, eventId })} />
            )}
          </View>
        ))}
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

function Devices() {
  const devices = useDevices().data ?? [];
  const renew = useCrewRenewed();
  if (devices.length === 0) return null;
  return (
    <Card title="Signed in on">
      <View role="list" className="gap-3">
        {devices.map((device) => (
          <View key={device.id} role="listitem">
            <DeviceRow device={device} onEnded={() => renew('devices')} />
          </View>
        ))}
      </View>
    </Card>
  );
}

function DeviceRow({ device, onEnded }: { device: SignedInDevice; onEnded: () => void }) {
  const { send, busy } = useSending(CREW_ROUTES.endDevice);
  return (
    <View className="flex-row items-center gap-3">
      <View className="flex-1">
        <Words look="strong">{deviceText(device.userAgent)}</Words>
        <Words look="quiet">{usedText(device)}</Words>
      </View>
      {device.here ? null : (
        <Button title="Sign it out" disabled={busy} onPress={() => void send({ id: device.id }).then(onEnded)} />
      )}
    </View>
  );
}

function Password() {
  const [changed, setChanged] = useState(false);
  const { control, handleSubmit, setError, reset } = useForm({
    resolver: zodResolver(CREW_ROUTES.changePassword.request),
    defaultValues: { before: '', password: '' },
  });
  const sending = useSending(CREW_ROUTES.changePassword, setError);
  const change = handleSubmit(async (body) => {
    if (!(await sending.send({ body }))) return;
    reset();
    setChanged(true);
  });
  return (
    <Card title="Password">
      <View className="gap-4">
        <FormField
          control={control}
          name="before"
          label="So far"
          typing={{ secureTextEntry: true, autoComplete: 'current-password' }}
        />
        <FormField
          control={control}
          name="password"
          label="From now on"
          hint="Every other device is signed out by it."
          typing={{ secureTextEntry: true, autoComplete: 'new-password' }}
        />
        {changed ? (
          <View role="status">
            <Words>It is changed.</Words>
          </View>
        ) : null}
        <SendButton title="Change it" sending={sending} onPress={() => void change()} />
      </View>
    </Card>
  );
}

function SignOut() {
  const waiting = useRecords((state) => state.waiting.length);
  const sending = useSending(CREW_ROUTES.signOut);
  return (
    <>
      {waiting > 0 ? (
        <Words>{`${counted(waiting, 'entry waits', 'entries wait')} here until you sign in on this device again.`}</Words>
      ) : null}
      <Button
        title="Sign out here"
        tall
        disabled={sending.busy}
        onPress={() => void sending.send({ body: {} }).then((sent) => sent && leave())}
      />
      {sending.wrong ? (
        <Words look="error" role="alert">
          {sending.wrong}
        </Words>
      ) : null}
    </>
  );
}
