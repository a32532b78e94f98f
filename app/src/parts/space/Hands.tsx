import { useGesture } from '@use-gesture/react';
import { useRef } from 'react';
import { View } from 'react-native';

import type { CameraStore } from './cameraStore';
import { held, zoomed, type Camera } from './view';

/** A drag that turns a piece by a radian, px. */
const PX_PER_RADIAN = 130;
/** A wheel that makes it e times larger, px. */
const PX_PER_ZOOM = 500;

interface HandsProps {
  camera: CameraStore;
  /** A press that stays, px from the upper left. */
  onTap: (x: number, y: number) => void;
  /** A finger that goes up and down tilts it; else the page scrolls by it. */
  whole: boolean;
}

/** Turns and tilts a piece by a drag, zooms it by two fingers or a wheel, and taps it by a press that stays. */
export function Hands({ camera, onTap, whole }: HandsProps) {
  const area = useRef<HTMLElement>(null);
  const shareOf = ([x, y]: readonly [number, number]) => {
    const { left, top, width, height } = area.current!.getBoundingClientRect();
    return [(x - left) / (width || 1), (y - top) / (height || 1)] as const;
  };
  useGesture(
    {
      onDrag: ({ tap, xy, delta: [dx, dy], pinching, shiftKey, event }) => {
        // A finger that begins to scroll the page was no tap.
        if (pinching || event.type === 'pointercancel') return;
        const { left, top, width, height } = area.current!.getBoundingClientRect();
        if (tap) return onTap(xy[0] - left, xy[1] - top);
        const { turn, tilt, push, zoom } = camera.getState();
        const byFinger = 'pointerType' in event && event.pointerType === 'touch';
        const next = shiftKey
          ? { turn, tilt, push: [push[0] + dx / (width || 1), push[1] + dy / (height || 1)] as const }
          : {
              turn: turn + dx / PX_PER_RADIAN,
              tilt: byFinger && !whole ? tilt : tilt + dy / PX_PER_RADIAN,
              push,
            };
        camera.setState(held({ ...next, zoom }));
      },
      onPinch: ({ origin, offset: [scale], memo }) => {
        // Since the last call it grew by a factor; two fingers that go aside push it along.
        const last = (memo as { scale: number; origin: typeof origin } | undefined) ?? { scale: 1, origin };
        const { width, height } = area.current!.getBoundingClientRect();
        const near = zoomed(camera.getState(), scale / last.scale, shareOf(origin));
        const [x, y] = [origin[0] - last.origin[0], origin[1] - last.origin[1]];
        const push = [near.push[0] + x / (width || 1), near.push[1] + y / (height || 1)] as const;
        camera.setState(held({ ...near, push }));
        return { scale, origin };
      },
      ...(whole
        ? {
            onWheel: ({ delta: [, dy], event, ctrlKey }) => {
              if (ctrlKey) return;
              event.preventDefault();
              const by = Math.exp(-dy / PX_PER_ZOOM);
              camera.setState(zoomed(camera.getState(), by, shareOf([event.clientX, event.clientY])));
            },
          }
        : {}),
    },
    {
      target: area,
      eventOptions: { passive: false },
      drag: { filterTaps: true, pointer: { keys: false } },
      pinch: { scaleBounds: { min: 0.05, max: 40 }, from: () => [1, 0] },
    },
  );
  return (
    <View
      ref={area as never}
      className="absolute inset-0"
      // On its page a finger that goes up and down scrolls as ever.
      style={{ touchAction: whole ? 'none' : 'pan-y', cursor: 'grab' } as object}
    />
  );
}

/** Steps of the keys. */
const KEY_TURN = Math.PI / 12;
const KEY_PUSH = 0.1;

/** What a key does to how a piece is looked at; null where it does nothing. */
export function byKey(camera: Camera, first: Camera, key: string, shift: boolean): Camera | null {
  const { turn, tilt, push } = camera;
  const pushed = (x: number, y: number) => held({ ...camera, push: [push[0] + x, push[1] + y] });
  switch (key) {
    case 'ArrowLeft':
      return shift ? pushed(KEY_PUSH, 0) : held({ ...camera, turn: turn - KEY_TURN });
    case 'ArrowRight':
      return shift ? pushed(-KEY_PUSH, 0) : held({ ...camera, turn: turn + KEY_TURN });
    case 'ArrowUp':
      return shift ? pushed(0, KEY_PUSH) : held({ ...camera, tilt: tilt - KEY_TURN });
    case 'ArrowDown':
      return shift ? pushed(0, -KEY_PUSH) : held({ ...camera, tilt: tilt + KEY_TURN });
    case '+':
    case '=':
      return zoomed(camera, 1.25);
    case '-':
      return zoomed(camera, 0.8);
    case '0':
      return first;
    default:
      return null;
  }
}
