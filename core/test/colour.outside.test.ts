import { converter, formatHex } from 'culori';

import {
  assumedOpacities,
  colourDistance,
  hexOf,
  learnOpacities,
  linearOf,
  linearOfOklab,
  oklabOf,
  randomFrom,
  shineOf,
  stretchedColour,
  stuffedColour,
  TRADE,
  type Finish,
} from '../src';

const random = randomFrom(7);
const colours = Array.from({ length: 200 }, () =>
  hexOf([random(), random(), random()].map((x) => x * x) as [number, number, number]),
);

/** Against culori 4.0.2, a reference library for colour. */
describe('colour conversions', () => {
  const toOklab = converter('oklab');
  const toLinear = converter('lrgb');

  it('reads 200 colours into linear light and Oklab as the reference does', () => {
    for (const hex of colours) {
      const [r, g, b] = linearOf(hex);
      const linear = toLinear(hex)!;
      expect(r).toBeCloseTo(linear.r, 9);
      expect(g).toBeCloseTo(linear.g, 9);
      expect(b).toBeCloseTo(linear.b, 9);
      const own = oklabOf([r, g, b]);
      const theirs = toOklab(hex)!;
      expect(own.l).toBeCloseTo(theirs.l, 5);
      expect(own.a).toBeCloseTo(theirs.a, 5);
      expect(own.b).toBeCloseTo(theirs.b, 5);
    }
  });

  it('writes colours back as the reference does', () => {
    for (const hex of colours) {
      const lab = oklabOf(linearOf(hex));
      expect(hexOf(linearOfOklab(lab))).toBe(hex);
      expect(hexOf(linearOfOklab(lab))).toBe(formatHex({ mode: 'oklab', ...lab }));
    }
  });
});

const lightness = (hex: string) => oklabOf(linearOf(hex)).l;
const chroma = (hex: string) => {
  const { a, b } = oklabOf(linearOf(hex));
  return Math.hypot(a, b);
};
const apart = (x: string, y: string) => colourDistance(oklabOf(linearOf(x)), oklabOf(linearOf(y)));

/** Common practice: what stretch does to a skin. */
describe('a stretched skin', () => {
  it.each(['matte', 'pearl', 'clear'] as Finish[])('is paler the more it is stretched (%s)', (finish) => {
    const at = (fraction: number) => stretchedColour({ colourHex: '#3d6fa6', finish, fraction });
    expect(lightness(at(0.6))).toBeLessThan(lightness(at(0.85)));
    expect(lightness(at(0.95))).toBeGreaterThan(lightness(at(0.85)));
  });

  it('looks as it was noted where it was noted', () => {
    const fraction = TRADE.colourNotedAt;
    for (const colourHex of colours.slice(0, 20))
      expect(stretchedColour({ colourHex, finish: 'matte', fraction })).toBe(colourHex);
  });

  it('keeps a mirror shining down to its smallest shine, and dulls it below', () => {
    const at = (fraction: number) => shineOf({ finish: 'mirror', fraction });
    expect(at(0.62)).toBeCloseTo(at(0.9), 9);
    expect(at(0.5)).toBeLessThan(0.6 * at(0.62));
  });
});

const skin = (colourHex: string, finish: Finish, fraction = 0.85) => ({ colourHex, finish, fraction });

/**
 * Common practice (handbooks of the trade): clear over a colour is deeper and glossy, something dark in a warm colour
 * mutes it.
 */
describe('a stuffed colour', () => {
  it('mutes a warm outer with something dark inside', () => {
    const seen = stuffedColour({ outer: skin('#d9682b', 'matte'), inner: skin('#22201c', 'matte') });
    expect(seen.note).toBe('muted');
    expect(lightness(seen.colourHex)).toBeLessThan(lightness('#d9682b'));
    expect(chroma(seen.colourHex)).toBeLessThan(chroma('#d9682b'));
  });

  it('shows the inner through a clear outer, a little deeper', () => {
    const seen = stuffedColour({ outer: skin('#b9d3da', 'clear'), inner: skin('#d2577e', 'matte') });
    expect(seen.note).toBe('deeper-and-glossy');
    expect(apart(seen.colourHex, '#d2577e')).toBeLessThan(apart(seen.colourHex, '#b9d3da'));
    expect(lightness(seen.colourHex)).toBeLessThan(lightness('#d2577e'));
  });

  it('hardly shows through a mirror', () => {
    const seen = stuffedColour({ outer: skin('#a9b4bd', 'mirror'), inner: skin('#22201c', 'matte') });
    expect(seen.opacity).toBeGreaterThan(0.9);
    expect(apart(seen.colourHex, '#a9b4bd')).toBeLessThan(0.1);
  });

  it('says so when nothing changes: the same colour inside itself', () => {
    const same = skin('#3f7a4a', 'matte');
    expect(stuffedColour({ outer: same, inner: same }).note).toBe('hardly-shows');
  });

  it('lets more of the inner through the more the outer is stretched', () => {
    const opacity = (fraction: number) =>
      stuffedColour({ outer: skin('#d9682b', 'matte', fraction), inner: skin('#22201c', 'matte', fraction) }).opacity;
    expect(opacity(0.95)).toBeLessThan(opacity(0.7));
  });
});

describe('learning from colours that were saved', () => {
  const pairs = colours.slice(0, 12).map((hex, i) => ({
    outer: skin(hex, 'matte', 0.7 + 0.02 * i),
    inner: skin(colours[i + 50]!, 'matte', 0.8),
  }));
  const truth = { ...assumedOpacities(), matte: { value: 0.6, learnedFrom: 0 } };
  const seen = pairs.map((pair) => ({
    ...pair,
    seenHex: stuffedColour({ ...pair, opacities: truth }).colourHex,
  }));

  it('assumes what it did before without any', () => {
    expect(assumedOpacities().matte).toEqual({ value: TRADE.skinOpacity.matte, learnedFrom: 0 });
  });

  it('moves from what is assumed to what was seen, and further with more', () => {
    const few = learnOpacities(seen.slice(0, 1)).matte.value;
    const many = learnOpacities(seen).matte.value;
    const assumed = TRADE.skinOpacity.matte;
    expect(few).toBeLessThan(assumed);
    expect(many).toBeLessThan(few);
    expect(Math.abs(many - 0.6)).toBeLessThan(0.05);
  });

  it('brings the next estimate nearer to what is seen', () => {
    const next = { outer: skin('#d9682b', 'matte'), inner: skin('#1d3a5f', 'matte') };
    const real = stuffedColour({ ...next, opacities: truth }).colourHex;
    const before = stuffedColour(next).colourHex;
    const after = stuffedColour({ ...next, opacities: learnOpacities(seen) }).colourHex;
    expect(apart(after, real)).toBeLessThan(0.4 * apart(before, real));
  });

  it('leaves other finishes alone, and learns nothing from two like colours', () => {
    const like = { outer: skin('#ece7db', 'pearl'), inner: skin('#ece7db', 'pearl'), seenHex: '#000000' };
    const learned = learnOpacities([...seen, like]);
    expect(learned.pearl).toEqual({ value: TRADE.skinOpacity.pearl, learnedFrom: 0 });
    expect(learned.clear.learnedFrom).toBe(0);
  });
});
