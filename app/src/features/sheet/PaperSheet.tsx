import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

import type { Sheet, SheetRow } from './sheetOf';

/** One balloon's sheet, as it will be on paper. */
export function PaperSheet({ sheet }: { sheet: Sheet }) {
  return (
    <Card className="break-inside-avoid">
      <Link href={`/shelf/${sheet.id}`} asChild>
        <Pressable role="link" className="self-start">
          <Words look="heading" level={2}>
            {sheet.title}
          </Words>
        </Pressable>
      </Link>
      <Words look="quiet" className="mb-2">
        {sheet.subtitle}
      </Words>
      <View role="table" aria-label={sheet.title}>
        {sheet.rows.map((row) => (
          <Row key={row.tier} row={row} colourHex={sheet.colourHex} />
        ))}
      </View>
      <Words look="quiet" className="mt-2">
        {sheet.notes.join(' ')}
      </Words>
    </Card>
  );
}

const SIZE = 40;

function Row({ row, colourHex }: { row: SheetRow; colourHex: string }) {
  const palette = usePalette();
  const nominal = SIZE / 2 - 1;
  return (
    <View role="row" className="flex-row items-center gap-3 border-b border-line py-2">
      <Svg width={SIZE} height={SIZE} aria-hidden>
        <Circle cx={SIZE / 2} cy={SIZE / 2} r={nominal * row.share} fill={colourHex} stroke={palette.line} />
        <Circle cx={SIZE / 2} cy={SIZE / 2} r={nominal} fill="none" stroke={palette.quiet} strokeDasharray="2 3" />
      </Svg>
      <View role="cell" className="flex-1">
        <Words look="strong">{row.tier}</Words>
        <Words look="quiet">{row.purpose}</Words>
        <Words>{`hole ${row.hole} · ${row.dose} · tape ${row.tape}`}</Words>
        <Words look="quiet">{`${row.feel} · ${row.origin}`}</Words>
      </View>
      <View role="cell" className="items-end">
        <Words look="figure" className="text-[22px] leading-7">
          {row.width}
        </Words>
        <Words look="quiet">{row.tolerance}</Words>
      </View>
    </View>
  );
}
