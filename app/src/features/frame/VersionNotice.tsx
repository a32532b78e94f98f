import { usePathname } from 'expo-router';
import RefreshCw from 'lucide-react-native/icons/refresh-cw';
import { useState } from 'react';

import { useNewVersion } from '@/device/newVersion';
import { Button } from '@/ui/Button';

import { Notice } from './Notice';
import { isMidway } from './places';

/** Offers a newer version of the app where opening it interrupts nothing. */
export function VersionNotice() {
  const midway = isMidway(usePathname());
  const open = useNewVersion((state) => state.open);
  const [opening, setOpening] = useState(false);
  if (!open || midway) return null;
  const press = () => {
    setOpening(true);
    open();
  };
  return (
    <Notice tone="pine" icon={RefreshCw} says="A newer Leggero is here.">
      <Button title={opening ? 'Opening…' : 'Open it'} disabled={opening} onPress={press} />
    </Notice>
  );
}
