import { CREW_ROUTES } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { useSending } from '@/data/useSending';
import { Card } from '@/ui/Card';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';

import { SendButton } from './SendButton';
import { TYPING } from './typing';

/** Changes one's password, by the one so far. */
export function PasswordCard() {
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
        <FormField control={control} name="before" label="So far" typing={TYPING.password} />
        <FormField
          control={control}
          name="password"
          label="From now on"
          hint="Every other device is signed out by it."
          typing={TYPING.newPassword}
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
