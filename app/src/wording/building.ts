import type { DesignOf, PieceForm } from '@leggero/contract';
import { MM_PER_INCH, type ColumnOpen, type PatternKind, type Problem } from '@leggero/core';
import type {
  ColourMapProblemCode,
  ColumnPlan,
  ColumnProblemCode,
  LearnedPacking,
  MapNotice,
  TaperPlan,
  TaperProblemCode,
  Turning,
  TyingPlan,
} from '@leggero/core/building';

import { counted, listed } from './trade';

type Write = (mm: number) => string;

/** Layers by how many balloons they have. */
export const LAYER_WORDS: Record<number, { one: string; many: string }> = {
  2: { one: 'duplet', many: 'Duplets' },
  3: { one: 'triplet', many: 'Triplets' },
  4: { one: 'quad', many: 'Quads' },
  5: { one: 'quint', many: 'Quints' },
  6: { one: 'six', many: 'Sixes' },
};

/** Where the rows of a piece rolled out begin, and which way they go. */
const ROLLED: Partial<Record<PieceForm, { first: string; from: string }>> = {
  arch: { first: 'The left foot is', from: 'from the left foot on' },
  hoop: { first: 'Each crescent begins', from: 'clockwise' },
  rope: { first: 'The first duplet is', from: 'from the first on' },
  bow: { first: 'The knot is', from: 'from the knot on, both sides alike' },
  plinth: { first: 'The left end is', from: 'from left to right' },
};

/** "The foot is" below, "from the foot up". */
export function rolledWords(form: PieceForm): { first: string; from: string } {
  return ROLLED[form] ?? { first: 'The foot is', from: 'from the foot up' };
}

/** "8 quads". */
export function layersText(layers: number, count: number): string {
  const { one, many } = LAYER_WORDS[count]!;
  return counted(layers, one, many.toLowerCase());
}

/** "Layer 3 of 8, 10 in: 2 kelp, 2 foam"; the topper has no colours of a layer. */
export function layerStepText({
  layer,
  layers,
  colours,
  width,
}: {
  layer: number;
  layers: number;
  colours: readonly string[] | null;
  width: string;
}): string {
  if (!colours) return `On top, ${width}`;
  return `Layer ${layer + 1} of ${layers}, ${width}: ${coloursText(colours)}`;
}

/** "2 kelp, 2 foam". */
export function coloursText(names: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].map(([name, count]) => `${count} ${name}`).join(', ');
}

/** How balloons come out here, and how a piece of such balloons is once ("it stands 6 ft"); null where nothing is to be said. */
export function spreadText(
  { lean, sd, balloons, by }: { lean: number; sd: number; balloons: number; by: 'checked' | 'eye' },
  once: string | null,
): string {
  const share = (of: number) => `${(100 * Math.abs(of)).toFixed(1)} %`;
  const of = by === 'eye' ? `${balloons} sized by eye` : `${balloons} that were checked`;
  const leaning = Math.abs(lean) < LEAST_LEAN ? 'right on the whole' : `${share(lean)} ${lean > 0 ? 'large' : 'small'}`;
  const made = once === null ? '' : ` Of such ${once} this time.`;
  return `Of ${of}: ${leaning}, and ${share(sd)} more or less from one to the next.${made}`;
}

/** Less on the whole is none, as a share. */
const LEAST_LEAN = 0.0005;

export const SILHOUETTE_WORDS = {
  cone: 'Cone',
  tree: 'Tree',
  lighthouse: 'Lighthouse',
  vase: 'Vase',
  bulb: 'Bulb',
} as const;

/** Where on a silhouette a width stands. */
export function pointTitle(at: number): string {
  if (at === 0) return 'At the foot';
  return at === 1 ? 'At the top' : `At ${Math.round(100 * at)} % of its height`;
}

export const OPEN_WORDS: Record<ColumnOpen, string> = { height: 'Height', layers: 'Layers', size: 'Size' };

export const PATTERN_WORDS: Record<PatternKind, string> = {
  spiral: 'Spiral',
  zigzag: 'Zigzag',
  stripes: 'Stripes',
  checks: 'Checks',
  rings: 'Rings',
  blocks: 'Blocks',
};

/** What `every` counts for a pattern; null where it counts nothing. */
export const EVERY_WORDS: Record<PatternKind, string | null> = {
  spiral: null,
  zigzag: 'layers until it turns back',
  stripes: null,
  checks: 'layers in a check',
  rings: 'layers in a ring',
  blocks: null,
};

