import type { EventRecord, PieceForm } from '@leggero/contract';
import { passage, type Box } from '@leggero/core/building';

type Write = (mm: number) => string;

/** Pieces that stand in a room and are carried into it whole. */
export type StandingForm = Extract<PieceForm, 'column' | 'taper' | 'arch' | 'hoop' | 'bow' | 'plinth' | 'garland'>;

/** What is left for the room where a piece does not go through a door. */
const INSIDE: Record<StandingForm, string> = {
  column: 'put its widest layers on inside',
  taper: 'put its widest layers on inside',
  arch: 'put it together inside',
  hoop: 'put its crescents on inside',
  bow: 'tie its loops together inside',
  plinth: 'string it inside',
  garland: 'join its parts inside',
};

interface Around {
  event: EventRecord | null;
  ceilingMm: number | null;
  topped: boolean;
  text: Write;
}

/** What the room and the way there say against a piece: how large it is, and how high it reaches where it stands. */
export function roomTexts(
  form: StandingForm,
  { box, topMm }: { box: Box; topMm: number },
  { event, ceilingMm, topped, text }: Around,
): string[] {
  const said: string[] = [];
  if (ceilingMm !== null && topMm > ceilingMm)
    said.push(`${text(topMm - ceilingMm)} taller than the ceiling of ${text(ceilingMm)}.`);
  const ways = [
    ['door', event?.doorHighMm ?? null, event?.doorWideMm ?? null],
    ['lift', event?.liftHighMm ?? null, event?.liftWideMm ?? null],
  ] as const;
  for (const [way, highMm, wideMm] of ways) {
    const goes = passage(box, { highMm: highMm ?? Infinity, wideMm: wideMm ?? Infinity });
    if (goes === 'no') {
      const sides = [wideMm === null ? [] : `${text(wideMm)} wide`, highMm === null ? [] : `${text(highMm)} high`];
      said.push(`${acrossText(box, text)}; the ${way} is ${sides.flat().join(', ')}: ${INSIDE[form]}.`);
    } else if (goes === 'turned') {
      const lies =
        highMm !== null && box.highMm > highMm
          ? `Taller than the ${way} of ${text(highMm)}: carry it leaning`
          : `Wider than the ${way} of ${text(wideMm!)}: carry it turned`;
      said.push(`${lies}, or ${topped ? 'put the topper on inside' : LAST[form]}.`);
    }
  }
  return said;
}

/** What shortens a piece that has no topper. */
const LAST: Record<StandingForm, string> = {
  ...INSIDE,
  column: 'push the last layers on inside',
  taper: 'push the last layers on inside',
};

/** "1 ft 6 in across, 5 ft high"; what is deep too, where that is another figure. */
function acrossText({ wideMm, deepMm, highMm }: Box, text: Write): string {
  const deep = text(deepMm) === text(wideMm) ? '' : `, ${text(deepMm)} deep`;
  return `${text(wideMm)} across${deep}, ${text(highMm)} high`;
}

/** A topper that is too small for what it stands on. */
export function topperTexts({ leastTopperMm, text }: { leastTopperMm: number | null; text: Write }): string[] {
  return leastTopperMm === null
    ? []
    : [`So small a topper looks lost on these balloons: from about ${text(leastTopperMm)} on it does not.`];
}
