import { Image, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';
import { useState } from 'react';

import { Card } from '@/ui/Card';
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
              <View className="mt-1 h-4 w-4 border border-quiet" />
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

/** Pieces to one scale, on one floor. */
export function SideBySide({ things }: { things: readonly PaperThing[] }) {
  const [px, setPx] = useState(0);
  const { wideMm, highMm, lefts } = sideBySide(things);
  const scale = Math.min(px / wideMm, MOST_HIGH_PX / highMm);
  const left = (px - wideMm * scale) / 2;
  return (
    <View
      role="img"
      aria-label={`Side by side: ${things.map(({ name }) => name).join(', ')}`}
      onLayout={(event) => setPx(event.nativeEvent.layout.width)}
      className="w-full border-b-2 border-quiet"
      style={{ height: highMm * scale || 1 }}
    >
      {px === 0
        ? null
        : things.map(({ key, picture, wideMm: wide, highMm: high, footMm }, i) => {
            const side = Math.max(wide, high) * scale;
            return (
              <Image
                key={key}
                source={{ uri: picture }}
                resizeMode="contain"
                style={{
                  position: 'absolute',
                  width: side,
                  height: side,
                  left: left + lefts[i]! * scale + (wide * scale) / 2 - side / 2,
                  bottom: (footMm + high / 2) * scale - side / 2,
                }}
              />
            );
          })}
    </View>
  );
}

const MOST_HIGH_PX = 300;

function Thing({ thing, lines, colours }: Extract<PaperBlock, { kind: 'thing' }>) {
  return (
    <Card className="break-inside-avoid">
      <View className="flex-row gap-4">
        <Image source={{ uri: thing.picture }} resizeMode="contain" style={{ width: 120, height: 120 }} />
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
