import type { RefObject } from 'react';
import type { TextInput } from 'react-native';

/** Keys that move among the links inside an element, and from the first one up into the field before them. */
export function useArrows(
  elementId: string,
  field: RefObject<TextInput | null>,
): { ArrowDown: () => void; ArrowUp: () => void } {
  const move = (by: number) => {
    const links = [...(document.getElementById(elementId)?.querySelectorAll<HTMLElement>('a[href]') ?? [])];
    const at = links.findIndex((link) => link === document.activeElement) + by;
    if (at < 0) field.current?.focus();
    else links[Math.min(at, links.length - 1)]?.focus();
  };
  return { ArrowDown: () => move(1), ArrowUp: () => move(-1) };
}
