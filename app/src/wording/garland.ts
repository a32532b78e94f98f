import type { TrimmingKind, WallThing, WallThingKind } from '@leggero/contract';
import {
  MM_PER_INCH,
  MOST_CLUSTERS,
  MOST_STRIP_HOLES,
  type ColourWay,
  type DecoratorWay,
  type FullerWay,
  type GarlandPathKind,
  type JoinedBy,
  type Problem,
} from '@leggero/core';
import type {
  GarlandPathProblemCode,
  KnotLineProblemCode,
  ClusterProblemCode,
  ColoursProblemCode,
  FullnessProblemCode,
  GarlandSupplies,
  PackGarlandProblemCode,
  StripProblemCode,
} from '@leggero/core/garland';

import { counted, listed } from './trade';

type Write = (mm: number) => string;

export const PATH_WORDS: Record<GarlandPathKind, string> = {
  straight: 'Level',
  droop: 'Hanging',
  arch: 'Arch',
  'half-arch': 'Half an arch',
  corner: 'Up and along',
  backdrop: 'Around a backdrop',
  hoop: 'Around a hoop',
  own: 'As I draw it',
};

export const JOINED_WORDS: Record<JoinedBy, string> = {
  necks: 'Necks',
  modelling: 'Modelling',
  line: 'Line',
  bands: 'Bands',
};
/** What each way to join is good for, and what goes wrong with it (common practice). */
export const JOINED_ABOUT: Record<JoinedBy, string> = {
  necks: 'Their own necks tied: no supplies, but strong fingers and long necks.',
  modelling: 'Empty modelling balloons around two or three of each, the smaller ones: firm, and undone again.',
  line: 'Line is thin and cheap; it can cut, and comes loose.',
  bands: 'Bands are quick; large clusters slip in them.',
};

/** What a garland takes beside its balloons: "5 modelling balloons, 9 ft of line and 32 glue dots." */
export function suppliesText({ modelling, lineMm, bands, glueDots }: GarlandSupplies, text: Write): string {
  const all = [
    modelling > 0 ? [counted(modelling, 'modelling balloon')] : [],
    lineMm > 0 ? [`${text(lineMm)} of line`] : [],
    bands > 0 ? [counted(bands, 'band')] : [],
    glueDots > 0 ? [counted(glueDots, 'glue dot')] : [],
  ].flat();
  return all.length === 0 ? 'Nothing beside its balloons.' : `Beside its balloons: ${listed(all)}.`;
}

export const FULLER_WORDS: Record<FullerWay, string> = { layers: 'More clusters', larger: 'Larger balloons' };
/** What dragging a place up does. */
export const FULLER_HINTS: Record<FullerWay, string> = {
  layers: 'Drag a place up for more clusters there, tied over those along the line: thicker, not longer.',
  larger: 'Drag a place up for larger balloons there, in the size that is sold for them: thicker, and longer.',
};

export const THING_WORDS: Record<WallThingKind, string> = {
  door: 'Door',
  window: 'Window',
  sofa: 'Sofa',
  table: 'Table',
  sign: 'Sign',
};

/** What the two lengths of a path are called. */
export const PATH_LENGTHS: Record<GarlandPathKind, { wide: string; high: string }> = {
  straight: { wide: 'Length', high: 'Above the floor' },
  droop: { wide: 'Between its fixings', high: 'Fixings above the floor' },
  arch: { wide: 'Between its feet', high: 'Height' },
  'half-arch': { wide: 'Width', high: 'Height' },
  corner: { wide: 'Along the top', high: 'Up the side' },
  backdrop: { wide: 'Width of the backdrop', high: 'Its height' },
  hoop: { wide: 'Across the hoop', high: 'Its top above the floor' },
  own: { wide: 'Width', high: 'Height' },
};

/** What the two ends of a path are called, the one that it begins at first. */
export const PATH_ENDS: Record<GarlandPathKind, readonly [string, string]> = {
  straight: ['Left end', 'Right end'],
  droop: ['Left end', 'Right end'],
  arch: ['Left foot', 'Right foot'],
  'half-arch': ['Foot', 'Tip'],
  corner: ['Foot', 'End'],
  backdrop: ['Left foot', 'Right foot'],
  hoop: ['Its foot', 'Its foot again'],
  own: ['First place', 'Last place'],
};

