import type { DesignOf } from '@leggero/contract';
import { MM_PER_INCH, workToleranceMm, type Problem } from '@leggero/core';
import {
  clustersInRhythm,
  footRuleMm,
  garlandPath,
  knotLine,
  nestIn,
  type ClusterKind,
  type Gap,
  type ClusterProblemCode,
  type GarlandPathProblemCode,
  type KnotLineProblemCode,
  type Place,
  type Wall,
} from '@leggero/core/garland';

import { colourTitle } from './colouring';
import { modelOf, type Material } from './material';
import type { PackedWithGaps } from './packing';
import type { PieceSize } from './sizes';
import type { TiedBalloon } from './tied';

export type GarlandDesign = DesignOf<'garland'>;

/** A garland before it is packed. */
export interface GarlandView {
  clusters: ClusterKind[];
  /** Where it runs. */
  points: Place[];
  walls: Wall[];
  sizes: PieceSize[];
  balloons: number;
  /** What the trade says its clusters cover, mm; null where it says nothing of one of them. */
  ruleMm: number | null;
}

export type GarlandProblemCode = ClusterProblemCode | GarlandPathProblemCode | KnotLineProblemCode;

/** How wide balloons of a garland are made of what they are sold as, where none is chosen (common practice). */
const USUAL_SHARE = 0.85;
const FLOOR: Wall = { into: [0, 0, 1], atMm: 0 };

/** A garland from its figures: which clusters follow each other, where they run, how many balloons of what. */
export function viewGarland(
  { path, kinds, clusters: many, decorators }: GarlandDesign,
  basis: Material,
): { ok: true; value: GarlandView } | { ok: false; problem: Problem<GarlandProblemCode> } {
  const nominal = (part: GarlandDesign['kinds'][number]['balloons'][number]) =>
    modelOf(part, basis)?.nominalMm ?? Math.round(part.widthMm / USUAL_SHARE / MM_PER_INCH) * MM_PER_INCH;
  const rhythm = rhythmOf(kinds);
  const found = clustersInRhythm({
    kinds: kinds.map(({ balloons }) => balloons.map((part) => ({ ...part, nominalMm: nominal(part) }))),
    rhythm,
    clusters: many,
  });
  if (!found.ok) return found;
  const points = garlandPath(path);
  if (!points.ok) return points;
  const line = knotLine(points.value);
  if (!line.ok) return line;
  const times = kinds.map((_, kind) => found.value.filter((_, at) => kindAt(rhythm, at) === kind).length);
  const { trade } = basis.knowledge;
  const sizes = kinds.flatMap(({ balloons }, kind) =>
    balloons.map((part, i): PieceSize => {
      const { modelId, colourHex, finish, widthMm, count } = part;
      return {
        key: sizeKey(kind, i),
        title: `Cluster ${kind + 1}, ${colourTitle(part, i, basis).toLowerCase()}`,
        count: count * times[kind]!,
        widthMm,
        part: { modelId, colourHex, finish },
        toleranceMm: workToleranceMm({ work: 'garland', nominalMm: nominal(part), trade }),
      };
    }),
  );
  if (decorators) sizes.push(decoratorSize(decorators, basis));
  const rules = found.value.map(footRuleMm);
  return {
    ok: true,
    value: {
      clusters: found.value,
      points: points.value,
      walls: [FLOOR],
      sizes: sizes.filter(({ count }) => count > 0),
      balloons: sizes.reduce((sum, { count }) => sum + count, 0),
      ruleMm: rules.includes(null) ? null : rules.reduce<number>((sum, mm) => sum + mm!, 0),
    },
  };
}

const DECORATORS = 'decorators';

function decoratorSize(decorators: NonNullable<GarlandDesign['decorators']>, basis: Material): PieceSize {
  const { modelId, colourHex, finish, widthMm, count } = decorators;
  const nominalMm = modelOf(decorators, basis)?.nominalMm ?? widthMm / USUAL_SHARE;
  return {
    ...{ key: DECORATORS, title: 'Decorators', count, widthMm },
    part: { modelId, colourHex, finish },
    toleranceMm: workToleranceMm({ work: 'organic', nominalMm, trade: basis.knowledge.trade }),
  };
}

/** A decorator nests where its hollow is at least so much of its width: in a narrower one it stands out. */
const NESTS = 0.6;

/** The hollows that a decorator of a width nests in, the widest first. */
export const nestsFor = ({ gaps }: PackedWithGaps, widthMm: number): Gap[] =>
  gaps.filter((gap) => gap.widthMm >= NESTS * widthMm);

const sizeKey = (kind: number, balloon: number) => `cluster-${kind + 1}-${balloon + 1}`;

const rhythmOf = (kinds: GarlandDesign['kinds']): number[] =>
  kinds.flatMap(({ inRow }, kind) => Array<number>(inRow).fill(kind));

/** Which kind a cluster is of: the rhythm begins anew until all are on. */
const kindAt = (rhythm: readonly number[], cluster: number): number => rhythm[cluster % rhythm.length]!;

/** Every balloon of a packed garland with its colour, a cluster a step; what decorates it is the last. */
export function garlandBalloons(
  { kinds, decorators }: Pick<GarlandDesign, 'kinds' | 'decorators'>,
  packed: PackedWithGaps,
): TiedBalloon[] {
  const { balloons } = packed;
  const rhythm = rhythmOf(kinds);
  const inKind = kinds.map((kind) =>
    kind.balloons.flatMap((part, i) => Array.from({ length: part.count }, () => ({ part, i }))),
  );
  const base = balloons.flatMap(({ cluster, place, widthMm, xMm, yMm, zMm, neck }): TiedBalloon[] => {
    const kind = kindAt(rhythm, cluster);
    const own = inKind[kind]![place];
    if (!own) return [];
    const { colourHex } = own.part;
    return [
      {
        ...{ layer: cluster, place, xMm, yMm, zMm, widthMm, aspect: 1, outwards: null, neck, step: cluster },
        ...{ colourHex, key: sizeKey(kind, own.i) },
      },
    ];
  });
  return decorators ? [...base, ...decoratorsIn(packed, decorators)] : base;
}

function decoratorsIn(
  packed: PackedWithGaps,
  { widthMm, count, colourHex }: NonNullable<GarlandDesign['decorators']>,
): TiedBalloon[] {
  const step = packed.knotsMm.length;
  return nestsFor(packed, widthMm)
    .slice(0, count)
    .flatMap((gap, place): TiedBalloon[] => {
      const at = nestIn(packed, gap, widthMm);
      if (!at) return [];
      const neck = [-gap.out[0], -gap.out[1], -gap.out[2]] as const;
      const [xMm, yMm, zMm] = at;
      return [
        {
          ...{ layer: step, place, xMm, yMm, zMm, widthMm, aspect: 1, outwards: null, neck, step },
          ...{ colourHex, key: DECORATORS },
        },
      ];
    });
}
