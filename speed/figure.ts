/** A figure beside its yardstick of the same run. */
export interface Figure {
  what: string;
  ours: number;
  yardstick: string;
  theirs: number;
  unit: string;
  /** The ratio that is wanted at most. */
  most: number;
}

/** The middle of some figures. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

function isKept({ ours, theirs, most }: Figure): boolean {
  return ours / theirs <= most;
}

/** A figure in words, with its yardstick. */
export function figureText(figure: Figure): string {
  const { what, ours, yardstick, theirs, unit, most } = figure;
  const written = (value: number) => `${value.toFixed(value < 10 ? 3 : 1)} ${unit}`;
  return (
    `${what}: ${written(ours)}\n  yardstick, ${yardstick}: ${written(theirs)}\n` +
    `  ratio ${(ours / theirs).toFixed(2)}, wanted at most ${most}: ${isKept(figure) ? 'kept' : 'NOT KEPT'}`
  );
}

/** All figures, a line each: kept or not, the ratio, what it is. */
export function tableOf(figures: readonly Figure[]): string {
  return figures
    .map((figure) => {
      const ratio = (figure.ours / figure.theirs).toFixed(2).padStart(7);
      const wanted = String(figure.most).padStart(5);
      return `${isKept(figure) ? 'kept    ' : 'NOT KEPT'} ${ratio} of ${wanted}  ${figure.what}`;
    })
    .join('\n');
}

/** What a piece of work takes, ms. */
export function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** What each of some rounds of it takes, ms, once it has been done before. */
export function timesOf(work: () => void, rounds: number): number[] {
  work();
  return Array.from({ length: rounds }, () => timed(work));
}

/** What a piece of work takes that is waited for, ms. */
export async function timedAsync(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
