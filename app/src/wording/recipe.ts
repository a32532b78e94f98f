import type { Problem, Trade } from '@leggero/core';
import type { Pace } from '@leggero/core/pace';
import type { Batch, Taken, TakenKind, WorkLength } from '@leggero/core/recipe';
import type { CostProblemCode, HoursProblemCode, SparesProblemCode, WorkPhase } from '@leggero/core/supply';

import { minutesText } from './lasting';
import { counted, listed } from './trade';

type Write = (mm: number) => string;

/** "bag 3", "bags 3 to 5, 28 a bag". */
export function bagsText({ bags: { from, to }, perBag }: Pick<Batch, 'bags' | 'perBag'>): string {
  return from === to ? `bag ${from}` : `bags ${from} to ${to}, ${perBag} a bag`;
}

/** What bundles of so many balloons are called. */
export function bundleTitle(balloons: number): string {
  return BUNDLES[balloons] ?? `cluster of ${balloons}`;
}
const BUNDLES: Record<number, string> = { 2: 'duplet', 3: 'triplet', 4: 'quad', 5: 'quint', 6: 'six' };

const TAKEN_WORDS: Record<TakenKind, { one: string; many: string }> = {
  pole: { one: 'pole', many: 'poles' },
  plate: { one: 'base plate', many: 'base plates' },
  frame: { one: 'frame', many: 'frames' },
  hoop: { one: 'hoop', many: 'hoops' },
  stand: { one: 'stand', many: 'stands' },
  ballast: { one: 'weight', many: 'weights' },
  line: { one: 'line', many: 'line' },
  strip: { one: 'strip', many: 'strip' },
  modelling: { one: 'modelling balloon', many: 'modelling balloons' },
  band: { one: 'band', many: 'bands' },
  hook: { one: 'hook', many: 'hooks' },
  tape: { one: 'strip of tape under a hook', many: 'strips of tape under hooks' },
  fixing: { one: 'fixing point', many: 'fixing points' },
  glueDot: { one: 'glue dot', many: 'glue dots' },
  figure: { one: 'figure', many: 'figures' },
  flower: { one: 'flower', many: 'flowers' },
  leaf: { one: 'leaf', many: 'leaves' },
  sign: { one: 'sign', many: 'signs' },
};

/** What of a thing is taken along: "2 poles, each 6 ft", "line, 24 ft in all", "4 hooks, each carries 2 kg". */
export function takenText(
  { kind, count, lengthMm, kg }: Taken,
  { text, mass }: { text: Write; mass: (kg: number) => string },
): string {
  const { one, many } = TAKEN_WORDS[kind];
  if (kind === 'line' || kind === 'strip')
    return `${one[0]!.toUpperCase()}${one.slice(1)}: ${text(lengthMm ?? 0)} in all`;
  const long =
    lengthMm === null ? '' : `${count === 1 ? ', ' : ', each '}${text(lengthMm)}${kind === 'hoop' ? ' across' : ''}`;
  const carries = kind === 'hook' ? 'carries' : 'of';
  const heavy = kg === null ? '' : `${count === 1 ? ', ' : ', each '}${carries} ${mass(kg)}`;
  return `${counted(count, one, many)}${long}${heavy}`;
}

/** The order of finishing, and why (common practice). */
export const FINISHING = [
  'Decorators first, where balloons press together and leave a hollow.',
  'Flowers where balloons press together, then leaves behind them.',
  'Shine spray is the very last: nothing sticks after it.',
] as const;

export const PHASE_WORDS: Record<WorkPhase, string> = {
  stuff: 'Stuff',
  inflate: 'Inflate',
  tie: 'Tie',
  build: 'Build',
  load: 'Bag and load',
  install: 'Put up',
  takeDown: 'Take down',
};

/** Hours as people say them: "25 min", "3 h 20 min". */
export function hoursText(hours: number): string {
  return minutesText(Math.round(hours * 60));
}

/** Why there are no hours, spares or price. */
export function workProblemText({ code }: Problem<HoursProblemCode | SparesProblemCode | CostProblemCode>): string {
  switch (code) {
    case 'nobody':
      return 'Nobody is there to do the work: how many people are?';
    case 'no-station':
      return 'There is nothing to inflate with: how many stations are there?';
    case 'never-enough':
      return 'All but everything of it was lost so far: no number of spares is enough. Look at its losses, or take another.';
    case 'bad-price':
      return 'Money from 0 up, please.';
    case 'bad-margin':
      return 'A margin from 0 to 90 % of the price.';
    case 'bad-needed':
      return 'More than one event can take.';
    case 'bad-losses':
      return 'No more are lost than were used.';
    default:
      return 'A share between 0 and 100 %.';
  }
}

