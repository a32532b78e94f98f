import { useLayoutEffect } from 'react';

import { useLatest } from './useLatest';

/**
 * Calls a function for a key, unless someone is typing or holds a modifier. Keys count from the moment that the page
 * is drawn (layout effects), so that the first one is not lost on a busy machine. Those for `elsewhere` act where no
 * other use of the hook took the key.
 */
export function useKeys(keys: Readonly<Record<string, () => void>>, { elsewhere = false } = {}): void {
  const present = useLatest(keys);
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      if (elsewhere && event.defaultPrevented) return;
      // A button that has the focus is pressed by these.
      const pressing = (event.key === 'Enter' || event.key === ' ') && event.target instanceof HTMLElement;
      if (pressing && (event.target as HTMLElement).closest('button, a, [role]:not([role=main])')) return;
      const act = present.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    // On their way down keys are the page's, on their way up the rest of them are everyone's.
    window.addEventListener('keydown', onKey, !elsewhere);
    return () => window.removeEventListener('keydown', onKey, !elsewhere);
  }, [present, elsewhere]);
}
