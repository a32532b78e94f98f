import type { KnownSpread } from '@leggero/core';
import { useMemo } from 'react';

import { useChecks, useEyeChecks, useSession, useSizers } from '@/data/records';
import { spreadOfChecks, spreadOfEye } from '@/views/spread';

/** One way that balloons come out in this studio. */
export interface NamedSpread {
  value: 'checked' | 'eye';
  title: string;
  spread: KnownSpread;
}

/** How balloons come out here: as checks of batches found them, and by the eye of whoever's private pages were opened in this tab. */
export function useSpreads(): NamedSpread[] {
  const checks = useChecks().data;
  const sizers = useSizers().data;
  const personId = useSession({ known: true }).data?.personId ?? null;
  const eyeChecks = useEyeChecks(personId ?? '', personId !== null).data;
  return useMemo(() => {
    const checked = checks && sizers ? spreadOfChecks(checks, sizers) : null;
    const eye = eyeChecks && personId !== null ? spreadOfEye(eyeChecks, personId) : null;
    return [
      ...(checked ? [{ value: 'checked' as const, title: 'As checked', spread: checked }] : []),
      ...(eye ? [{ value: 'eye' as const, title: 'By my eye', spread: eye }] : []),
    ];
  }, [checks, sizers, eyeChecks, personId]);
}