export const COLOUR_WAY_WORDS: Record<ColourWay, string> = {
  blocks: 'In blocks',
  fade: 'One into the next',
  scatter: 'Scattered',
};

type GarlandProblem = Problem<
  | ClusterProblemCode
  | ColoursProblemCode
  | FullnessProblemCode
  | GarlandPathProblemCode
  | KnotLineProblemCode
  | PackGarlandProblemCode
  | StripProblemCode
>;

/** Why a garland cannot be planned or packed, and what would work. */
export function garlandProblemText(refused: GarlandProblem, text: Write): string {
  switch (refused.code) {
    case 'no-clusters':
      return 'At least one cluster with a balloon.';
    case 'too-many-clusters':
      return `Up to ${refused.detail.most} clusters.`;
    case 'too-many-in-cluster':
      return `Up to ${refused.detail.most} balloons at one knot.`;
    case 'too-many-balloons':
      return `${refused.detail.balloons.toLocaleString('en')} balloons: up to ${refused.detail.most.toLocaleString('en')} are packed.`;
    case 'bad-count':
      return 'A whole number of balloons, one at least in a cluster.';
    case 'bad-width':
      return 'A width above nothing.';
    case 'bad-holes':
      return `${refused.detail.least} to ${refused.detail.most.toLocaleString('en')} holes.`;
    case 'bad-pitch':
      return 'A distance above nothing.';
    case 'bad-first-hole':
      return `One of its holes: ${refused.detail.least} to ${refused.detail.most}.`;
    case 'no-steps':
      return 'At least one balloon among its steps.';
    case 'bad-fullness':
      return `From ${refused.detail.least} to ${refused.detail.most} times.`;
    case 'no-colours':
    case 'bad-colour-share':
      return 'At least one colour that there is any of.';
    case 'bad-block':
      return 'A whole number of clusters, one at least.';
    case 'bad-places':
    case 'over-nothing':
      return 'Its clusters do not lie one after another.';
    case 'bad-path':
      return 'Above nothing, up to 30 m.';
    case 'hoop-in-floor':
      return `A hoop so wide reaches into the floor: at least ${text(refused.detail.leastMm)}.`;
    case 'bad-points':
      return `${refused.detail.least} to ${refused.detail.most} places, none below the floor.`;
    case 'path-crosses':
      return 'It crosses itself or the floor: move its places apart.';
    case 'drop-too-deep':
      return `It would lie on the floor: under ${text(refused.detail.mostMm)}.`;
    case 'too-few-points':
    case 'line-too-short':
      return 'So short a path holds no garland: at least 2 in.';
    case 'line-too-long':
      return `Up to ${text(refused.detail.mostMm)}.`;
  }
}

interface Covered {
  lengthMm: number;
  pathMm: number;
  /** Clusters along it, or balloons of its strip. */
  clusters: number;
}

/** Nearer to its path’s end than this share of a cluster it fills it. */
const FILLS = 0.5;
/** Of a strip, a foot. */
const FOOT_MM = 12 * MM_PER_INCH;

/** How long it came out: "12 ft long: 12 clusters". */
export function lengthText({ lengthMm, clusters }: Covered, strip: boolean, text: Write): string {
  return `${text(lengthMm)} long: ${strip ? `${counted(clusters, 'balloon')} in its strip` : counted(clusters, 'cluster')}`;
}

/** How a packed garland fills its path: what stays bare, or how far it goes on. */
export function coverText({ lengthMm, pathMm, clusters }: Covered, text: Write, strip = false): string {
  const overMm = lengthMm - pathMm;
  const path = `Its path is ${text(pathMm)}`;
  if (Math.abs(overMm) < FILLS * (strip ? FOOT_MM : lengthMm / clusters)) return `${path}: it fills it.`;
  return overMm < 0
    ? `${path}: ${text(-overMm)} stay bare.`
    : `${path}: it goes on for ${text(overMm)} beyond its end.`;
}

/** How many clusters like these fill the path; null where so many are on already. */
export function fillingClusters({ lengthMm, pathMm, clusters }: Covered): number | null {
  const many = Math.min(MOST_CLUSTERS, Math.max(1, Math.round((clusters * pathMm) / lengthMm)));
  return many === clusters ? null : many;
}