/** Which bags are marked: more than a few, and it is simpler to mark all. */
function markText(marked: readonly string[], of: number): string {
  return marked.length > MOST_NAMED
    ? `Write its mark on every bag: of ${of} batches ${marked.length} look like another, and each is kept apart.`
    : `Write marks on the bags of ${listed(marked)}: their sizes look alike, and each is kept apart.`;
}
const MOST_NAMED = 8;

/** What is done before the first balloon is inflated: stuffing, and bags that are to be marked. */
export function prepareSteps(
  batches: readonly { key: string; balloon: string; count: number; alike: readonly string[] }[],
  {
    markOf,
    nameOf,
    stuffed,
    preStretched,
  }: {
    markOf: (key: string) => string;
    nameOf: (balloon: string) => string;
    stuffed: (balloon: string) => boolean;
    preStretched: (key: string) => boolean;
  },
): string[] {
  const pairs = new Map<string, number>();
  for (const { balloon, count } of batches) if (stuffed(balloon)) pairs.set(balloon, (pairs.get(balloon) ?? 0) + count);
  const stretched = batches.filter(({ key }) => preStretched(key)).map(({ key }) => markOf(key));
  const marked = batches.filter(({ alike }) => alike.length > 0).map(({ key }) => markOf(key));
  return [
    ...[...pairs].map(([balloon, count]) => `Stuff ${counted(count, 'pair')} of ${nameOf(balloon)}.`),
    ...(stretched.length === 0
      ? []
      : [
          `Pre-stretch ${listed(stretched)}: inflate once, let the air out, fill anew. Their targets are of such balloons.`,
        ]),
    ...(marked.length === 0 ? [] : [markText(marked, batches.length)]),
  ];
}

/** What holds a kind of work. */
export const LIMIT_WORDS = { stations: 'held by the stations: one more would shorten it' } as const;

const MM_PER = { in: 304.8, cm: 1000, mm: 1000 } as const;

/** What a length comes to: by the foot along it, and with the clusters that fill it counted as feet too. */
export function perLengthText(
  priceMinor: number,
  { alongMm, filledMm }: WorkLength,
  { unit, money }: { unit: keyof typeof MM_PER; money: (minor: number) => string },
): string {
  const name = unit === 'in' ? 'ft' : 'm';
  const long = (mm: number) => (mm / MM_PER[unit]).toFixed(1);
  const each = (mm: number) => money((priceMinor * MM_PER[unit]) / mm);
  const plain = `${long(alongMm)} ${name}: ${each(alongMm)} a ${name === 'ft' ? 'foot' : 'metre'}`;
  return filledMm - alongMm < 1 ? plain : `${plain}; with its fill ${long(filledMm)} ${name}, ${each(filledMm)} each`;
}

/** What another version takes more or less: "32 balloons fewer, €41.20 less". */
export function differenceText(
  { balloons, priceMinor }: { balloons: number; priceMinor: number },
  money: (minor: number) => string,
): string {
  const some =
    balloons === 0
      ? 'as many balloons'
      : `${counted(Math.abs(balloons), 'balloon')} ${balloons > 0 ? 'more' : 'fewer'}`;
  const cost =
    priceMinor === 0 ? 'the same price' : `${money(Math.abs(priceMinor))} ${priceMinor > 0 ? 'more' : 'less'}`;
  return `${some}, ${cost}`;
}

/** "10 clusters or layers", of what is put on one after another. */
export const clustersText = (clusters: number): string => counted(clusters, 'cluster or layer', 'clusters or layers');

/** What paces are those of the trade, and which is learned. */
export function paceNote({ paceS }: Pick<Trade, 'paceS'>, seen: readonly Pace[]): string {
  const balloons = seen.reduce((sum, each) => sum + each.balloons, 0);
  const own =
    balloons === 0
      ? ''
      : `With a sizer ${paceS.sized.toFixed(0)} s a balloon, learned from ${counted(balloons, 'balloon')} of your inflation runs. `;
  return (
    `${own}${own ? 'Other paces' : 'Paces'} are those of the trade until you set your own, under Numbers of the trade. ` +
    'One kind of work after another, as on an assembly line.'
  );
}
