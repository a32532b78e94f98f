import { MM_PER_INCH, MOST_CLUSTERS, MOST_STRIP_HOLES } from '@leggero/core';

import { counted } from './trade';

type Write = (mm: number) => string;

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
