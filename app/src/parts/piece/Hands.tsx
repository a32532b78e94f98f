import { useRef } from 'react';
import { View, type GestureResponderEvent } from 'react-native';

/** Drag that turns a piece by a radian, px. */
const PX_PER_RADIAN = 120;
/** A press that moves less is a tap, px. */
const STILL_PX = 6;

interface HandsProps {
  turn: number;
  onTurn: (turn: number) => void;
  onTap: (x: number, y: number) => void;
}

/** Turns a piece by a drag from side to side, and taps a balloon by a press that stays. */
export function Hands({ turn, onTurn, onTap }: HandsProps) {
  const grip = useRef({ pageX: 0, turn: 0, moved: false });
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderGrant: ({ nativeEvent: { pageX } }: GestureResponderEvent) => {
      grip.current = { pageX, turn, moved: false };
    },
    onResponderMove: ({ nativeEvent: { pageX } }: GestureResponderEvent) => {
      const by = pageX - grip.current.pageX;
      if (Math.abs(by) < STILL_PX && !grip.current.moved) return;
      grip.current.moved = true;
      onTurn(grip.current.turn + by / PX_PER_RADIAN);
    },
    onResponderRelease: ({ nativeEvent: { locationX, locationY } }: GestureResponderEvent) => {
      if (!grip.current.moved) onTap(locationX, locationY);
    },
  };
  // Up and down the page scrolls as ever.
  return <View {...hands} className="absolute inset-0" style={{ touchAction: 'pan-y' } as object} />;
}
