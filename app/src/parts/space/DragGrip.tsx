import { useRef } from 'react';
import { View, type GestureResponderEvent, type ViewStyle } from 'react-native';

/** As wide, or as high, as a thumb, px. */
export const GRIP_PX = 44;

interface DragGripProps {
  /** Where its area lies in the picture, px. */
  place: Pick<ViewStyle, 'left' | 'right' | 'top' | 'width' | 'height'>;
  /** Which way it is dragged. */
  way: 'aside' | 'up';
  /** What it moves, mm, and px for a mm. */
  mm: number;
  scale: number;
  onDrag: (mm: number) => void;
}

/** An area of a picture that drags a measure, never below 0; by keys the same is typed beside the picture. */
export function DragGrip({ place, way, mm, scale, onDrag }: DragGripProps) {
  const from = useRef({ pageX: 0, pageY: 0, mm: 0 });
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      from.current = { pageX, pageY, mm };
    },
    onResponderMove: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      const px = way === 'aside' ? pageX - from.current.pageX : from.current.pageY - pageY;
      onDrag(Math.max(0, from.current.mm + px / scale));
    },
  };
  const style = {
    position: 'absolute',
    ...place,
    touchAction: 'none',
    cursor: way === 'aside' ? 'ew-resize' : 'ns-resize',
  };
  return <View {...hands} style={style as object} />;
}

interface DragPointProps {
  /** Where its middle lies in the picture, px. */
  left: number;
  top: number;
  /** How far the hand has gone since it took hold, px; `first` as it takes hold. */
  onDrag: (by: { x: number; y: number; first: boolean }) => void;
  /** The hand lets go without having gone anywhere. */
  onTap?: (() => void) | undefined;
}

/** A finger that only taps moves by no more than this, px. */
const TAP_PX = 4;

/** A place of a picture that is dragged any way; by keys the same is typed beside the picture. */
export function DragPoint({ left, top, onDrag, onTap }: DragPointProps) {
  const from = useRef({ pageX: 0, pageY: 0, gone: false });
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      from.current = { pageX, pageY, gone: false };
      onDrag({ x: 0, y: 0, first: true });
    },
    onResponderMove: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      const [x, y] = [pageX - from.current.pageX, pageY - from.current.pageY];
      from.current.gone ||= Math.hypot(x, y) > TAP_PX;
      if (from.current.gone) onDrag({ x, y, first: false });
    },
    onResponderRelease: () => {
      if (!from.current.gone) onTap?.();
    },
  };
  const style = {
    position: 'absolute',
    ...{ left: left - GRIP_PX / 2, top: top - GRIP_PX / 2, width: GRIP_PX, height: GRIP_PX },
    touchAction: 'none',
    cursor: 'move',
  };
  return <View {...hands} style={style as object} />;
}
