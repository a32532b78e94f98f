/** Uniform numbers in [0, 1) from a seed (mulberry32, public domain). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let z = Math.imul(state ^ (state >>> 15), state | 1);
    z ^= z + Math.imul(z ^ (z >>> 7), z | 61);
    return ((z ^ (z >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A standard normal number. Source: Box and Muller, Annals of Mathematical Statistics 29 (1958). */
export function normalFrom(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** The same values in an order drawn at random; what is given is left as it is. Source: Fisher and Yates. */
export function shuffled<Value>(values: readonly Value[], random: () => number): Value[] {
  const drawn = [...values];
  for (let i = drawn.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [drawn[i], drawn[j]] = [drawn[j]!, drawn[i]!];
  }
  return drawn;
}
