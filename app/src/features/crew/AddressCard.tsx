import type { Access } from '@leggero/contract';
import { MAIL_ROUTES } from '@leggero/contract/mail';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { settle, useMails } from '@/data/access';
import { useSending } from '@/data/useSending';
import { Card } from '@/ui/Card';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';
import { addressText } from '@/wording/crew';

import { SendButton } from './SendButton';
import { TYPING } from './typing';

/** One's address: to sign in by, and for mails once it is confirmed. */
export function AddressCard({ account }: { account: NonNullable<Access['account']> }) {
  const mails = useMails();
  const { control, handleSubmit, setError, reset } = useForm<{ email: string | null; password: string }>({
    resolver: zodResolver(MAIL_ROUTES.setAddress.request),
    defaultValues: { email: account.email, password: '' },
  });
  const typed = useWatch({ control, name: 'email' });
  const again = mails && !account.confirmed && account.email !== null && typed === account.email;
  const sending = useSending(MAIL_ROUTES.setAddress, setError);
  const keep = handleSubmit(async (body) => {
    const sent = await sending.send({ body });
    if (!sent) return;
    reset({ email: sent.answer.account?.email ?? null, password: '' });
    await settle(sent.answer);
  });
  return (
    <Card title="E-mail">
      <View className="gap-4">
        <View role="status">
          <Words look="quiet">{addressText(account, mails)}</Words>
        </View>
        <FormField
          control={control}
          name="email"
          holds="words or nothing"
          label="Address"
          hint="Nobody else here sees it."
          typing={TYPING.email}
        />
        <FormField control={control} name="password" label="Your password" typing={TYPING.password} />
        <SendButton title={again ? 'Mail the link again' : 'Keep it'} sending={sending} onPress={() => void keep()} />
      </View>
    </Card>
  );
}
