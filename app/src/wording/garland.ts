import type { WallThing, WallThingKind } from '@leggero/contract';
import {
  MM_PER_INCH,
  type ColourWay,
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
