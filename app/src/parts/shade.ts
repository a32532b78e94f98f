function channels(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
}

/** A colour towards white (above 0) or black (below 0). */
export function shade(hex: string, by: number): string {
  const to = by > 0 ? 255 : 0;
  const mixed = channels(hex).map((c) => Math.round(c + (to - c) * Math.abs(by)));
  return `#${mixed.map((c) => c.toString(16).padStart(2, '0')).join('')}`;
}
