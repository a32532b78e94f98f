import { CREW_ROUTES } from '@leggero/contract/crew';
import { router } from 'expo-router';

import { leave } from '@/data/access';
import { Button } from '@/ui/Button';

import { DoorPage } from './DoorPage';
import { useSending } from './useSending';

/** Who is signed in and works in no studio, or no longer. */
export function NowherePage({ name }: { name: string }) {
  const sending = useSending(CREW_ROUTES.signOut);
  return (
    <DoorPage
      title={`No studio, ${name}`}
      says="You work in no studio by now: your time as a helper is over, or an owner ended it. What you did stays with them."
    >
      <Button title="Join by a code" look="primary" tall onPress={() => router.navigate('/join')} />
      <Button
        title="Sign out"
        tall
        disabled={sending.busy}
        onPress={() => void sending.send({ body: {} }).then((sent) => sent && leave())}
      />
    </DoorPage>
  );
}
