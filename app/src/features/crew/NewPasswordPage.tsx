import { CREW_ROUTES } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';

import { takeHash } from '@/device/hash';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';

import { DoorPage } from './DoorPage';
import { SendButton } from './SendButton';
import { useSending } from './useSending';

/** Sets a new password by the code that an owner gave. */
export function NewPasswordPage() {
  const [code] = useState(takeHash);
  const [set, setSet] = useState(false);
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(CREW_ROUTES.newPassword.request),
    defaultValues: { code, password: '' },
  });
  const sending = useSending(CREW_ROUTES.newPassword, setError);
  const keep = handleSubmit(async (body) => {
    if (await sending.send({ body })) setSet(true);
  });
  if (set)
    return (
      <DoorPage title="Your password is set" says="Every device was signed out: sign in with it.">
        <Button title="To sign in" look="primary" tall onPress={() => router.replace('/')} />
      </DoorPage>
    );
  return (
    <DoorPage title="A new password" says="By the code that an owner of your studio gave you.">
      <FormField
        control={control}
        name="code"
        label="Code"
        typing={{ autoCapitalize: 'characters', autoComplete: 'off' }}
      />
      <FormField
        control={control}
        name="password"
        label="New password"
        typing={{ secureTextEntry: true, autoComplete: 'new-password' }}
      />
      <SendButton title="Set it" sending={sending} onPress={() => void keep()} />
    </DoorPage>
  );
}
