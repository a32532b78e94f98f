import { MAIL_ROUTES } from '@leggero/contract/mail';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';

import { learnAccess } from '@/data/access';
import { useSending } from '@/data/useSending';
import { takeHash } from '@/device/hash';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';

import { DoorPage } from './DoorPage';
import { SendButton } from './SendButton';
import { TYPING } from './typing';

/** Whoever reads at an address says so: by a tap, since programs that look through mails follow links. */
export function ConfirmPage() {
  const [code] = useState(takeHash);
  const [confirmed, setConfirmed] = useState(false);
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(MAIL_ROUTES.confirmAddress.request),
    defaultValues: { code },
  });
  const sending = useSending(MAIL_ROUTES.confirmAddress, setError);
  const confirm = handleSubmit(async (body) => {
    if (!(await sending.send({ body }))) return;
    setConfirmed(true);
    await learnAccess();
  });
  if (confirmed)
    return (
      <DoorPage title="It is your address" says="A code for a new password can be mailed there from now on.">
        <Button title="To Leggero" look="primary" tall onPress={() => router.replace('/')} />
      </DoorPage>
    );
  return (
    <DoorPage title="Is this your address?" says="You asked for mails at the address that this link came to.">
      <FormField control={control} name="code" label="Code" typing={TYPING.code} />
      <SendButton title="Confirm it" sending={sending} onPress={() => void confirm()} />
    </DoorPage>
  );
}
