import type { ReadingRecord } from '@leggero/contract';
import { Circle, G, Line } from 'react-native-svg';

import { usePalette } from '@/ui/theme';
import { ChartText } from './Axes';
import type { ChartFrame } from './frame';

/** A reading with the width it stands for, and the two holes it lies between where those gave it. */
export interface SeenReading {
  id: string;
  dose: number;
  widthMm: number;
  between: [number, number] | null;
  outcome: ReadingRecord['outcome'];
}

/** A reading as a chart shows it; none for a burst without a width. */
export function seenOf({ id, dose, widthMm, stopsMm, passesMm, outcome }: ReadingRecord): SeenReading[] {
  if (widthMm !== null) return [{ id, dose, widthMm, between: null, outcome }];
  if (stopsMm === null || passesMm === null) return [];
  return [{ id, dose, widthMm: (stopsMm + passesMm) / 2, between: [stopsMm, passesMm], outcome }];
}

interface ReadingMarkProps {
  frame: Pick<ChartFrame, 'x' | 'y'>;
  reading: SeenReading;
  setAside: boolean;
}

/** A ring for a width, a bar for two holes, a cross for what is set aside or burst. */
export function ReadingMark({ frame: { x, y }, reading, setAside }: ReadingMarkProps) {
  const palette = usePalette();
  const { dose, widthMm, between, outcome } = reading;
  if (setAside || outcome === 'burst') {
    const at = { x: x(dose), y: y(widthMm) + 6 };
    return <ChartText {...at} fontSize={20} fill={palette.out} textAnchor="middle" text="×" />;
  }
  const stroke = outcome === 'hard' ? palette.edge : palette.pine;
  if (between) {
    const [low, high] = between.map((mm) => y(mm)) as [number, number];
    return (
      <G>
        <Line x1={x(dose)} x2={x(dose)} y1={low} y2={high} stroke={stroke} strokeWidth={2.5} />
        {[low, high].map((at) => (
          <Line key={at} x1={x(dose) - 5} x2={x(dose) + 5} y1={at} y2={at} stroke={stroke} strokeWidth={2.5} />
        ))}
      </G>
    );
  }
  return <Circle cx={x(dose)} cy={y(widthMm)} r={5} fill={palette.surface} stroke={stroke} strokeWidth={2.5} />;
}

/** The reading as it stands on the page, before it is added. */
export function DraftMark({ frame: { x, y }, dose, widthMm }: { frame: ChartFrame; dose: number; widthMm: number }) {
  const palette = usePalette();
  return <Circle cx={x(dose)} cy={y(widthMm)} r={6} fill={palette.kiln} stroke={palette.surface} strokeWidth={2} />;
}
