import type { SizerRecord } from '@leggero/contract';
import { scaleLinear } from 'd3-scale';
import { View } from 'react-native';
import { G, Line, Rect } from 'react-native-svg';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { holesNow } from '@/views/holes';
import { ChartText } from './Axes';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { offText } from '@/wording/holeOff';

const ROW = 84;
const LEFT = 72;

/**
 * One strip for each sizer: its holes from small to large, a bar up where a hole is larger than its label and down
 * where it is smaller.
 */
export function OffChart({ sizers }: { sizers: readonly SizerRecord[] }) {
  const trade = useTrade();
  const palette = usePalette();
  const { fine } = useLengths();
  const rows = sizers.map((sizer) => ({ sizer, holes: holesNow(sizer, trade) }));
  const most = Math.max(1, ...rows.flatMap(({ holes }) => holes.map(({ now }) => Math.abs(now.offMm))));
  const y = scaleLinear()
    .domain([-most, most])
    .range([ROW - 30, 6]);
  return (
    <View className="gap-2">
      {rows.map(({ sizer, holes }) => (
        <View key={sizer.id}>
          <Words look="label">{sizer.keeper ? `${sizer.name} (${sizer.keeper})` : sizer.name}</Words>
          <Picture
            height={ROW}
            framed={false}
            label={`${sizer.name}: ${holes.map(({ label, now }) => `the ${label} hole ${offText(now, fine)}`).join('; ')}`}
          >
            {(width) => (
              <>
                <Line x1={LEFT} x2={width} y1={y(0)} y2={y(0)} stroke={palette.line} strokeWidth={1.5} />
                <ChartText x={LEFT - 8} y={y(most) + 8} textAnchor="end" text={`+${fine(most)}`} />
                <ChartText x={LEFT - 8} y={y(-most) + 2} textAnchor="end" text={`−${fine(most)}`} />
                {holes.map(({ id, label, now }, i) => {
                  const slot = (width - LEFT) / holes.length;
                  const x = LEFT + slot * (i + 0.5);
                  const off = y(now.offMm);
                  const known = now.origin === 'measured';
                  return (
                    <G key={id}>
                      {known ? (
                        <Rect
                          x={x - 5}
                          width={10}
                          y={Math.min(off, y(0)) - 1}
                          height={Math.abs(off - y(0)) + 2}
                          fill={Math.abs(now.offMm) > 1 ? palette.edge : palette.pine}
                        />
                      ) : (
                        <Line x1={x - 4} x2={x + 4} y1={y(0)} y2={y(0)} stroke={palette.quiet} strokeWidth={3} />
                      )}
                      <ChartText x={x} y={ROW - 6} textAnchor="middle" text={label} fontSize={12} />
                    </G>
                  );
                })}
              </>
            )}
          </Picture>
        </View>
      ))}
      <Words look="quiet">Larger or smaller than the label. A grey dash is not measured yet.</Words>
    </View>
  );
}
