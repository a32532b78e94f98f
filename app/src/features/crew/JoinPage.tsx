import { CREW_ROUTES, type Invited } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { settle, useAccess } from '@/data/access';
import { useInvited } from '@/data/crew';
import { useSending } from '@/data/useSending';
import { takeHash } from '@/device/hash';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { invitedText } from '@/wording/crew';

import { AccountFields, NO_ACCOUNT, type AccountValues } from './AccountFields';
import { DoorPage } from './DoorPage';
import { SendButton } from './SendButton';

/** Takes up an invitation: by its link, or by its code typed in. */
export function JoinPage() {
  const [typed, setTyped] = useState(takeHash);
  const [code, setCode] = useState(typed);
  const invited = useInvited(code);
  const look = () => setCode(typed.trim());
  if (invited.data) return <Join code={code} invited={invited.data} />;
  return (
    <DoorPage title="Join a studio" says="Who owns it gave you a code.">
      <Field
        label="Code"
        autoCapitalize="characters"
        autoComplete="off"
        value={typed}
        onChangeText={setTyped}
        error={invited.error?.message}
        onSubmitEditing={look}
      />
      <Button title="Look" look="primary" tall disabled={invited.isFetching || typed.trim() === ''} onPress={look} />
    </DoorPage>
  );
}

function Join({ code, invited }: { code: string; invited: Invited }) {
  const account = useAccess(({ access }) => access?.account ?? null);
  const { control, handleSubmit, setError } = useForm<AccountValues>({
    resolver: zodResolver(CREW_ROUTES.claim.request) as never,
    defaultValues: { ...NO_ACCOUNT, name: invited.name },
  });
  const sending = useSending(CREW_ROUTES.join, setError);
  const join = async (made: Omit<AccountValues, 'code'> | null) => {
    const sent = await sending.send({ body: { code, account: made } });
    // The newest is the one that was joined.
    if (sent) await settle({ ...sent.answer, at: sent.answer.studios.at(-1)?.id ?? null });
  };
  const joinAnew = handleSubmit(({ code: _, ...made }) => join(made));
  return (
    <DoorPage title={`Join ${invited.studio}`} says={invitedText(invited)}>
      {account ? (
        <View className="gap-2">
          <Words>{`You are signed in as ${account.name}.`}</Words>
        </View>
      ) : (
        <AccountFields control={control} />
      )}
      <SendButton
        title={`Join ${invited.studio}`}
        sending={sending}
        onPress={() => void (account ? join(null) : joinAnew())}
      />
    </DoorPage>
  );
}
