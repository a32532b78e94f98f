import { CREW_ROUTES } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';

import { useMails } from '@/data/access';
import { useSending } from '@/data/useSending';
import { takeHash } from '@/device/hash';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';

import { DoorPage } from './DoorPage';
import { MailCode } from './MailCode';
import { SendButton } from './SendButton';
import { TYPING } from './typing';

/** Sets a new password by a code: an owner gave it, or it was mailed. */
export function NewPasswordPage() {
  const [code] = useState(takeHash);
  const asksMail = useMails() && code === '';
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
    <DoorPage
      title="A new password"
      says={
        asksMail
          ? 'By a link that is mailed to you, or a code that an owner of your studio gave you.'
          : 'By the code that you were given.'
      }
    >
      {asksMail ? (
        <>
          <MailCode />
          <Words look="strong">Or by a code that you have</Words>
        </>
      ) : null}
      <FormField control={control} name="code" label="Code" typing={TYPING.code} />
      <FormField control={control} name="password" label="New password" typing={TYPING.newPassword} />
      <SendButton title="Set it" sending={sending} onPress={() => void keep()} />
    </DoorPage>
  );
}
