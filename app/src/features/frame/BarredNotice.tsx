import { NOUNS } from '@leggero/contract';
import { usePathname } from 'expo-router';
import { useEffect } from 'react';

import { roleHere, useBarred } from '@/data/access';
import { Button } from '@/ui/Button';
import { barredText } from '@/wording/crew';

import { Notice } from './Notice';

/** Says that what was tried is not for whoever is at this device to keep; gone with the page. */
export function BarredNotice() {
  const noun = useBarred((state) => state.noun);
  const pathname = usePathname();
  const forget = () => useBarred.setState({ noun: null });
  useEffect(() => forget, [pathname]);
  if (noun === null) return null;
  return (
    <Notice tone="edge" says={barredText(roleHere(), NOUNS[noun].writtenBy)}>
      <Button title="All right" onPress={forget} />
    </Notice>
  );
}
