import type { DesignOf, EventRecord, PieceBase, PiecePart } from '@leggero/contract';
import { baseWeight, partsOf, sideOfBalls, type SideView } from '@leggero/core/building';
import type { PieceWork, Taken, TakenKind, WorkBundle } from '@leggero/core/recipe';

import type { ColumnBalloon, Coloured } from './colouring';
import { decoratorGroups } from './decorators';
import { wholeGarland, type PlannedBalloon } from './garlandPlan';
import { suppliesOf } from './garlandSupplies';
import type { Material } from './material';
import { pieceLength } from './pieceLength';
import { baseOf, sideOf } from './standing';
import { DECORATORS, keyOf, type GarlandView } from './viewGarland';
import type { PieceView } from './viewIn';

/** How a part looks, which names it where no balloon of the shelf does. */
export const lookOf = ({ colourHex, finish }: Pick<PiecePart, 'colourHex' | 'finish'>): string =>
  `${colourHex} ${finish}`;

type Work = Pick<PieceWork, 'bundles' | 'knots' | 'clusters' | 'takes'>;

/** What a piece is worked out from beside its design; outdoors its base stands in wind. */
interface Around {
  material: Material;
  event: Pick<EventRecord, 'outdoors'> | null;
}

/** All that is to do for a piece, of one of its copies, its balloons as wide as they are drawn. */
export function pieceWork(
  found: PieceView,
  { piece, copies }: Pick<PieceWork, 'piece' | 'copies'>,
  around: Around,
): PieceWork {
  const { knowledge, longs } = around.material;
  const shelf = new Set([...knowledge.models, ...longs].map(({ id }) => id));
  const onShelf = (modelId: string | null): modelId is string => modelId !== null && shelf.has(modelId);
  // A balloon that was deleted is one that is not chosen.
  const sizes = found.view.sizes.map(({ key, part, widthMm: fillMm, toleranceMm, count }) => {
    return { key, balloon: onShelf(part.modelId) ? part.modelId : lookOf(part), fillMm, toleranceMm, count };
  });
  const work = workIn(found, around);
  const takes = work.takes.map((taken) => (onShelf(taken.balloon) ? taken : { ...taken, balloon: null }));
  return { piece, copies, sizes, length: pieceLength(found), ...work, takes };
}

function workIn(found: PieceView, around: Around): Work {
  switch (found.form) {
    case 'column': {
      const { design, view } = found;
      const { plan } = view;
      const held =
        design.heldBy === 'pole'
          ? [pole(plan.poleMm), thing('plate', 1)]
          : [thing('line', 1, LINE_OF_HEIGHT * plan.heightMm)];
      const weight = ballast(design, sideOf(design, plan.stack), 1, around);
      return { ...layered(view), takes: [...held, ...onTop(design), ...weight] };
    }
    case 'taper': {
      const { design, view } = found;
      const weight = ballast(design, sideOf(design, view.stack), 1, around);
      return { ...layered(view), takes: [pole(design.poleMm), thing('plate', 1), ...onTop(design), ...weight] };
    }
    case 'arch': {
      const { design, view } = found;
      const frame = thing(design.shape === 'catenary' ? 'line' : 'frame', 1, view.plan.curveMm);
      const weight = ballast(design, sideOfBalls(view.balloons), 2, around);
      return { ...layered(view), takes: [frame, thing('plate', 2), ...weight] };
    }
    case 'hoop': {
      const { design, view } = found;
      const weight = ballast(design, sideOfBalls(view.balloons), 1, around);
      return {
        ...layered(view),
        takes: [
          thing('hoop', 1, design.hoopMm),
          thing('stand', 1, design.standMm),
          thing('modelling', view.wraps ?? 0),
          ...(design.sign
            ? [thing('sign', 1), thing('line', 2, 2 * around.material.knowledge.trade.garlandLineMm)]
            : []),
          ...weight,
        ],
      };
    }
    case 'rope':
      return { ...layered(found.view), takes: [long(found.view.joiner.pieces, found.design.joiner)] };
    case 'bow':
      return {
        ...layered(found.view, 2),
        takes: [
          long(2 * found.view.joiner.pieces, found.design.joiner),
          thing('line', 1, around.material.knowledge.trade.garlandLineMm),
        ],
      };
    case 'plinth': {
      const { weightKg, standing } = found.design;
      const weights = weightKg > 0 ? [thing('ballast', 2, null, weightKg)] : [];
      return {
        ...layered(found.view),
        takes: [thing('modelling', 1), thing('figure', standing.length), ...weights],
      };
    }
    case 'garland':
      return garlandWork(found.design, found.view, around.material);
    case 'chain':
      return { ...linked(found.view.balloons, 1), takes: [] };
    case 'swag':
      return {
        ...linked(found.view.balloons, found.view.chains.length),
        takes: [thing('fixing', found.design.bays + 1)],
      };
    case 'curtain':
      return {
        ...linked(found.view.balloons, found.view.chains.length),
        takes: [thing('line', 1, found.design.acrossMm), thing('fixing', 2)],
      };
    case 'ring':
      return { ...linked(found.view.balloons, found.design.rings.length), takes: [] };
    case 'closed': {
      const { design, view } = found;
      return {
        ...linked(view.balloons, view.snapped.sizes.length),
        takes: design.handle ? [long(1, design.handle.part)] : [],
      };
    }
  }
}

