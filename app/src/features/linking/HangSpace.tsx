import type { SizeSpread } from '@leggero/core';
import { useCallback, useMemo } from 'react';
import { G, Line, Text as SvgText } from 'react-native-svg';

import { hangScene, unevenChains } from '@/parts/piece/hangScene';
import { sizeOutline } from '@/parts/piece/sizeOutline';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { useOutcomes } from '@/parts/piece/useOutcomes';
import type { Hanging } from '@/parts/piece/viewHanging';
import { BuiltPicture } from '@/parts/space/BuiltPicture';
import { DragGrip, GRIP_PX } from '@/parts/space/DragGrip';
import type { Scene } from '@/parts/space/scene';
import { CORNER_PX, hasLevels } from '@/parts/space/roomShapes';
import { heightFor, type Camera, type View } from '@/parts/space/view';
import { DRAWN_FONT } from '@/ui/drawnFont';
import { usePalette } from '@/ui/theme';
import { allHungText, hungStepText, onceHungText, type HungForm } from '@/wording/linking';
import { stepHowText } from '@/wording/stepHow';
import { counted } from '@/wording/trade';

/** A level of the room, above the floor, mm. */
export interface Level {
  title: string;
  highMm: number;
  /** Drags it up and down. */
  onDrag?: (highMm: number) => void;
}

interface HangSpaceProps {
  label: string;
  view: Pick<Hanging, 'chains' | 'sizes' | 'balloons'>;
  /** It hangs in a room; and how high that is, where it is known. */
  inRoom?: boolean;
  ceilingMm?: number | null;
  levels?: readonly Level[];
  form: HungForm;
  basis: PieceBasis;
  /** No higher than this on its page, px. */
  most: number;
  /** The size that stands out. */
  chosen: string | null;
  /** Asks for the size of a tapped balloon. */
  onTap: (key: string) => void;
}

/** From the front and a little from the side: that chains hang before a wall is seen at once. */
const FIRST: Camera = { turn: 0.18, tilt: 0.06, zoom: 1, push: [0, 0] };
const NO_LEVELS: readonly Level[] = [];

/** A hanging piece in its room, to scale. A tap asks for a balloon's target; a level that can be dragged has a line of its own. */
export function HangSpace(props: HangSpaceProps) {
  const { label, form, view, inRoom = true, ceilingMm = null, levels = NO_LEVELS, basis, most, chosen, onTap } = props;
  const { chains, sizes, balloons } = view;
  const { models } = basis.knowledge;
  const { unit, text } = basis.lengths;
  const sceneOf = useCallback(
    (hung: typeof chains) => {
      const ceiling = ceilingMm === null ? null : { highMm: ceilingMm, title: text(ceilingMm) };
      const room = inRoom ? { ceiling, unit } : null;
      return hangScene(hung, sizes, models, { hungFrom: form === 'curtain' ? 'line' : 'fixings', room });
    },
    [sizes, models, form, inRoom, ceilingMm, text, unit],
  );
  const scene = useMemo(() => sceneOf(chains), [sceneOf, chains]);
  const made = useCallback(
    (spread: SizeSpread, seed: number) => sceneOf(unevenChains(chains, spread, seed)),
    [sceneOf, chains],
  );
  const topMm = Math.max(...chains.map(({ hangs }) => hangs.from.highMm));
  const said = useCallback((hung: Scene) => onceHungText(form, topMm, endsIn(hung), text), [form, topMm, text]);
  const outcomes = useOutcomes(made, said);
  const outlineOf = useMemo(() => sizeOutline(chosen), [chosen]);
  return (
    <BuiltPicture
      label={label}
      height={(width) => heightFor(scene, FIRST.tilt, width, most)}
      scene={scene}
      outcomes={outcomes}
      first={FIRST}
      stepText={(step, steps) => {
        const { hangs, balloons: own } = chains[step]!;
        const asideMm = hangs.from.xMm - chains[0]!.hangs.from.xMm;
        return hungStepText({ form, step, steps, aside: asideMm > 0 ? text(asideMm) : null, balloons: own.length });
      }}
      howText={(step, steps) => stepHowText(form, step, steps)}
      allText={(steps) => (steps === 1 ? counted(balloons, 'balloon') : allHungText(form, steps))}
      outlineOf={outlineOf}
      onTap={(i) => onTap(scene.balloons[i]!.key)}
      marks={(space) => levels.map((level, i) => <LevelLine key={i} level={level} space={space} />)}
      grips={(space) => levels.map((level, i) => <LevelGrip key={i} level={level} space={space} />)}
    />
  );
}

interface LevelProps {
  level: Level;
  space: View;
}

/** Beside the ruler, and about the width of a letter, px. */
const FROM_PX = 56;
const LETTER_PX = 6.4;

function LevelLine({ level: { title, highMm, onDrag }, space }: LevelProps) {
  const palette = usePalette();
  if (!hasLevels(space)) return null;
  const { y } = space.project([0, 0, highMm]);
  const ink = onDrag ? palette.pine : palette.quiet;
  const end = space.width - (y < CORNER_PX ? CORNER_PX : 8);
  const to = end - 6 - LETTER_PX * title.length;
  const words = { x: end, y: y + 4, fontSize: 12, textAnchor: 'end', fontFamily: DRAWN_FONT } as const;
  return (
    <G>
      <Line
        {...{ x1: FROM_PX, x2: to, y1: y, y2: y, stroke: ink }}
        {...(onDrag ? { strokeDasharray: '6 4', strokeWidth: 1.5 } : { strokeOpacity: 0.6 })}
      />
      {/* Whoever stands behind the words must not hide them. */}
      <SvgText {...words} stroke={palette.surface} strokeWidth={4} strokeLinejoin="round">
        {title}
      </SvgText>
      <SvgText {...words} fill={ink}>
        {title}
      </SvgText>
    </G>
  );
}

/** A band around a level that moves it. */
function LevelGrip({ level: { highMm, onDrag }, space }: LevelProps) {
  if (!onDrag || !hasLevels(space)) return null;
  const { y, scale } = space.project([0, 0, highMm]);
  const place = { left: 0, right: 0, top: y - GRIP_PX / 2, height: GRIP_PX };
  return <DragGrip place={place} way="up" mm={highMm} scale={scale * space.up[2]} onDrag={onDrag} />;
}

/** How low a piece of chains hangs, and how high its shortest ends, mm. */
function endsIn(scene: Scene): { lowestMm: number; highestMm: number } {
  const ends = new Map<number, number>();
  for (const { step, at, widthMm } of scene.balloons)
    ends.set(step, Math.min(ends.get(step) ?? Infinity, at[2] - widthMm / 2));
  return { lowestMm: Math.min(...ends.values()), highestMm: Math.max(...ends.values()) };
}
