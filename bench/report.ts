/** The middle of some figures. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

interface Line {
  what: string;
  ours: number;
  yardstick: string;
  theirs: number;
  unit: string;
  /** The ratio that is wanted at most. */
  most: number;
}

/** Prints a figure beside its yardstick of the same run. */
export function report({ what, ours, yardstick, theirs, unit, most }: Line): void {
  const ratio = ours / theirs;
  const figure = (value: number) => `${value.toFixed(value < 10 ? 3 : 1)} ${unit}`;
  process.stdout.write(
    `${what}: ${figure(ours)}\n  yardstick, ${yardstick}: ${figure(theirs)}\n  ratio ` +
      `${ratio.toFixed(2)}, wanted at most ${most}: ${ratio <= most ? 'kept' : 'NOT KEPT'}\n`,
  );
}
