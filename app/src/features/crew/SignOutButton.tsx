import { CREW_ROUTES } from '@leggero/contract/crew';

import { leave } from '@/data/access';
import { useSending } from '@/data/useSending';
import { Button } from '@/ui/Button';

import { WrongLine } from '@/ui/WrongLine';

/** Signs out on this device, and takes the studio's records off it. */
export function SignOutButton() {
  const { send, busy, wrong } = useSending(CREW_ROUTES.signOut);
  return (
    <>
      <Button title="Sign out here" tall disabled={busy} onPress={() => void leave(send({ body: {} }))} />
      <WrongLine wrong={wrong} />
    </>
  );
}
