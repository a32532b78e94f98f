import type { EventRecord } from '@leggero/contract';
import type { Promised } from '@leggero/core/supply';

import type { SupplyLine } from '@/views/supply';

import { momentText } from './day';
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

/** The next step surer; of the surest the one before. */
export function nextSure(sure: number): number {
  return SURE.map(({ value }) => Number(value)).find((value) => value > sure) ?? Number(SURE[2].value);
}

interface Sparing {
  sure: number;
  spare: number;
  minor: number;
}

/** What another step of sureness takes: "95 % takes 61 spares in all, 99 % would take 88: €4.20 more." */
export function surerText(now: Sparing, then: Sparing, money: (minor: number) => string): string {
  const apart = Math.round(then.minor - now.minor);
  const cost = apart === 0 ? '' : `: ${money(Math.abs(apart))} ${apart > 0 ? 'more' : 'less'}`;
  return (
    `${percent(now.sure)} takes ${counted(now.spare, 'spare')} in all, ` +
    `${percent(then.sure)} would take ${then.spare}${cost}.`
  );
}

/** By when what is lacked must be there: it is made so long before it opens. Null while no day is set. */
export function neededByText({
  opensAt,
  timeZone,
  hoursBefore,
}: Pick<EventRecord, 'opensAt' | 'timeZone' | 'hoursBefore'>): string | null {
  if (opensAt === null) return null;
  const made = new Date(Date.parse(opensAt) - hoursBefore * HOUR_MS).toISOString();
  return `It is made from ${momentText(made, timeZone)} on: have all of it a day before, and open one bag of each to compare its shade.`;
}
const HOUR_MS = 3_600_000;

/** What of a balloon open events are promised: "Tidepool Night 123, Spring tide 40". */
export function promisesText(promises: readonly { name: string; count: number }[]): string {
  return `Promised to ${promises.map(({ name, count }) => `${name} ${count}`).join(', ')}.`;
}

/** "12 needed · take 15 · about 1 lost". */
export function neededText({ count, take, stuffed, spares, out }: SupplyLine): string {
  const inside = stuffed > 0 ? `, ${stuffed} of them stuffed` : '';
  const lost = spares.ok ? Math.round(spares.value.expectedLost) : 0;
  const gone = out > 0 ? ` · ${out} out for it already` : '';
  return `${count} needed${inside} · take ${take}${lost > 0 ? ` · about ${lost} lost` : ''}${gone}`;
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
