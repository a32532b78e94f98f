import { router } from 'expo-router';

import { Button } from '@/ui/Button';

import { DoorPage } from './DoorPage';
import { SignOutButton } from './SignOutButton';

/** Who is signed in and works in no studio, or no longer. */
export function NowherePage({ name }: { name: string }) {
  return (
    <DoorPage
      title={`No studio, ${name}`}
      says="You work in no studio by now: your time as a helper is over, or an owner ended it. What you did stays with them."
    >
      <Button title="Join by a code" look="primary" tall onPress={() => router.navigate('/join')} />
      <SignOutButton />
    </DoorPage>
  );
}
