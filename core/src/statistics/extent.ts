/** The smallest of many values, however many there are; Infinity for none. */
export function least(values: readonly number[]): number {
  return values.reduce((a, b) => Math.min(a, b), Infinity);
}

/** The largest of many values, however many there are; -Infinity for none. */
export function most(values: readonly number[]): number {
  return values.reduce((a, b) => Math.max(a, b), -Infinity);
}