/** How many holes a strip needs to reach its path’s end; null where it has so many. */
export function fillingHoles(
  { holes, pitchMm, first }: { holes: number; pitchMm: number; first: number },
  pathMm: number,
): number | null {
  const many = holesFor({ pitchMm, first }, pathMm);
  return Math.abs(many - holes) < FILLS_HOLES ? null : many;
}

/** How many holes reach along a path from the one that it begins at. */
export function holesFor({ pitchMm, first }: { pitchMm: number; first: number }, pathMm: number): number {
  return Math.min(MOST_STRIP_HOLES, first + Math.round(pathMm / pitchMm));
}

/** As good as filled. */
const FILLS_HOLES = 3;

interface Seen {
  bare: readonly { fromMm: number; toMm: number }[];
  deepMm: number;
  strip: boolean;
}

/** What is seen of it: "20 in thick. From the front its line shows at 3 places, in all 7 in: …" */
export function seenText({ bare, deepMm, strip }: Seen, text: Write): string {
  const thick = `${text(deepMm)} thick`;
  const what = strip ? 'strip' : 'line';
  if (bare.length === 0) return `${thick}. From the front its ${what} shows nowhere.`;
  const mm = bare.reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);
  const places = bare.length === 1 ? 'at one place' : `at ${bare.length} places, in all`;
  return `${thick}. From the front its ${what} shows ${places} ${text(mm)}: put decorators there.`;
}

/** What the trade says beside what came out. */
export function ruleText(ruleMm: number | null, lengthMm: number, text: Write): string {
  if (ruleMm === null) return 'The trade has no rule for clusters like these.';
  return `By the rule of the trade such clusters cover ${text(ruleMm)}: ${besideText(lengthMm, ruleMm)}.`;
}

/** How far what was packed is from what something else says. */
function besideText(lengthMm: number, saidMm: number): string {
  const off = Math.round(100 * (lengthMm / saidMm - 1));
  return off === 0 ? 'as packed' : `packed it is ${Math.abs(off)} % ${off > 0 ? 'longer' : 'shorter'}`;
}

/** What a studio's own garlands came to: "Your 3 garlands came to 0.96 of that rule, here 11 ft 6 in: packed it is …" */
export function ownRuleText(
  { share, garlands }: { share: number; garlands: number },
  ownMm: number,
  lengthMm: number,
  text: Write,
): string {
  const yours = garlands === 1 ? 'The one of yours that was measured' : `Your ${garlands} measured garlands`;
  return `${yours} came to ${share.toFixed(2)} of that rule, here ${text(ownMm)}: ${besideText(lengthMm, ownMm)}.`;
}

/** What the packing has learned: "Packed as soft as your 3 garlands were: …" */
export function softnessText({ press }: { press: number }, garlands: number): string {
  const yours = garlands === 1 ? 'the one of yours that was measured' : `the ${garlands} of yours that were measured`;
  return `Packed as soft as ${yours}: balloons press into one another by ${(100 * press).toFixed(1)} % of their widths.`;
}

/** What measuring one is good for. */
export function finishedText(garlands: number): string {
  if (garlands === 0)
    return (
      'How soft balloons of a garland are is the trade’s number until one of yours was measured: ' +
      'the next are packed as soft as that was.'
    );
  const yours = `${counted(garlands, 'garland')} of yours ${garlands === 1 ? 'was' : 'were'} measured`;
  return `${yours}, and this one is packed as soft. One more makes it surer.`;
}

interface Ranged {
  mean: number;
  low: number;
  high: number;
}

/** How exact a garland's balloons must be for its length, by what comes of them and how much of it a cluster covers. */
export function handsLengthText(
  { planned, ways }: { planned: Ranged; ways: Record<'eye' | 'sizer', { lengthMm: Ranged }> },
  clusters: number,
  text: Write,
): string {
  const halfMm = planned.mean / clusters / 2;
  const fills = ({ low, high }: Ranged) => planned.mean - low < halfMm && high - planned.mean < halfMm;
  const range = ({ low, high }: Ranged) => `${text(low)} to ${text(high)}`;
  const [eye, sizer] = [ways.eye.lengthMm, ways.sizer.lengthMm];
  if (fills(eye)) return `By eye is fine: it comes out ${range(eye)}, within half a cluster of what is planned.`;
  if (fills(sizer)) return `Use the sizer: by eye it comes out ${range(eye)}, sized ${range(sizer)}.`;
  return `Keep a cluster to spare: even sized it comes out ${range(sizer)}.`;
}

