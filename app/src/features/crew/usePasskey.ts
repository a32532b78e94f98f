import type { CREW_ROUTES } from '@leggero/contract/crew';
import { useState } from 'react';

import { useSending } from '@/data/useSending';
import type { signByPasskey } from '@/device/passkey';

interface Asking {
  /** Answers what a device is asked for. */
  options: typeof CREW_ROUTES.passkeyOptions | typeof CREW_ROUTES.passkeySignInOptions;
  device: typeof signByPasskey;
  /** What is said where it gives nothing: it does not tell why. */
  nothing: string;
}

/** What a device answers by a passkey: whether it is asked, why there is none, and how it is asked. */
export function usePasskey({ options, device, nothing }: Asking) {
  const { send, busy, wrong } = useSending(options);
  const [none, setNone] = useState(false);
  return {
    busy,
    wrong: wrong ?? (none ? nothing : null),
    /** Null where it gives nothing. */
    async ask() {
      setNone(false);
      const asked = await send({});
      const response = asked && (await device(asked.answer));
      setNone(asked !== null && response === null);
      return response;
    },
  };
}
