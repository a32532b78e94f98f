import type { PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { Image, Pressable, ScrollView, View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';

import type { DrawnStill } from '@/data/stills';
import { PERSON, PERSON_MM } from '@/parts/space/person';
import { useStill } from '@/parts/piece/useStill';
import { DRAWN_FONT } from '@/ui/drawnFont';
import { FillScreen } from '@/ui/FillScreen';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface EventPictureProps {
  pieces: readonly PieceRecord[];
  ceilingMm: number | null;
  text: (mm: number) => string;
  /** As high as it may be, px. */
  most: number;
}

/** A piece where it stands among the others: of several of one, half to the left and half to the right. */
interface Standing {
  key: string;
  piece: PieceRecord;
}

/** Between neighbours, and at the ends, mm. */
const APART_MM = 180;
const PERSON_WIDE_MM = 430;
/** Below the floor, for names; above the highest, px. */
const FOOT_PX = 46;
const HEAD_PX = 22;
/** No piece narrower than its name, px. */
const LEAST_PX = 70;
/** The share of its height that a wide row may be shrunk to so that it is seen at once: on a phone it is drawn along. */
const LEAST_SHRUNK = { phone: 0.75, wide: 0.5 };
const WIDE_PX = 600;
const SHRINK = 0.98;
/** Copies of one piece that are drawn. */
const MOST_COPIES = 4;
/** Until a piece is drawn it takes so much room, mm. */
const UNDRAWN: Omit<DrawnStill, 'picture'> = { wideMm: 600, highMm: 600, footMm: 0 };

/** The pieces of an event side by side to one scale, someone among them, below the ceiling. A tap opens one. */
export function EventPicture(props: EventPictureProps & { label: string }) {
  return <FillScreen title={props.label}>{(whole) => <Row {...props} most={whole ?? props.most} />}</FillScreen>;
}

function Row({ pieces, ceilingMm, text, most }: EventPictureProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const [sizes, setSizes] = useState<ReadonlyMap<string, DrawnStill>>(new Map());
  const sizeOf = (piece: PieceRecord) => sizes.get(piece.id) ?? UNDRAWN;
  const { placed, wide, scale, personAt, height } = arranged(pieces, sizeOf, { width, most, ceilingMm });
  const floor = height - FOOT_PX;
  return (
    <View
      onLayout={(event) => setWidth(event.nativeEvent.layout.width - 2)}
      className="overflow-hidden rounded-card border border-line bg-surface"
    >
      {width === 0 ? (
        <View style={{ height }} />
      ) : (
        <ScrollView horizontal showsHorizontalScrollIndicator={wide > width}>
          <View style={{ width: wide, height }}>
            <Svg width={wide} height={height} aria-hidden style={{ position: 'absolute' }}>
              <Line x1={0} x2={wide} y1={floor} y2={floor} stroke={palette.quiet} strokeWidth={1.5} />
              {ceilingMm === null ? null : (
                <>
                  <Line
                    x1={0}
                    x2={wide}
                    y1={floor - ceilingMm * scale}
                    y2={floor - ceilingMm * scale}
                    stroke={palette.quiet}
                    strokeDasharray="6 4"
                  />
                  <SvgText
                    x={8}
                    y={floor - ceilingMm * scale - 6}
                    fontSize={11}
                    fill={palette.quiet}
                    fontFamily={DRAWN_FONT}
                  >
                    {`ceiling ${text(ceilingMm)}`}
                  </SvgText>
                </>
              )}
              <Path d={PERSON} fill={palette.line} transform={`translate(${personAt} ${floor}) scale(${scale})`} />
            </Svg>
            {placed.map(({ key, piece, left, room }) => (
              <Placed
                key={key}
                piece={piece}
                left={left}
                room={room}
                floor={floor}
                scale={scale}
                onSize={(still) =>
                  setSizes((before) => (before.get(piece.id) === still ? before : new Map(before).set(piece.id, still)))
                }
              />
            ))}
          </View>
        </ScrollView>
      )}
    </View>
  );
}

/** Where each piece stands, so that all share one scale and no name covers another; px. */
function arranged(
  pieces: readonly PieceRecord[],
  sizeOf: (piece: PieceRecord) => Omit<DrawnStill, 'picture'>,
  { width, most, ceilingMm }: { width: number; most: number; ceilingMm: number | null },
) {
  const row = inARow(pieces);
  const tops = pieces.map(sizeOf).map(({ footMm, highMm }) => footMm + highMm);
  const topMm = Math.max(PERSON_MM, ceilingMm ?? 0, ...tops);
  const high = (most - FOOT_PX - HEAD_PX) / topMm;
  const roomsAt = (scale: number) =>
    row.map(({ piece }) => Math.max(LEAST_PX, (sizeOf(piece).wideMm + APART_MM) * scale));
  const neededAt = (scale: number) =>
    roomsAt(scale).reduce((sum, room) => sum + room, (PERSON_WIDE_MM + APART_MM) * scale);
  // A little smaller all of it is seen at once; much smaller nothing would be seen.
  const least = LEAST_SHRUNK[width < WIDE_PX ? 'phone' : 'wide'] * high;
  let scale = high;
  while (scale > least && neededAt(scale) > width) scale *= SHRINK;
  const rooms = roomsAt(scale);
  const personPx = (PERSON_WIDE_MM + APART_MM) * scale;
  const needed = neededAt(scale);
  const wide = Math.max(width, needed);
  // What is left is shared, so that the row stands in the middle.
  const spare = (wide - needed) / (row.length + 1);
  // Someone stands after the first, where there are others.
  const before = Math.min(1, row.length - 1);
  const lefts = rooms.map((_, i) => {
    const sum = rooms.slice(0, i).reduce((all, room) => all + room + spare, 0);
    return sum + (i >= before ? personPx + spare : 0);
  });
  const placed = row.map((standing, i) => ({ ...standing, left: lefts[i]!, room: rooms[i]! + spare }));
  const personAt = (lefts[before] ?? wide / 2 + (personPx + spare) / 2) - (personPx + spare) / 2;
  return { placed, wide, scale, personAt, height: topMm * scale + FOOT_PX + HEAD_PX };
}

/** Of two columns one stands at either end. */
function inARow(pieces: readonly PieceRecord[]): Standing[] {
  const [left, middle, right]: [Standing[], Standing[], Standing[]] = [[], [], []];
  for (const piece of pieces) {
    const copies = Math.min(MOST_COPIES, piece.copies);
    if (copies === 1) middle.push({ key: piece.id, piece });
    for (let i = 0; copies > 1 && i < copies; i += 1)
      (i % 2 === 0 ? left : right).push({ key: `${piece.id} ${i}`, piece });
  }
  return [...left, ...middle, ...right.reverse()];
}

interface PlacedProps {
  piece: PieceRecord;
  left: number;
  room: number;
  floor: number;
  scale: number;
  onSize: (still: DrawnStill) => void;
}

/** One piece at its place, with its name below the floor. */
function Placed({ piece, left, room, floor, scale, onSize }: PlacedProps) {
  const still = useStill(piece.id, piece.design);
  const { wideMm, highMm, footMm } = still ?? UNDRAWN;
  // Its picture is a square in whose middle it lies.
  const side = Math.max(wideMm, highMm) * scale;
  const top = floor - (footMm + highMm / 2) * scale - side / 2;
  return (
    <Pressable
      role="link"
      aria-label={piece.name}
      onPress={() => router.navigate(`/builds/${piece.id}`)}
      style={{ position: 'absolute', left, width: room, top: 0, bottom: 0 }}
    >
      {still ? (
        <Image
          source={{ uri: still.picture }}
          resizeMode="contain"
          onLayout={() => onSize(still)}
          style={{ position: 'absolute', left: room / 2 - side / 2, top, width: side, height: side }}
        />
      ) : null}
      <Words
        look="label"
        numberOfLines={2}
        aria-hidden
        className="absolute px-1 text-center text-[12px] leading-4"
        style={{ left: 0, right: 0, top: floor + 8 }}
      >
        {piece.name}
      </Words>
    </Pressable>
  );
}
