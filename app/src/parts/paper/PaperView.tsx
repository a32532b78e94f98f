import { View } from 'react-native';
import Svg, { Circle, Image as SvgImage, Line, Rect } from 'react-native-svg';

import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { sideBySide, type Paper, type PaperBlock, type PaperRow, type PaperThing } from './paper';

/** A sheet as it is on paper: what is printed is what is seen. */
export function PaperView({ paper }: { paper: Paper }) {
  return (
    <View className="w-full max-w-[760px] gap-3">
      {paper.blocks.map((block, i) => (
        <Block key={i} block={block} />
      ))}
    </View>
  );
}

function Block({ block }: { block: PaperBlock }) {
  switch (block.kind) {
    case 'heading':
      return (
        <Words look="heading" level={2} className="mt-3">
          {block.text}
        </Words>
      );
    case 'words':
      return <Words look={block.look}>{block.text}</Words>;
    case 'ticks':
      return (
        <View role="list" className="gap-2">
          {block.lines.map((line) => (
            <View key={line} role="listitem" className="flex-row gap-3">
              <Tick />
              <Words className="flex-1">{line}</Words>
            </View>
          ))}
        </View>
      );
    case 'rows':
      return (
        <View role="list">
          {block.rows.map((row) => (
            <Row key={row.key} row={row} />
          ))}
        </View>
      );
    case 'row':
      return <SideBySide things={block.things} />;
    case 'thing':
      return <Thing {...block} />;
  }
}

/** A box to tick, as a line of a picture: boxes of the page are as long as their line on paper. */
function Tick() {
  const palette = usePalette();
  return (
    <Svg width={16} height={22} aria-hidden>
      <Rect x={0.5} y={4.5} width={15} height={15} fill="none" stroke={palette.quiet} />
    </Svg>
  );
}

const DOT_PX_PER_MM = 0.13;

function Row({ row: { dots, mark, title, notes, figure } }: { row: PaperRow }) {
  const radii = dots.map(({ widthMm }) => (Math.min(widthMm, MOST_DRAWN_MM) * DOT_PX_PER_MM) / 2);
  const high = 2 * Math.max(1, ...radii);
  const wide = radii.reduce((sum, r) => sum + 2 * r, 0);
  return (
    <View role="listitem" className="flex-row items-center gap-3 break-inside-avoid border-t border-line py-2">
      {mark ? (
        <Words look="figure" className="w-9 text-[18px] leading-6">
          {mark}
        </Words>
      ) : null}
      <View className="min-w-[56px] items-center">
        <Svg width={Math.max(1, wide)} height={high} aria-hidden>
          {dots.map(({ hex }, i) => (
            <Circle
              key={i}
              cx={radii.slice(0, i).reduce((sum, r) => sum + 2 * r, 0) + radii[i]!}
              cy={high / 2}
              r={radii[i]! - 0.5}
              fill={hex}
              stroke="rgba(0,0,0,0.2)"
            />
          ))}
        </Svg>
      </View>
      <View className="flex-1">
        <Words look="strong">{title}</Words>
        {notes.map((note) => (
          <Words key={note} look="quiet">
            {note}
          </Words>
        ))}
      </View>
      <Words look="figure" className="text-[20px] leading-6">
        {figure}
      </Words>
    </View>
  );
}

const MOST_DRAWN_MM = 320;

/** Pieces to one scale, on one floor. Lines of a picture, not boxes: boxes are as long as they are on paper. */
export function SideBySide({ things }: { things: readonly PaperThing[] }) {
  const palette = usePalette();
  const { wideMm, highMm, lefts } = sideBySide(things);
  return (
    <View
      role="img"
      aria-label={`Side by side: ${things.map(({ name }) => name).join(', ')}`}
      className="w-full self-center"
      style={{ maxWidth: (wideMm / highMm) * MOST_HIGH_PX }}
    >
      <Svg width="100%" viewBox={`0 0 ${wideMm} ${highMm}`} aria-hidden>
        {things.map(({ key, picture, wideMm: wide, highMm: high, footMm }, i) => {
          const side = Math.max(wide, high);
          const top = highMm - footMm - high / 2 - side / 2;
          return (
            <SvgImage
              key={key}
              href={picture}
              x={lefts[i]! + wide / 2 - side / 2}
              y={top}
              width={side}
              height={side}
              preserveAspectRatio="xMidYMid meet"
            />
          );
        })}
        <Line x1={0} x2={wideMm} y1={highMm} y2={highMm} stroke={palette.quiet} strokeWidth={highMm / 100} />
      </Svg>
    </View>
  );
}

const MOST_HIGH_PX = 300;
const THING_PX = 120;

function Thing({ thing, lines, colours }: Extract<PaperBlock, { kind: 'thing' }>) {
  return (
    <Card className="break-inside-avoid">
      <View className="flex-row gap-4">
        <Svg width={THING_PX} height={THING_PX} aria-hidden>
          <SvgImage href={thing.picture} width={THING_PX} height={THING_PX} />
        </Svg>
        <View className="flex-1 gap-1">
          <Words look="heading" level={3}>
            {thing.name}
          </Words>
          {lines.map((line) => (
            <Words key={line}>{line}</Words>
          ))}
          {colours.map(({ hex, name }) => (
            <View key={name} className="flex-row items-center gap-2">
              <Svg width={16} height={16} aria-hidden>
                <Circle cx={8} cy={8} r={7.5} fill={hex} stroke="rgba(0,0,0,0.2)" />
              </Svg>
              <Words look="quiet">{name}</Words>
            </View>
          ))}
        </View>
      </View>
    </Card>
  );
}
