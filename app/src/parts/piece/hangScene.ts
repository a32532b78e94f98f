import type { ModelRecord } from '@leggero/contract';
import type { SizeSpread } from '@leggero/core';
import { factorsOff } from '@leggero/core/building';
import { hangChain } from '@leggero/core/linking';

import type { Scene, SceneBalloon, SceneDisc, SceneRoom, Vec } from '../space/scene';
import { LINE_MM, STEEL_HEX } from './holds';
import type { PieceSize } from './sizes';
import { skinsAmong } from './skins';
import type { PieceChain } from './viewHanging';

/** What a hanging piece is tied to: a fixing at each end of its chains, or one line that they all hang from. */
type HungFrom = 'fixings' | 'line';

/** Chains in space, as they hang: each knot is tied to the tail before it. */
export function hangScene(
  chains: readonly PieceChain[],
  sizes: readonly PieceSize[],
  models: readonly ModelRecord[],
  { hungFrom, room }: { hungFrom: HungFrom; room: SceneRoom | null },
): Scene {
  const skins = skinsAmong(models);
  const parts = new Map(sizes.map(({ key, part }) => [key, part]));
  const all = chains.flatMap(({ balloons }) => balloons);
  const [left, right] = [
    Math.min(...all.map(({ xMm, widthMm }) => xMm - widthMm / 2)),
    Math.max(...all.map(({ xMm, widthMm }) => xMm + widthMm / 2)),
  ];
  const middleMm = (left + right) / 2;
  const widest = Math.max(...sizes.map(({ widthMm }) => widthMm));
  const balloons = chains.flatMap((chain, step) => {
    // Rows that share a fixing hang one behind the other.
    const before = chains.slice(0, step).filter(({ hangs }) => hangs.from.xMm === chain.hangs.from.xMm).length;
    return chain.balloons.map(({ xMm, highMm, widthMm, slope }, i): SceneBalloon => {
      const neck: Vec = [-Math.cos(slope), 0, Math.sin(slope)];
      const at: Vec = [xMm - middleMm, before * widest, highMm];
      const key = chain.keys[i]!;
      return { key, step, at, widthMm, aspect: 1, neck, ...skins(parts.get(key)!) };
    });
  });
  const ends = chains.flatMap(({ hangs: { from, to } }) => (to ? [from, to] : [from]));
  const held = ends.map(({ xMm, highMm }): Vec => [xMm - middleMm, 0, highMm]);
  return {
    balloons,
    tubes: hungFrom === 'line' && held.length > 1 ? [{ line: held, widthMm: LINE_MM, hex: STEEL_HEX }] : [],
    discs: hungFrom === 'line' ? [] : [...new Map(held.map((at) => [at.join(), at])).values()].map(fixingAt),
    outline: null,
    room,
  };
}

/** A fixing on the wall or ceiling, mm. */
const FIXING = { widthMm: 40, highMm: 8 } as const;
const fixingAt = ([x, y, z]: Vec): SceneDisc => ({ at: [x, y, z - FIXING.highMm], ...FIXING, hex: STEEL_HEX });

/** The same chains as they hang when no balloon is just of its size; one that then does not reach hangs as it should. */
export function unevenChains(chains: readonly PieceChain[], spread: SizeSpread, seed: number): PieceChain[] {
  const next = factorsOff(spread, seed);
  return chains.map(({ hangs, balloons, keys }) => {
    const off = { ...hangs, widthsMm: hangs.widthsMm.map((widthMm) => widthMm * next()) };
    const made = hangChain(off);
    return made.ok ? { hangs: off, balloons: made.value, keys } : { hangs, balloons, keys };
  });
}
