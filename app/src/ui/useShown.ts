import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** Brings a part of the page into sight whenever something on it begins to be shown. */
export function useShown(shown: boolean): RefObject<View | null> {
  const place = useRef<View>(null);
  useEffect(() => {
    // On the web a view is its element.
    const element = place.current as unknown as HTMLElement | null;
    if (shown) element?.scrollIntoView?.({ block: 'center' });
  }, [shown]);
  return place;
}
