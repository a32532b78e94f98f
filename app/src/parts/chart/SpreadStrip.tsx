import type { PieceMeasure } from '@leggero/core/building';
import { scaleLinear } from 'd3-scale';
import { Line, Rect } from 'react-native-svg';

import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

const HEIGHT = 34;
const FOOT = 1;

/** How often a piece came out how far off, over the band in which nobody sees it. */
export function SpreadStrip({ label, measure }: { label: string; measure: PieceMeasure }) {
  const { found, evenMm, seenMm } = measure;
  const { from, step, counts } = found;
  const palette = usePalette();
  const to = from + step * counts.length;
  // What cannot be under nothing begins there.
  const least = evenMm === 0 ? 0 : Math.min(from, evenMm - 1.15 * seenMm);
  const most = Math.max(to, evenMm + 1.15 * seenMm);
  const high = Math.max(...counts);
  return (
    <Picture label={label} height={HEIGHT} framed={false}>
      {(width) => {
        const x = scaleLinear().domain([least, most]).range([0, width]);
        const y = scaleLinear()
          .domain([0, high])
          .range([HEIGHT - FOOT, 2]);
        const [low, seen] = [Math.max(least, evenMm - seenMm), evenMm + seenMm];
        return (
          <>
            <Rect x={x(low)} width={x(seen) - x(low)} y={0} height={HEIGHT} fill={palette.sunk} />
            {counts.map((count, i) => {
              const middle = from + (i + 0.5) * step;
              const wide = Math.max(1.5, x(from + step) - x(from) - 0.5);
              const out = Math.abs(middle - evenMm) > seenMm;
              return count === 0 ? null : (
                <Rect
                  key={i}
                  x={Math.min(width - wide, x(from + i * step))}
                  width={wide}
                  y={Math.min(y(count), HEIGHT - FOOT - 1.5)}
                  height={Math.max(1.5, HEIGHT - FOOT - y(count))}
                  fill={out ? palette.out : palette.pine}
                />
              );
            })}
            {[...(low > least ? [low] : []), seen].map((mm) => (
              <Line key={mm} x1={x(mm)} x2={x(mm)} y1={0} y2={HEIGHT} stroke={palette.quiet} strokeDasharray="3 3" />
            ))}
            <Line x1={0} x2={width} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} stroke={palette.line} />
          </>
        );
      }}
    </Picture>
  );
}
