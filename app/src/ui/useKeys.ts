import { useEffect, useRef } from 'react';

/** Calls a function for a key, unless someone is typing or holds a modifier. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const present = useRef(keys);
  useEffect(() => {
    present.current = keys;
  });
  useEffect(() => {
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
  }, []);
}
