import { useEffect, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';

/** What is within half a screen of it counts too: it is ready once it is scrolled to. */
const AHEAD = '50%';

/** Whether a part of the page is on the screen, or about to be; it counts as such where nothing tells. */
export function useOnScreen(): { place: RefObject<View | null>; onScreen: boolean } {
  const place = useRef<View>(null);
  const [onScreen, setOnScreen] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (typeof IntersectionObserver === 'undefined') return;
    // Pages scroll in a part of the window, whose own margin is younger than the standard library's types.
    const margins: IntersectionObserverInit & { scrollMargin: string } = { rootMargin: AHEAD, scrollMargin: AHEAD };
    const observer = new IntersectionObserver((seen) => setOnScreen(seen.at(-1)!.isIntersecting), margins);
    // On the web a view is its element.
    observer.observe(place.current as unknown as Element);
    return () => observer.disconnect();
  }, []);
  return { place, onScreen };
}