/** Why a column cannot be worked out, and what would work. */
export function buildProblemText(
  { code, detail }: Problem<ColumnProblemCode | TaperProblemCode | ColourMapProblemCode>,
  text: Write,
) {
  switch (code) {
    case 'no-layers':
      return 'At least one layer.';
    case 'too-many-layers':
      return `Up to ${detail.most} layers are worked out here.`;
    case 'bad-count':
      return `${detail.least} to ${detail.most} balloons a layer.`;
    case 'bad-height':
      return `From ${text(detail.leastMm)} to ${text(detail.mostMm)}.`;
    case 'outside-useful':
      return (
        `That takes balloons of ${text(detail.widthMm ?? 0)}; these are useful from ${text(detail.leastMm)} to ` +
        `${text(detail.mostMm)}. Another number of layers, or another balloon.`
      );
    case 'no-hold':
      return 'It finds no hold on the layer below: nearer to its size.';
    case 'bad-order':
      return `The pattern has ${counted(detail.given, 'place')}, a layer ${detail.needed}. Choose the pattern anew.`;
    case 'too-few-colours':
      return `The pattern needs ${counted(detail.needed, 'colour')}, and ${detail.given} are chosen. Add one.`;
    case 'bad-profile':
      return 'Widths above nothing, from the foot to the top.';
    case 'bad-every':
      return 'One layer or more.';
    case 'bad-width':
      return 'A width that a balloon can have, above nothing.';
    default:
      return 'A length above nothing, please.';
  }
}

/** What of a pattern will not come out as one might expect. */
export function mapNoticeText(notice: MapNotice): string {
  switch (notice.code) {
    case 'uneven-bands':
      return `Colours have ${notice.narrowest} to ${notice.widest} places of a layer: their bands are not equally wide.`;
    case 'meets-at-seam':
      return 'An odd number of balloons cannot alternate: at one place two alike meet.';
    case 'last-ring-short':
      return `The topmost ring has ${counted(notice.layers, 'layer')} instead of ${notice.every}.`;
    case 'colour-unused':
      return `Colour ${notice.colour + 1} of the pattern is on no balloon.`;
  }
}

/** How layers are turned, by the way. */
export function turningText(turning: Turning): string {
  switch (turning.code) {
    case 'right':
      return 'half a step to the right';
    case 'left':
      return 'half a step to the left';
    case 'either':
      return 'half a step, either way';
    case 'by':
      return `${turning.halves} half steps to the right`;
    case 'other-order':
      return 'half a step; its colours come in another order, see the map';
  }
}

/** A tied bundle by its colours: "2 of kelp green", "kelp green and foam". */
export function tiedText(colours: readonly number[], nameOf: (colour: number) => string): string {
  const names = [...new Set(colours)].map((colour) => {
    const many = colours.filter((each) => each === colour).length;
    return many > 1 ? `${many} ${nameOf(colour)}` : nameOf(colour);
  });
  return listed(names);
}

export const bundleWord = (size: number) => (size === 2 ? 'duplet' : size === 3 ? 'triplet' : 'balloon');

/** Layers that are made and turned alike, from the foot up. */
export function layerRuns({
  layers,
}: TyingPlan): { from: number; to: number; parts: number[]; turning: Turning | null }[] {
  const runs: { from: number; to: number; parts: number[]; turning: Turning | null }[] = [];
  const same = (a: Turning | null, b: Turning | null) =>
    a !== null && b !== null && a.code !== 'other-order' && JSON.stringify(a) === JSON.stringify(b);
  layers.forEach(({ parts, turning }, i) => {
    const last = runs.at(-1);
    if (last && same(last.turning, turning) && last.parts.join() === parts.join()) last.to = i + 1;
    else runs.push({ from: i + 1, to: i + 1, parts, turning });
  });
  return runs;
}

/** All that is tied: "15 duplets of 2 coral; 15 duplets of 2 foam". */
export function tiedListText({ tied }: TyingPlan, nameOf: (colour: number) => string): string {
  return tied
    .map(({ colours, count: many }) => `${counted(many, bundleWord(colours.length))} of ${tiedText(colours, nameOf)}`)
    .join('; ');
}

