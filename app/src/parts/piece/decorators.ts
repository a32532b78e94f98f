import type { Trade } from '@leggero/core';
import { factorsOff } from '@leggero/core/building';
import {
  decorate,
  gapsAlong,
  groupSizes,
  nestIn,
  type Decorator,
  type Gap,
  type Place,
  type Wall,
} from '@leggero/core/garland';

import type { TrimmingKind } from '@leggero/contract';

import type { GarlandDesign, StoredGarland } from './garlandPlan';
import type { PackedWithGaps } from './packing';

type Stored = NonNullable<StoredGarland['decorators']>;

/** Decorators with all that is said of them, also where they were put on before some of it could be. */
export type WholeDecorators = { [Key in keyof Required<Stored>]: Exclude<Stored[Key], undefined> };

export const wholeDecorators = (stored: Stored): WholeDecorators => ({
  ...stored,
  way: stored.way ?? 'widest',
  tied: stored.tied ?? [1],
  uneven: stored.uneven ?? null,
});

/** A decorator nests where its hollow is at least so much of its width: in a narrower one it stands out. */
const NESTS = 0.6;

/** The hollows that a decorator of a width nests in, the widest first. */
export const nestsFor = ({ gaps }: Pick<PackedWithGaps, 'gaps'>, widthMm: number): Gap[] =>
  gaps.filter((gap) => gap.widthMm >= NESTS * widthMm);

/** How wide the balloons of each group are made, mm. */
export function decoratorGroups({ decorators, seed }: Pick<GarlandDesign, 'decorators' | 'seed'>): number[][] {
  if (!decorators) return [];
  const { count, tied, widthMm, uneven } = wholeDecorators(decorators);
  const off = uneven === null ? () => 1 : factorsOff({ lean: 0, sd: uneven }, seed);
  return groupSizes(count, tied, seed).map((many) => Array.from({ length: many }, () => widthMm * off()));
}

/** What is asked to put decorators, then trimmings, into the hollows of a packed garland. */
export interface DecorateQuestion extends Pick<PackedWithGaps, 'balloons' | 'clusters' | 'gaps'> {
  decorators: (Pick<WholeDecorators, 'widthMm' | 'way'> & { groups: number[][] }) | null;
  trimmings: GarlandDesign['trimmings'];
  walls: Wall[];
  trade: Trade;
}

/** A trimming where it lies. */
export interface Trimming {
  kind: TrimmingKind;
  wideMm: number;
  at: Place;
  /** Away from the garland, of length 1. */
  out: Place;
}

/** What lies in the hollows of a garland. */
export interface InHollows {
  put: Decorator[];
  trimmings: Trimming[];
}

export const NOTHING_IN: InHollows = { put: [], trimmings: [] };

/** The question of a garland; null where nothing is put into it. */
export function decorateQuestion(
  { decorators, trimmings, seed }: Pick<GarlandDesign, 'decorators' | 'trimmings' | 'seed'>,
  { balloons, clusters, gaps }: PackedWithGaps,
  { walls, trade }: Pick<DecorateQuestion, 'walls' | 'trade'>,
): DecorateQuestion | null {
  if (!decorators && trimmings.length === 0) return null;
  const own = decorators && { ...wholeDecorators(decorators), groups: decoratorGroups({ decorators, seed }) };
  return {
    ...{ balloons, clusters, gaps, trimmings, walls, trade },
    decorators: own && { widthMm: own.widthMm, way: own.way, groups: own.groups },
  };
}

/** Decorators and trimmings where they lie, one in a hollow. */
export function inHollows({ decorators, trimmings, walls, trade, ...packed }: DecorateQuestion): InHollows {
  const places = decorators
    ? gapsAlong(packed, nestsFor(packed, decorators.widthMm), { ...decorators, count: decorators.groups.length })
    : [];
  const groups = places.map((gap, i) => ({ gap, widthsMm: decorators!.groups[i]! }));
  const taken = new Set(places);
  const put = decorate(packed, groups, { walls, trade });
  const placed = trimmings.flatMap(({ kind, count, wideMm }) => {
    const left = packed.gaps.filter((gap) => !taken.has(gap));
    return gapsAlong(packed, left, { count, way: 'even' }).flatMap((gap): Trimming[] => {
      taken.add(gap);
      const at = nestIn(packed, gap, gap.widthMm);
      return at ? [{ kind, wideMm, at, out: gap.out }] : [];
    });
  });
  return { put, trimmings: placed };
}
