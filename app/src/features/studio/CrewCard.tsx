import { View } from 'react-native';

import { useAccess } from '@/data/access';
import { RowLink } from '@/ui/RowLink';
import { ROLE_WORDS } from '@/wording/crew';

/** Who works here: whoever is at this machine, or who signed in. */
export function CrewCard() {
  const access = useAccess((state) => state.access);
  if (!access) return null;
  if (access.state === 'alone')
    return (
      <RowLink
        href="/studio/owner"
        title="Work here with others"
        note="Nobody signs in: whoever is at this machine sees all of it. Own the studio first, then invite."
      />
    );
  const { account, studios, at } = access;
  const role = studios.find(({ id }) => id === at)?.role;
  return (
    <View className="gap-2">
      <RowLink href="/studio/crew" title="Who works here" note="Parts, invitations, codes for a new password" />
      <RowLink
        href="/studio/account"
        title="Your account"
        note={`${account?.name ?? ''}${role ? `, ${ROLE_WORDS[role].title.toLowerCase()}` : ''}: devices, password, signing out`}
      />
    </View>
  );
}
