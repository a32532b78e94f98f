import { CREW_ROUTES } from '@leggero/contract/crew';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';

import { settle } from '@/data/access';
import { useRecords } from '@/data/state';
import { useSending } from '@/data/useSending';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';

import { AccountFields, NO_ACCOUNT, type AccountValues } from './AccountFields';
import { DoorPage } from './DoorPage';
import { SendButton } from './SendButton';
import { TYPING } from './typing';

/**
 * The first account, which owns the studio: from then on everybody signs in. `withCode`: the service is open to a
 * network, and tells whoever starts it by which code.
 */
export function OwnerPage({ withCode = false }: { withCode?: boolean }) {
  const waiting = useRecords((state) => state.waiting.length);
  const { control, handleSubmit, setError } = useForm<AccountValues>({
    resolver: zodResolver(CREW_ROUTES.claim.request) as never,
    defaultValues: NO_ACCOUNT,
  });
  const sending = useSending(CREW_ROUTES.claim, setError);
  const own = handleSubmit(async (body) => {
    const sent = await sending.send({ body });
    if (sent) await settle(sent.answer);
  });
  return (
    <DoorPage
      title="Own this studio"
      says="You are its first owner: from now on everybody who works here signs in, and you say who does."
    >
      {withCode ? (
        <FormField
          control={control}
          name="code"
          holds="words or nothing"
          label="Code of the start"
          hint="Where Leggero was started it says: nobody owns this studio yet."
          typing={TYPING.code}
        />
      ) : null}
      <AccountFields control={control} />
      {waiting > 0 ? <Words look="quiet">What you entered is still on its way to the records: a moment.</Words> : null}
      <SendButton title="Own this studio" sending={sending} disabled={waiting > 0} onPress={() => void own()} />
    </DoorPage>
  );
}
