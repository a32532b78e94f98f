import type { Stretch } from './kinds';

/** What of people and stations is held, over time. */
export interface Load {
  /** When the first stretch of these ends at which not so many are free; null where they are free all along. */
  blockedUntil(parts: readonly Stretch[], people: number, stations: number): number | null;
  hold(parts: readonly Stretch[], people: number, stations: number): void;
}

interface Held {
  people: number;
  stations: number;
}

/** Keeps account of so many people and stations: `times` are the moments at which what is held changes. */
export function loadOf(most: Held): Load {
  const times: number[] = [-Infinity];
  const held: Held[] = [{ people: 0, stations: 0 }];
  /** Place of the last moment at or before a time. */
  const placeOf = (at: number) => {
    let [low, high] = [0, times.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (times[middle]! <= at) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  /** The place of a moment, parted there if it was not. */
  const parted = (at: number) => {
    const place = placeOf(at);
    if (times[place] === at) return place;
    times.splice(place + 1, 0, at);
    held.splice(place + 1, 0, { ...held[place]! });
    return place + 1;
  };
  return {
    blockedUntil(parts, people, stations) {
      for (const { fromMs, toMs } of parts)
        for (let place = placeOf(fromMs); place < times.length && times[place]! < toMs; place += 1) {
          const { people: at, stations: by } = held[place]!;
          if (at + people > most.people || by + stations > most.stations) return times[place + 1] ?? Infinity;
        }
      return null;
    },
    hold(parts, people, stations) {
      for (const { fromMs, toMs } of parts) {
        const [from, to] = [parted(fromMs), parted(toMs)];
        for (let place = from; place < to; place += 1) {
          held[place]!.people += people;
          held[place]!.stations += stations;
        }
      }
    },
  };
}
