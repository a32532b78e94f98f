import { MOST_POINTS } from '@leggero/contract';

import type { TaperDesign } from './colouring';

type Profile = TaperDesign['profile'];

/** Silhouettes to begin from: at which share of the height, how much of the widest. */
export const SILHOUETTES = {
  cone: [
    [0, 1],
    [1, 0.4],
  ],
  tree: [
    [0, 1],
    [0.35, 0.82],
    [0.7, 0.55],
    [1, 0.3],
  ],
  lighthouse: [
    [0, 1],
    [0.3, 0.8],
    [0.75, 0.6],
    [1, 0.62],
  ],
  vase: [
    [0, 0.62],
    [0.35, 1],
    [0.75, 0.5],
    [1, 0.72],
  ],
  bulb: [
    [0, 0.4],
    [0.3, 0.55],
    [0.7, 1],
    [1, 0.55],
  ],
} as const satisfies Record<string, readonly (readonly [at: number, share: number])[]>;
export type Silhouette = keyof typeof SILHOUETTES;
export const SILHOUETTE_NAMES = Object.keys(SILHOUETTES) as Silhouette[];

/** A silhouette of so many mm at its widest. */
export function profileOf(silhouette: Silhouette, widestMm: number): Profile {
  return SILHOUETTES[silhouette].map(([at, share]) => ({ at, widthMm: share * widestMm }));
}

/** The silhouette that a profile still is, whatever its size; none once it was dragged. */
export function silhouetteOf(profile: Profile): Silhouette | null {
  const widest = Math.max(...profile.map(({ widthMm }) => widthMm));
  const is = (name: Silhouette) => {
    const own = profileOf(name, widest);
    return (
      own.length === profile.length &&
      own.every(({ at, widthMm }, i) => at === profile[i]!.at && Math.abs(widthMm - profile[i]!.widthMm) < 0.01)
    );
  };
  return SILHOUETTE_NAMES.find(is) ?? null;
}

/** One point more, in the middle of the longest stretch without one; the same where there are enough. */
export function withPoint(profile: Profile): Profile {
  if (profile.length >= MOST_POINTS) return profile;
  const gaps = profile.slice(1).map(({ at }, i) => at - profile[i]!.at);
  const longest = gaps.indexOf(Math.max(...gaps));
  const [a, b] = [profile[longest]!, profile[longest + 1]!];
  const middle = { at: (a.at + b.at) / 2, widthMm: (a.widthMm + b.widthMm) / 2 };
  return [...profile.slice(0, longest + 1), middle, ...profile.slice(longest + 1)];
}
