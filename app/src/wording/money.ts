import { readNumber } from '@leggero/core';

/** Digits of a currency behind its point. */
export function digitsOf(currency: string): number {
  return new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
}

/** Money as people read it: "€12.50"; of minor units that are not whole the nearest. */
export function moneyText(minor: number, currency: string): string {
  const digits = digitsOf(currency);
  return new Intl.NumberFormat('en', { style: 'currency', currency }).format(Math.round(minor) / 10 ** digits);
}

/** Money as it is typed, without its sign. */
export function moneyEntry(minor: number, currency: string): string {
  const digits = digitsOf(currency);
  return (minor / 10 ** digits).toFixed(minor % 10 ** digits === 0 ? 0 : digits);
}

/** What was typed, in minor units; NaN where it is no money of this currency. */
export function readMoney(text: string, currency: string): number {
  const minor = readNumber(text) * 10 ** digitsOf(currency);
  // What is nearer to a whole cent than typing makes of it is that cent.
  return Math.abs(minor - Math.round(minor)) < NEARLY ? Math.round(minor) : NaN;
}

const NEARLY = 1e-6;

/** Whether there is such a currency. */
export function isCurrency(code: string): boolean {
  return Intl.supportedValuesOf('currency').includes(code);
}
