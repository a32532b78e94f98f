import { usePathname } from 'expo-router';
import { Suspense, type ReactNode } from 'react';

import { ConfirmPage, JoinPage, NewPasswordPage, NowherePage, OwnerPage, SharedPage, SignInPage } from '@/chunks';
import { doorAt, useAccess, useAccessLearned } from '@/data/access';

/**
 * Lets into the app whoever may see something of it. Until the server has said who this device is for, and while it
 * cannot be reached, it is for whom it was.
 */
export function Door({ children }: { children: ReactNode }) {
  useAccessLearned();
  const shut = useShut();
  return shut ? <Suspense>{shut}</Suspense> : children;
}

/** The page that stands in the way; null where none does. */
function useShut(): ReactNode {
  const access = useAccess((state) => state.access);
  switch (doorAt(access, usePathname())) {
    case 'confirm':
      return <ConfirmPage />;
    case 'join':
      return <JoinPage />;
    case 'new-password':
      return <NewPasswordPage />;
    case 'shared':
      return <SharedPage />;
    case 'set-up':
      return <OwnerPage withCode />;
    case 'sign-in':
      return <SignInPage />;
    case 'nowhere':
      return <NowherePage name={access?.account?.name ?? ''} />;
    case null:
      return null;
  }
}
