import type { Promised } from '@leggero/core/supply';
import { sparesFor } from '@leggero/core/supply';

import type { SupplyLine } from '@/views/supply';

import { counted, percent } from './trade';

/** How sure it may be that enough balloons survive. */
export const SURE = [
  { value: '0.8', title: '80 %' },
  { value: '0.9', title: '90 %' },
  { value: '0.95', title: '95 %' },
  { value: '0.99', title: '99 %' },
] as const;
export type SureKey = (typeof SURE)[number]['value'];

export function sureKey(sure: number): SureKey | null {
  return SURE.find(({ value }) => Number(value) === sure)?.value ?? null;
}

/** What one step surer takes: "95 % takes 61 spares, 99 % would take 88". */
export function surerText(sure: number, lines: readonly SupplyLine[]): string {
  const sparesAt = (confidence: number) =>
    lines.reduce((sum, { count, law }) => {
      const found = sparesFor({ needed: count, confidence, prior: law });
      return sum + (found.ok ? found.value.spare : 0);
    }, 0);
  const other = SURE.map(({ value }) => Number(value)).find((value) => value > sure) ?? Number(SURE[2].value);
  return `${percent(sure)} takes ${counted(sparesAt(sure), 'spare')} in all, ${percent(other)} would take ${sparesAt(other)}.`;
}

/** "12 needed · take 15 · about 1 lost". */
export function neededText({ count, take, stuffed, spares }: SupplyLine): string {
  const inside = stuffed > 0 ? `, ${stuffed} of them stuffed` : '';
  const lost = spares.ok ? Math.round(spares.value.expectedLost) : 0;
  return `${count} needed${inside} · take ${take}${lost > 0 ? ` · about ${lost} lost` : ''}`;
}

/** What is there, and what of it others have been promised. */
export function thereText({ stock, promised }: SupplyLine): string {
  if (!stock || stock.unknown) return 'Nobody counted what is there';
  if (stock.there < 0) return `${-stock.there} more went out than came in: count it`;
  return `${stock.there} there${promisedText(promised)}`;
}

function promisedText({ before, later }: Promised): string {
  const earlier = before > 0 ? `, ${before} promised to earlier events` : '';
  return later > 0 ? `${earlier}; later events then lack ${later}` : earlier;
}

/** "2 bags of 50". */
export function boughtText({ bought, stock }: SupplyLine): string {
  return `${counted(bought.bags, 'bag')} of ${bought.bagOf}${stock?.bagOf == null ? ', if that is what it holds' : ''}`;
}

/** How a colour compares with another; `justSeen`: what an eye just tells, in OKLab. */
export function apartText(apart: number, justSeen: number): string {
  if (apart < justSeen) return 'the same colour to the eye';
  if (apart < 3 * justSeen) return 'close, side by side it shows';
  return apart < 6 * justSeen ? 'a little apart' : 'another colour';
}
