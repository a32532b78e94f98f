import { MOST_UNEVEN } from '@leggero/contract';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';

interface UnevenFieldProps {
  label: string;
  hint: string;
  /** Standard deviation, a share of the width. */
  uneven: number;
  /** Of balloons of this width it is told, mm. */
  ofMm: number;
  basis: PieceBasis;
  onChange: (uneven: number) => void;
}

/** Less is no spread that anybody makes on purpose. */
const LEAST = 0.001;

/** How far nearly all balloons are off, either way, on purpose: as a width of one of them. */
export function UnevenField({ uneven, ofMm, onChange, ...field }: UnevenFieldProps) {
  const put = (mm: number) => onChange(Math.min(MOST_UNEVEN, Math.max(LEAST, mm / (2 * ofMm))));
  return <MmField {...field} value={2 * uneven * ofMm} width onChange={put} />;
}