/** How a column is built, step by step. */
export function columnSteps(
  { count, heldBy, topper }: DesignOf<'column'>,
  plan: ColumnPlan,
  tying: TyingPlan,
  { text, nameOf }: { text: Write; nameOf: (colour: number) => string },
): string[] {
  const word = LAYER_WORDS[count]!.one;
  const joined =
    count > 3 ? ` Twist ${count === 5 ? 'a duplet and a triplet' : 'duplets'} together, one layer at a time.` : '';
  const held =
    heldBy === 'pole'
      ? [
          `Stand the pole, ${text(plan.poleMm)} from the floor to the middle of the topmost layer, and fix its plate.`,
          `Push the first ${word} on from above with its necks around the pole, and wrap one neck twice around it.`,
          'Push on layer after layer, each turned by half a step so that it rests in the creases; press it down.',
          'Wrap the topmost layer twice around the pole as well.',
        ]
      : [
          `Tie line to the first ${word}, and lead it up through a crease on both sides.`,
          'Lay the next layer in the creases, each time turned by half a step; wrap the line once through two creases ' +
            'opposite one another, only to the layer below, and draw it tight.',
          'Straighten it from the foot up before the line is knotted.',
        ];
  const top = topper === null ? [] : [topperStep(topper)];
  return [`Tie ${tiedListText(tying, nameOf)}.${joined}`, ...held, ...top];
}

function topperStep(topper: NonNullable<DesignOf<'column'>['topper']>): string {
  switch (topper.kind) {
    case 'balloon':
      return 'Tie the topper down in the middle of the top layer.';
    case 'figure':
      return 'Set the figure on top.';
    case 'spray':
      return (
        `Twist ${counted(topper.count, 'modelling balloon')} together at their middles and fix them to the head of the pole; ` +
        'let some air out of them where the ceiling is low or rough.'
      );
  }
}

/** How a taper is built. */
export function taperSteps({ count, topper }: DesignOf<'taper'>, layers: number, tied: string): string[] {
  const word = LAYER_WORDS[count]!.one;
  return [
    `Tie ${tied}; keep the ${word}s of each layer together, in the order of the list above.`,
    'Stand the pole and fix its plate.',
    `Push the widest ${word} on from above with its necks around the pole, and wrap one neck twice around it.`,
    `Go on from the foot up, ${layers} layers in all, each turned by half a step so that it rests in the creases; press it down.`,
    'Wrap the topmost layer twice around the pole as well.',
    ...(topper === null ? [] : [topperStep(topper)]),
  ];
}

/** What a column's figures leave: how far it is off, the size that lands, its pole. */
export function heldText(
  { open, heldBy }: DesignOf<'column'>,
  { exactMm, offMm, poleMm, widthMm }: ColumnPlan,
  { text, fine }: { text: Write; fine: Write },
): string {
  const lands =
    open === 'height' || Math.abs(offMm) < 1
      ? ''
      : `${fine(Math.abs(offMm))} ${offMm > 0 ? 'higher' : 'lower'} than asked` +
        (Math.abs(exactMm - widthMm) < 0.5 ? '. ' : `; at ${fine(exactMm)} it would land. `);
  return `${lands}${heldBy === 'pole' ? `Pole: ${text(poleMm)}, to the middle of the topmost layer.` : 'Held by line, without a pole.'}`;
}

/** What the steps of a taper leave: how near it comes to its pole, and how even its sizes are. */
export function taperText({ offMm, scale }: TaperPlan, { text, fine }: { text: Write; fine: Write }): string {
  const fits =
    Math.abs(offMm) < 3
      ? 'Its layers cover the pole'
      : offMm > 0
        ? `Its layers stand ${fine(offMm)} over the pole`
        : `${fine(-offMm)} of pole shows`;
  const hides = offMm < -SHOWS_MM ? `: a row of 5 in balloons at ${text(SMALL_ROW_MM)} on top hides it` : '';
  const percent = Math.round(100 * (scale - 1));
  const scaled =
    percent === 0
      ? ''
      : ` For whole layers every width is ${Math.abs(percent)} % ${percent > 0 ? 'larger' : 'smaller'} than the silhouette.`;
  return `${fits}${hides}.${scaled}`;
}

/** Less of a pole than this nobody sees. */
const SHOWS_MM = 12;
/** Small ones that hide what is left of a pole: 5 in at 4 to 4½ (common practice). */
const SMALL_ROW_MM = 4.25 * MM_PER_INCH;

/** How high layers stand, where that is from, and what it leaves open for a piece whose touching rise is known. */
export function packingText({ packing, interval, stacks }: LearnedPacking, touchingMm: number, fine: Write): string {
  const [least, most] = interval;
  const from =
    stacks.length > 0
      ? `learned from ${counted(stacks.length, 'measured stack')}`
      : 'common practice, until one was measured';
  const open = ((most - least) / 2) * touchingMm;
  const height = touchingMm > 0 ? ` This piece may stand ${fine(open)} higher or lower.` : '';
  return `Layers stand at ${Math.round(100 * packing)} % of what touching balloons would: ${from}.${height}`;
}
