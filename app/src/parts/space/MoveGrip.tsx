import { plus } from '@leggero/core/space';
import { Path } from 'react-native-svg';

import { usePalette } from '@/ui/theme';

import { DragPoint } from './DragGrip';
import type { Vec } from './scene';
import type { View } from './view';

interface MoveGripProps {
  /** What is moved lies here. */
  at: Vec;
  space: View;
}

/** Four ways from the middle of something, px. */
const ARM_PX = 13;
const HEAD_PX = 4;

/** Four arrows over what can be pulled elsewhere. */
export function MoveMark({ at, space }: MoveGripProps) {
  const palette = usePalette();
  const { x, y } = space.project(at);
  const arms = [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ].map(([dx, dy]) => {
    const [ex, ey] = [x + dx! * ARM_PX, y + dy! * ARM_PX];
    const head = [1, -1].map(
      (side) => `M${ex} ${ey}l${-HEAD_PX * dx! + side * HEAD_PX * dy!} ${-HEAD_PX * dy! + side * HEAD_PX * dx!}`,
    );
    return `M${x} ${y}L${ex} ${ey}${head.join('')}`;
  });
  const line = { d: arms.join(''), fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  return (
    <>
      <Path {...line} stroke={palette.surface} strokeWidth={5} />
      <Path {...line} stroke={palette.ink} strokeWidth={2} />
    </>
  );
}

/** Its area for a thumb: dragged, it says how far in space, square to where it is seen from. */
export function MoveGrip({
  at,
  space,
  onMove,
  onTap,
}: MoveGripProps & { onMove: (by: Vec, how: { first: boolean }) => void; onTap: () => void }) {
  const { x, y, scale } = space.project(at);
  return (
    <DragPoint
      left={x}
      top={y}
      onTap={onTap}
      onDrag={({ x: right, y: down, first }) =>
        onMove(plus(plus([0, 0, 0], space.right, right / scale), space.up, -down / scale), { first })
      }
    />
  );
}
