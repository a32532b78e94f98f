import { useLayoutEffect } from 'react';

import { useLatest } from './useLatest';

/**
 * Calls a function for a key, unless someone is typing or holds a modifier. Keys count from the moment that the page
 * is drawn (layout effects), so that the first one is not lost on a busy machine.
 */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const present = useLatest(keys);
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = present.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [present]);
}
