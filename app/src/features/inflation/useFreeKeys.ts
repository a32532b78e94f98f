import { useEffect } from 'react';

/**
 * After a finger's tap nothing keeps the focus: the next key, of a foot pedal, is the page's, and does not press again
 * what was tapped last. Whoever goes by keys keeps their place: a click that a key makes counts no presses.
 */
export function useFreeKeys(): void {
  useEffect(() => {
    // On its way down: buttons keep their clicks to themselves.
    const letGo = ({ detail }: MouseEvent) => {
      if (detail > 0 && document.activeElement instanceof HTMLElement) document.activeElement.blur();
    };
    // Nor does a button take the focus first: that would draw it anew, and once more as it lets go.
    const takeNone = (event: MouseEvent) => {
      if (event.target instanceof Element && event.target.closest('button, [role=button]')) event.preventDefault();
    };
    window.addEventListener('click', letGo, true);
    window.addEventListener('mousedown', takeNone, true);
    return () => {
      window.removeEventListener('click', letGo, true);
      window.removeEventListener('mousedown', takeNone, true);
    };
  }, []);
}
