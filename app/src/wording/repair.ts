import { REPAIR_CAUSES, type PieceForm, type RepairCause, type RepairRecord } from '@leggero/contract';

import { dayText } from './day';
import { counted } from './trade';

/** Why it failed. */
export const FAILED_WORDS: Record<RepairCause, string> = {
  popped: 'Popped',
  soft: 'Went soft',
  knocked: 'Knocked',
  other: 'Other',
};

const LAYERED =
  'Leave the old neck in its knot: its partner hangs on it. Tie the new one to a piece of 260, push it in from outside, ' +
  'lead both ends around the necks behind it, and knot them there.';
const LINKED =
  'Untie the old neck and tail from both neighbours. Knot the new one’s neck to the one, its tail to the other, both ' +
  'while someone holds them together: the ring must not open.';
const HUNG =
  'Hold what hangs below it first. Knot the new one’s neck to the tail above it, then its tail to the neck below, and ' +
  'let go slowly.';

/** How one is put in where a piece stands (common practice). */
export const TIE_IN: Record<PieceForm, string> = {
  column: LAYERED,
  taper: LAYERED,
  arch: LAYERED,
  hoop: LAYERED,
  plinth: LAYERED,
  rope: 'Push its neighbours apart, wrap the new one’s neck twice around the joiner, and tuck it under theirs.',
  bow: 'Push its neighbours apart, wrap the new one’s neck twice around the joiner, and tuck it under theirs.',
  garland:
    'One that only nests is glued in near its neck. One of a cluster is tied to a piece of 260 and led around the necks ' +
    'of its cluster.',
  chain: HUNG,
  curtain: HUNG,
  swag: HUNG,
  ring: LINKED,
  basket: LINKED,
  cup: LINKED,
  dome: LINKED,
  ball: LINKED,
  wreath: LINKED,
};

/** From what it is known when its like were made. */
export function madeFromText(from: 'run' | 'plan' | null): string {
  if (from === null) return 'When it was made is not known: set it.';
  return from === 'run' ? 'As its station tapped it' : 'As the event plans it';
}

const QUARTERS = ['', '¼', '½', '¾'];

/** "31 h"; from two days on in quarters of a day: "2¼ days" */
export function stoodText(hours: number): string {
  if (hours < 48) return `${Math.round(hours)} h`;
  const quarters = Math.round(hours / 6);
  return `${Math.floor(quarters / 4)}${QUARTERS[quarters % 4]} days`;
}

/** What one that is repaired is matched to. */
export function likeText(
  { lowMm, highMm }: { lowMm: number; highMm: number },
  measuredMm: number | null,
  { text, bare }: { text: (mm: number) => string; bare: (mm: number) => string },
): string {
  if (measuredMm !== null) return 'as wide as the one beside it measures';
  const [low, high] = [text(lowMm), text(highMm)];
  return low === high ? `its like are ${low} by now` : `its like are ${bare(lowMm)} to ${high} by now`;
}

/** "14 November: popped, filled to 9⅝ in" */
export function repairText({ at, cause, fillMm }: RepairRecord, text: (mm: number) => string): string {
  return `${dayText(at)}: ${FAILED_WORDS[cause].toLowerCase()}, made anew at ${text(fillMm)}`;
}

/** How many of a piece's balloons were made anew. */
export function repairedText(pieceId: string, repairs: readonly RepairRecord[]): string {
  const own = repairs.filter((repair) => repair.pieceId === pieceId).length;
  return own === 0 ? 'Tap the one that failed' : `${counted(own, 'balloon')} made anew`;
}

/** "3 balloons made anew: 2 popped, 1 went soft" */
export function repairsText(repairs: readonly Pick<RepairRecord, 'cause'>[]): string {
  const causes = REPAIR_CAUSES.flatMap((cause) => {
    const count = repairs.filter((repair) => repair.cause === cause).length;
    return count === 0 ? [] : [`${count} ${FAILED_WORDS[cause].toLowerCase()}`];
  });
  return `${counted(repairs.length, 'balloon')} made anew: ${causes.join(', ')}`;
}
