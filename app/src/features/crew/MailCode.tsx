import { MAIL_ROUTES } from '@leggero/contract/mail';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { useSending } from '@/data/useSending';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';
import { WrongLine } from '@/ui/WrongLine';
import { Words } from '@/ui/Words';

/** Has a code for a new password mailed. Whether there is such an account is said to nobody. */
export function MailCode() {
  const [asked, setAsked] = useState(false);
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(MAIL_ROUTES.mailPasswordCode.request),
    defaultValues: { who: '' },
  });
  const { send, busy, wrong } = useSending(MAIL_ROUTES.mailPasswordCode, setError);
  const ask = handleSubmit(async (body) => {
    if (await send({ body })) setAsked(true);
  });
  return (
    <View className="gap-4 rounded-card border border-line bg-surface p-4">
      <FormField
        control={control}
        name="who"
        label="Name or e-mail"
        typing={{ autoComplete: 'username', autoCapitalize: 'none', onSubmitEditing: () => void ask() }}
      />
      {asked ? (
        <View role="status">
          <Words>
            If this account has an address that was confirmed, a link is on its way there. It is good for an hour. No
            mail? An owner of your studio gives you a code.
          </Words>
        </View>
      ) : null}
      <WrongLine wrong={wrong} />
      <Button title={asked ? 'Mail another' : 'Mail me a link'} tall disabled={busy} onPress={() => void ask()} />
    </View>
  );
}
