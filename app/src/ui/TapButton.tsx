import { useRef, type ReactNode, type TouchEvent } from 'react';

/** A finger that stayed longer, or went farther, may have meant something else: whether it tapped, the browser tells. */
const LONGEST_MS = 500;
const FARTHEST_PX = 10;

interface TapButtonProps {
  /** What is heard of it where that is more than its words. */
  label?: string;
  onTap: () => void;
  className: string;
  children: ReactNode;
}

/**
 * The button that a hand taps again and again. It acts once a finger leaves it: what a browser makes of a finger
 * afterwards, all that a mouse would have done and a click at its end, takes it some frames, and is not asked for. Mice,
 * keys and screen readers click as anywhere. It is the browser's own, so that nothing is drawn anew for being pressed.
 */
export function TapButton({ label, onTap, className, children }: TapButtonProps) {
  const began = useRef<Finger | null>(null);
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onTap}
      onTouchStart={(event) => void (began.current = fingerOf(event, 1))}
      onTouchCancel={() => void (began.current = null)}
      onTouchEnd={(event) => {
        const [start, end] = [began.current, fingerOf(event, 0)];
        began.current = null;
        if (start === null || end === null || !isTap(start, end)) return;
        event.preventDefault();
        onTap();
      }}
      className={
        'flex min-w-0 touch-manipulation select-none flex-col items-center justify-center rounded-card border ' +
        className
      }
    >
      {children}
    </button>
  );
}

interface Finger {
  atMs: number;
  x: number;
  y: number;
}

/** The finger that an event is of, with so many on the glass by then; null where there are more. */
function fingerOf({ changedTouches, touches, timeStamp }: TouchEvent, onGlass: number): Finger | null {
  const finger = changedTouches[0];
  if (finger === undefined || touches.length !== onGlass) return null;
  return { atMs: timeStamp, x: finger.clientX, y: finger.clientY };
}

const isTap = (start: Finger, end: Finger) =>
  end.atMs - start.atMs < LONGEST_MS && Math.hypot(end.x - start.x, end.y - start.y) < FARTHEST_PX;
