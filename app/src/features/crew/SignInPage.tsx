import { CREW_ROUTES } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { settle, useMails } from '@/data/access';
import { useRecords } from '@/data/state';
import { useSending } from '@/data/useSending';
import { hasPasskeys, signByPasskey } from '@/device/passkey';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';
import { WrongLine } from '@/ui/WrongLine';
import { counted } from '@/wording/trade';

import { DoorPage } from './DoorPage';
import { SendButton } from './SendButton';
import { TYPING } from './typing';
import { usePasskey } from './usePasskey';

/** Where no mails go from here. */
const FORGOTTEN = ', and gives you a code for another password where you forgot yours';

/** Who has an account signs in. */
export function SignInPage() {
  const mails = useMails();
  const waiting = useRecords((state) => state.waiting.length);
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(CREW_ROUTES.signIn.request),
    defaultValues: { who: '', password: '' },
  });
  const sending = useSending(CREW_ROUTES.signIn, setError);
  const signIn = handleSubmit(async (body) => {
    const sent = await sending.send({ body });
    if (sent) await settle(sent.answer);
  });
  return (
    <DoorPage title="Sign in" says="By the name or the e-mail address that you joined with.">
      <FormField
        control={control}
        name="who"
        label="Name or e-mail"
        typing={{ autoComplete: 'username', autoCapitalize: 'none' }}
      />
      <FormField
        control={control}
        name="password"
        label="Password"
        typing={{ ...TYPING.password, onSubmitEditing: () => void signIn() }}
      />
      <SendButton title="Sign in" sending={sending} onPress={() => void signIn()} />
      {hasPasskeys() ? <PasskeySignIn /> : null}
      <Words look="quiet">
        {`Who owns the studio invites you, by a link or a code to scan${mails ? '' : FORGOTTEN}.`}
      </Words>
      <View className="flex-row flex-wrap justify-center gap-1">
        <Button title="Join by a code" look="plain" onPress={() => router.navigate('/join')} />
        <Button
          title={mails ? 'I forgot my password' : 'Another password by a code'}
          look="plain"
          onPress={() => router.navigate('/new-password')}
        />
      </View>
      {waiting > 0 ? (
        <Words look="quiet">{`${counted(waiting, 'entry waits', 'entries wait')} on this device until you are signed in.`}</Words>
      ) : null}
    </DoorPage>
  );
}

function PasskeySignIn() {
  const signature = usePasskey({
    options: CREW_ROUTES.passkeySignInOptions,
    device: signByPasskey,
    nothing: 'No passkey was used: it was called off, or this device keeps none for here.',
  });
  const signing = useSending(CREW_ROUTES.passkeySignIn);
  const signIn = async () => {
    const response = await signature.ask();
    if (!response) return;
    const sent = await signing.send({ body: { response } });
    if (sent) await settle(sent.answer);
  };
  const wrong = signature.wrong ?? signing.wrong;
  return (
    <>
      <Button
        title="Sign in by a passkey"
        tall
        disabled={signature.busy || signing.busy}
        onPress={() => void signIn()}
      />
      <WrongLine wrong={wrong} />
    </>
  );
}