/** Line around two creases of every layer, up both sides of a column (common practice), of its height. */
const LINE_OF_HEIGHT = 3;

function thing(kind: TakenKind, count: number, lengthMm: number | null = null, kg: number | null = null): Taken {
  return { kind, count, lengthMm, kg, balloon: null };
}
const long = (count: number, part: PiecePart | null): Taken => ({
  ...thing('modelling', count),
  balloon: part && part.modelId,
});
const pole = (lengthMm: number) => thing('pole', 1, lengthMm);

/** What stands on a piece that is no balloon. */
function onTop({ topper }: DesignOf<'column' | 'taper'>): Taken[] {
  if (topper === null || topper.kind === 'balloon') return [];
  return [topper.kind === 'figure' ? thing('figure', 1) : long(topper.count, topper.part)];
}

/** What its base must weigh, shared by its feet. */
function ballast(
  design: { base?: PieceBase | undefined },
  side: SideView,
  feet: 1 | 2,
  { material, event }: Around,
): Taken[] {
  const { acrossMm, wind } = baseOf(design, { event });
  const weight = baseWeight({ side, baseMm: acrossMm, wind, trade: material.knowledge.trade });
  return weight.ok ? [thing('ballast', feet, null, weight.value.kg / feet)] : [];
}

/** Knots of one bundle: duplets and triplets are tied, larger ones are twisted together from those. */
const knotsOf = (balloons: number) => partsOf(balloons).reduce((sum, part) => sum + part - 1, 0);
const knotsIn = (bundles: readonly WorkBundle[]) =>
  bundles.reduce((sum, { sizes, count }) => sum + count * knotsOf(sizes.length), 0);

/** What is tied for a piece of layers, of which so many sides are alike. */
function layered(
  { map, tying, balloons }: Pick<Coloured, 'map' | 'tying'> & { balloons: readonly ColumnBalloon[] },
  sides = 1,
) {
  const keys = new Map<string, string>();
  for (const { layer, place, key } of balloons) {
    const colour = map[layer]?.[place];
    if (colour !== undefined) keys.set(`${layer} ${colour}`, key);
  }
  const bundles = new Map<string, WorkBundle>();
  tying.layers.forEach(({ parts }, layer) => {
    for (const part of parts) {
      const { colours } = tying.tied[part]!;
      add(
        bundles,
        colours.map((colour) => keys.get(`${layer} ${colour}`)!),
        sides,
      );
    }
  });
  const tied = [...bundles.values()];
  return { bundles: tied, knots: knotsIn(tied), clusters: sides * map.length };
}

function add(bundles: Map<string, WorkBundle>, sizes: readonly string[], count: number): void {
  const sorted = [...sizes].sort();
  const key = sorted.join('+');
  bundles.set(key, { sizes: sorted, count: (bundles.get(key)?.count ?? 0) + count });
}

/** Linking balloons are tied one to the next as they are put on: nothing is tied before. */
function linked(balloons: number, clusters: number) {
  return { bundles: [], knots: balloons, clusters };
}

function garlandWork(stored: DesignOf<'garland'>, view: GarlandView, material: Material): Work {
  const design = wholeGarland(stored);
  const { decorators, trimmings, fixings, strip } = design;
  const bundles = new Map<string, WorkBundle>();
  const clusters = new Map<string, PlannedBalloon[]>();
  for (const balloon of view.balloons) {
    const at = `${balloon.cluster} ${balloon.layer}`;
    const own = clusters.get(at);
    if (own) own.push(balloon);
    else clusters.set(at, [balloon]);
  }
  // In a strip balloons along it go into their holes one by one.
  for (const own of clusters.values()) if (own.length > 1) add(bundles, own.map(keyOf), 1);
  for (const group of decoratorGroups(design))
    if (group.length > 1)
      add(
        bundles,
        group.map(() => DECORATORS),
        1,
      );
  const tied = [...bundles.values()];
  const supplies = suppliesOf(design, view, material);
  const takes = [
    thing('modelling', supplies.modelling),
    thing('band', supplies.bands),
    thing('line', supplies.lineMm > 0 ? 1 : 0, supplies.lineMm),
    thing('strip', strip ? 1 : 0, strip ? strip.holes * strip.pitchMm : null),
    thing('hook', fixings?.count ?? 0, null, fixings?.holdsKg ?? null),
    thing('tape', fixings?.count ?? 0),
    thing('glueDot', supplies.glueDots),
    ...trimmings.map(({ kind, count }) => thing(kind, count)),
  ];
  return {
    bundles: tied,
    knots: knotsIn(tied),
    clusters: clusters.size + (decorators?.count ?? 0),
    takes: takes.filter(({ count }) => count > 0),
  };
}