/** What one size does to the length: "7½ in, 24 of them: ¼ in wider makes it 2¾ in longer." */
export function mattersText(
  { widthMm, count, share }: { widthMm: number; count: number; share: number },
  lengthMm: number,
  { text, fine }: { text: Write; fine: Write },
): string {
  const longerMm = (share * lengthMm * A_LITTLE_MM) / widthMm;
  const makes = longerMm < LEAST_LONGER_MM ? 'leaves it as long' : `makes it ${text(longerMm)} longer`;
  return `${text(widthMm)}, ${count} of them: ${fine(A_LITTLE_MM)} wider ${makes}.`;
}

/** A quarter inch; and what nobody measures along a garland. */
const A_LITTLE_MM = MM_PER_INCH / 4;
const LEAST_LONGER_MM = 5;

export const DECORATOR_WAY_WORDS: Record<DecoratorWay, string> = { widest: 'Widest hollows', even: 'Evenly along it' };
/** Groups of one, two, three, four balloons. */
export const GROUP_WORDS = ['Single', 'Twos', 'Threes', 'Fours'] as const;

/** What decorators are made of: "12 decorators, 4 fours, 4 threes and 4 twos: 36 balloons, 3⅛ to 4⅞ in." */
export function groupsText(groups: readonly (readonly number[])[], text: Write): string {
  const sizes = GROUP_WORDS.flatMap((word, i) => {
    const many = groups.filter(({ length }) => length === i + 1).length;
    return many > 0 ? [`${many} ${many === 1 ? word.toLowerCase().replace(/s$/, '') : word.toLowerCase()}`] : [];
  });
  const widths = groups.flat();
  const [least, most] = [text(Math.min(...widths)), text(Math.max(...widths))];
  return (
    `${counted(groups.length, 'decorator')}, ${listed(sizes.reverse())}: ${counted(widths.length, 'balloon')}, ` +
    `${least === most ? most : `${least} to ${most}`} wide.`
  );
}

export const TRIMMING_WORDS: Record<TrimmingKind, { one: string; many: string }> = {
  flower: { one: 'flower', many: 'Flowers' },
  leaf: { one: 'leaf', many: 'Leaves' },
  sign: { one: 'sign', many: 'Signs' },
};

/** What trimmings there are, and those that no hollow is left for. */
export function trimmingsText(
  trimmings: readonly { kind: TrimmingKind; count: number }[],
  put: readonly { kind: TrimmingKind }[],
): string {
  const said = trimmings.map(({ kind, count }) => {
    const { one, many } = TRIMMING_WORDS[kind];
    return `${count} ${count === 1 ? one : many.toLowerCase()}`;
  });
  const wanted = trimmings.reduce((sum, { count }) => sum + count, 0);
  const left = wanted > put.length ? ` For ${wanted - put.length} of them no hollow is left.` : '';
  return `${listed(said)}, evenly along it.${left}`;
}

/** What the hollows of a garland take: "26 hollows take a balloon of 4 in; the widest is 4½ in." */
export function hollowsText(
  { nests, count }: { nests: number; count: number },
  { widthMm, widestMm }: { widthMm: number; widestMm: number | null },
  text: Write,
): string {
  if (widestMm === null) return 'It has no hollow that a small balloon nests in.';
  const over = count > nests ? ` ${counted(count - nests, 'more decorator')}: no hollow is left for them.` : '';
  return (
    `${counted(nests, 'hollow')} ${nests === 1 ? 'takes' : 'take'} a balloon of ${text(widthMm)}; ` +
    `the widest is ${text(widestMm)}.${over}`
  );
}

interface Tied {
  /** What lies along it: clusters, or balloons of a strip in their holes. */
  clusters: number;
  strip: readonly { hole: number; side: 'left' | 'right' }[] | null;
  /** Which of those what is tied over them lies on, from 0. */
  over: readonly { on: number }[];
}

