/** A colour by how it is seen: lightness 0 to 1, green to red, blue to yellow. */
export interface Oklab {
  l: number;
  a: number;
  b: number;
}

/** Red, green and blue in linear light, 0 to 1. */
export type LinearRgb = readonly [number, number, number];

/** Linear light of a colour #rrggbb. Source: IEC 61966-2-1 (sRGB), the transfer function. */
export function linearOf(hex: string): LinearRgb {
  const channel = (at: number) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return [channel(1), channel(3), channel(5)];
}

/** The colour #rrggbb of linear light; what lies outside is brought to the nearest end of its channel. */
export function hexOf(linear: LinearRgb): string {
  const channels = linear.map((value) => {
    const inside = Math.min(1, Math.max(0, value));
    const shown = inside <= 0.0031308 ? 12.92 * inside : 1.055 * inside ** (1 / 2.4) - 0.055;
    return Math.round(255 * shown)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${channels.join('')}`;
}

/**
 * Linear light as Oklab. Source: B. Ottosson, A perceptual color space for image processing (2020); also CSS Color
 * Module 4.
 */
export function oklabOf([r, g, b]: LinearRgb): Oklab {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return {
    l: 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    a: 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    b: 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  };
}

/** Oklab as linear light, by the same source; outside 0 to 1 where no screen can show it. */
export function linearOfOklab({ l, a, b }: Oklab): LinearRgb {
  const long = (l + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const middle = (l - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const short = (l - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    4.0767416621 * long - 3.3077115913 * middle + 0.2309699292 * short,
    -1.2684380046 * long + 2.6097574011 * middle - 0.3413193965 * short,
    -0.0041960863 * long - 0.7034186147 * middle + 1.707614701 * short,
  ];
}

/**
 * How far two colours look apart: the straight distance in Oklab. About 0.02 is just seen side by side (from memory).
 */
export function colourDistance(x: Oklab, y: Oklab): number {
  return Math.hypot(x.l - y.l, x.a - y.a, x.b - y.b);
}

/** Straight between two colours: `share` 0 is the first, 1 the second. */
export function mixOklab(from: Oklab, to: Oklab, share: number): Oklab {
  const between = (x: number, y: number) => x + (y - x) * share;
  return { l: between(from.l, to.l), a: between(from.a, to.a), b: between(from.b, to.b) };
}