/** One step in words: "Cluster 3 of 12: 4 balloons", "Hole 7, to the left", "Over cluster 2: 4 balloons". */
export function garlandStepText(step: number, { clusters, strip, over }: Tied, balloons: number): string {
  if (step >= clusters + over.length) return `${counted(balloons, 'small balloon')} in its hollows, glued on last`;
  if (step >= clusters) {
    const { on } = over[step - clusters]!;
    return `Over ${strip ? `hole ${strip[on]!.hole}` : `cluster ${on + 1}`}: ${counted(balloons, 'balloon')}`;
  }
  if (strip) return `Hole ${strip[step]!.hole}, to the ${strip[step]!.side}: balloon ${step + 1} of ${clusters}`;
  return `Cluster ${step + 1} of ${clusters}: ${counted(balloons, 'balloon')}`;
}

/** "12 clusters, 48 balloons": what a garland is made of. */
export function garlandCounts({ clusters, strip, over }: Tied, balloons: number): string {
  const along = strip ? `strip of ${counted(clusters, 'balloon')}` : counted(clusters, 'cluster');
  const more = over.length > 0 ? ` and ${over.length} over ${strip ? 'it' : 'them'}` : '';
  return `${along}${more}, ${counted(balloons, 'balloon')}`;
}

interface Strip {
  holes: number;
  pitchMm: number;
  before: number;
  after: number;
}

/** How long a strip is, and what of it stays free: "The strip is 15 ft long; 3 holes before and 2 behind its balloons …" */
export function stripText({ holes, pitchMm, before, after }: Strip, pathMm: number, text: Write): string {
  const lengthMm = holes * pitchMm;
  const free =
    before + after === 0
      ? 'no hole is left to hang it by: begin further on'
      : `${counted(before, 'hole')} before and ${after} behind its balloons are left to hang it by`;
  const over =
    lengthMm > pathMm * 1.02
      ? ` It is ${text(lengthMm - pathMm)} longer than where it runs: cut it or begin later.`
      : '';
  return `The strip is ${text(lengthMm)} long; ${free}.${over}`;
}

interface Wall {
  wideMm: number;
  highMm: number;
  things: readonly WallThing[];
}

/** How far a path leaves its wall; null where it lies on it. */
export function offWallText(
  points: readonly (readonly [number, number, number])[],
  { wideMm, highMm }: Wall,
  text: Write,
): string | null {
  const offMm = Math.max(0, ...points.map(([x, , z]) => Math.max(Math.abs(x) - wideMm / 2, z - highMm)));
  return offMm > 1 ? `It leaves the wall by ${text(offMm)}.` : null;
}

interface Ball {
  xMm: number;
  zMm: number;
  widthMm: number;
}

/** Which doors and signs balloons hang before: those are to stay free. */
export function coveredText(balloons: readonly Ball[], { wideMm, things }: Wall): string | null {
  const covered = things
    .filter(({ kind }) => kind === 'door' || kind === 'sign')
    .flatMap((thing) => {
      const { kind, leftMm, lowMm, wideMm: across, highMm } = thing;
      const left = leftMm - wideMm / 2;
      const before = balloons.filter(({ xMm, zMm, widthMm }) => {
        const dx = Math.max(left - xMm, 0, xMm - left - across);
        const dz = Math.max(lowMm - zMm, 0, zMm - lowMm - highMm);
        return Math.hypot(dx, dz) < widthMm / 2;
      }).length;
      return before > 0 ? [`${counted(before, 'balloon')} before the ${kind}`] : [];
    });
  return covered.length > 0 ? `${listed(covered)}: keep doors and signs free, ways out above all.` : null;
}

interface Hung {
  sagMm: number;
  mostKg: number;
  fixings: readonly object[];
}

/** Loads as they are read: "0.42 kg", "35 g". */
const weightText = (kg: number) => (kg < 0.1 ? `${Math.round(1000 * kg)} g` : `${kg.toFixed(2)} kg`);

/** What hooks carry: "It weighs 0.38 kg. 5 hooks: one carries up to 0.21 kg; between them it sags up to 4 in." */
export function fixingsText({ sagMm, mostKg, fixings }: Hung, kg: number, text: Write): string {
  return (
    `It weighs ${weightText(kg)}. ${counted(fixings.length, 'hook')}: one carries up to ${weightText(mostKg)}; ` +
    `between them it sags up to ${text(sagMm)}.`
  );
}

/** What hooks are beyond; null where all of them hold. */
export function overloadText({ mostKg }: Hung, holdsKg: number): string | null {
  if (mostKg <= holdsKg) return null;
  return `One would carry ${weightText(mostKg)} and holds ${weightText(holdsKg)}: take more hooks, or stronger ones.`;
}

/** A colour in a size. */
export interface MissingSize {
  colour: string;
  nominalMm: number;
}

/** What the shelf has not: "Not on the shelf: kelp green in 18 in, tide blue in 5 in. …" */
export function missingText(missing: readonly MissingSize[]): string {
  const sizes = missing.map(({ colour, nominalMm }) => `${colour} in ${Math.round(nominalMm / MM_PER_INCH)} in`);
  return `Not on the shelf: ${listed(sizes)}. Get them, or take a colour that is there in all sizes.`;
}

/** What prints side by side are said to be; null where there are none. */
export function printsText(prints: number): string | null {
  if (prints === 0) return null;
  const pairs = `${counted(prints, 'pair')} of prints ${prints === 1 ? 'lies' : 'lie'} side by side`;
  return `${pairs}: no way was found to keep so many apart. Take fewer.`;
}

interface Which {
  cluster: number;
  layer: number;
  place: number;
}

/** Which balloon was tapped: "Balloon 2 of cluster 3", "The balloon in hole 7", "Balloon 1 over cluster 3". */
export function whichText({ cluster, layer, place }: Which, strip: readonly { hole: number }[] | null): string {
  const at = strip ? `hole ${strip[cluster]?.hole ?? cluster + 1}` : `cluster ${cluster + 1}`;
  if (layer > 0) return `Balloon ${place + 1} over ${at}${layer > 1 ? `, layer ${layer + 1}` : ''}`;
  return strip ? `The balloon in ${at}` : `Balloon ${place + 1} of ${at}`;
}

/** What is kept: "All before cluster 5 stays as it lies; what follows is turned another way." */
export const keptText = (before: number, strip: boolean): string =>
  `All before ${strip ? 'balloon' : 'cluster'} ${before + 1} stays as it lies; what follows is turned another way.`;

/** How many clusters were moved by hand, for the way back. */
export const movedText = (many: number): string => `${counted(many, 'cluster')} moved by hand.`;

/** How many were changed by hand, for the way back. */
export function byHandText(many: number): string {
  return `${counted(many, 'balloon')} changed by hand.`;
}

interface Steps {
  path: { kind: GarlandPathKind };
  strip: object | null;
  fullness: readonly number[];
  joined: JoinedBy;
}

const JOIN_STEPS: Record<JoinedBy, string> = {
  necks: 'Tie cluster to cluster by two necks of each',
  modelling: 'Join cluster to cluster with a modelling balloon around two or three necks of each',
  line: 'Join cluster to cluster with line, twice around two or three necks of each',
  bands: 'Join cluster to cluster with a band over two or three necks of each',
};

/** How a garland is built. */
export function garlandSteps(along: number, { path, strip, fullness, joined }: Steps): string[] {
  const full = fullness.some((each) => each > 1);
  return [
    'Fill one size after the other, the largest first; keep them apart in clean bags.',
    ...(strip
      ? [
          `Put ${counted(along, 'balloon')} into their holes, left and right in turn: the neck in, not pulled tight.`,
          'It feels loose until it fills.',
        ]
      : [
          `Tie ${counted(along, 'cluster')}: balloons of one cluster neck to neck, a small one between larger ones.`,
          `${JOIN_STEPS[joined]}; turn each until it nests, and push it on.`,
        ]),
    ...(full
      ? [`Tie more clusters over ${strip ? 'it with bands' : 'these'}, the knot pushed in between its balloons.`]
      : []),
    path.kind === 'straight' || path.kind === 'droop'
      ? `Hang it by ${strip ? 'its free holes' : 'line around some seven balloons'} at each fixing, and let it come to rest.`
      : `Fix it to its hooks at the foot, the bend and the top: ${strip ? 'the strip itself' : 'line around some seven balloons'} at each.`,
    'Step back: put decorators where the wall or the line shows, more of them at the foot than at the top.',
  ];
}
