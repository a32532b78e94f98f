import {
  wellMm,
  type ClosingSimulation,
  type FittingRing,
  type Form,
  type FormNote,
  type FormStep,
  type HandleProblemCode,
  type LinkProblemCode,
  type OneWrong,
  type SnappedForm,
  type StandingAcross,
} from '@leggero/core/linking';
import type { Problem } from '@leggero/core';
import type { PieceForm } from '@leggero/contract';

import type { Tone } from '@/ui/Chip';

import { layerTitle } from './pieces';
import { counted } from './trade';

type Write = (mm: number) => string;

/** Why a piece cannot be worked out, and what would work. */
export function linkProblemText({ code, detail }: Problem<LinkProblemCode>, text: Write): string {
  switch (code) {
    case 'no-count':
      return `No useful size lands on this length. ${text(detail.nearestMm)} works.`;
    case 'longer-than-room':
      return `Longer than the room is high: at most ${text(detail.mostMm)}.`;
    case 'no-drop':
      return 'A swag hangs: give it some drop, or a longer chain.';
    case 'drop-beyond-string':
      return `The drop is more than the chain, down and up again: at most ${text(detail.mostMm)}.`;
    case 'string-too-short':
      return `Too short to reach from fixing to fixing: at least ${text(detail.leastMm)}.`;
    case 'above-ceiling':
      return `Above the ceiling of ${text(detail.ceilingMm)}: at most ${text(detail.mostMm)}.`;
    case 'hem-too-high':
      return `No balloon fits between the line and the hem: at most ${text(detail.mostMm)}.`;
    case 'below-floor':
      return 'The hem cannot be below the floor.';
    case 'chains-too-near':
      return `Nearer than a balloon is wide: at least ${text(detail.leastMm)}, or tie them as a grid.`;
    case 'bad-bow':
      return `Between nothing and half the width: at most ${text(detail.mostMm)}.`;
    case 'too-many-balloons':
      return `${detail.balloons} balloons; up to ${detail.most} are worked out here. Make it in parts.`;
    case 'too-few-balloons':
      return 'Two are a duplet. A ring has three balloons or more.';
    case 'no-hold':
      return 'It finds no hold on the ring below: nearer to its size.';
    case 'none-fits':
      return 'No ring of useful balloons fits this. Take another balloon, or another thing.';
    case 'bad-count':
      return `${detail.least} to ${detail.most} balloons.`;
    case 'bad-rings':
      return `${detail.least} to ${detail.most} rings.`;
    case 'no-room':
      return `Ring ${detail.ring} finds no room: at most ${detail.most}.`;
    case 'cap-too-large':
      return 'What would close it is far too large: one more ring.';
    case 'steps-too-coarse':
      return (
        `The layers differ by ${text(detail.differenceMm)} at most: on these steps they would all be one size. ` +
        'Finer steps, or lean it out more.'
      );
    case 'tie-too-small':
      return (
        `Its tying balloons would be ${text(detail.tieMm)}, under the ${text(detail.leastTieMm)} that are useful. From ` +
        `${text(detail.nearestMm)} on they are large enough.`
      );
    case 'bad-lean':
      return `${detail.least} to ${detail.most} degrees.`;
    case 'bad-mouth':
      return 'No basket of these rings has such an opening.';
    case 'outside-useful':
      return `Outside what this balloon is useful for: ${text(detail.leastMm)} to ${text(detail.mostMm)}.`;
    case 'bad-width':
      return 'A width above nothing.';
    default:
      return 'A length above nothing, please.';
  }
}

/** Why a handle cannot be made, and what would do. */
export function handleProblemText({ code, detail }: Problem<HandleProblemCode>, text: Write): string {
  switch (code) {
    case 'bad-rise':
      return 'Give the handle some height.';
    case 'longer-than-balloon':
      return detail.mostMm > 0
        ? `The balloon is too short for it: at most ${text(detail.mostMm)} high.`
        : 'The balloon does not reach across. Take a longer one.';
  }
}

export const CLOSING_WORDS: Record<OneWrong['state'], { word: string; tone: Tone }> = {
  closes: { word: 'closes', tone: 'good' },
  opens: { word: 'stays open', tone: 'out' },
  buckles: { word: 'buckles', tone: 'out' },
};

/** What one wrong balloon does, in a sentence. */
export function oneWrongText(wrong: OneWrong, movedMm: number, text: Write, fine: Write): string {
  const { state, errorMm, liftMm, ties } = wrong;
  const tied =
    ties.unfit === 0
      ? ''
      : ` ${ties.unfit === 1 ? 'A tying balloon' : `${ties.unfit} tying balloons`} beside it no longer ` +
        `${ties.unfit === 1 ? 'fits' : 'fit'}.`;
  if (state === 'closes') return `The ring’s joints take it up: ${fine(errorMm)} all the way round.${tied}`;
  if (state === 'opens') return `The ring stays open by ${fine(errorMm)} beside it.${tied}`;
  const free = `The ring is ${fine(errorMm)} too long. Left free this balloon is pushed out by ${text(liftMm)}`;
  return `${free}; among soft ones, tied as it is, it moves by ${fine(movedMm)}.${tied}`;
}

/** How a stepped size closes. */
export function closingText(
  { closingMm, ofGive }: { closingMm: number; ofGive: number },
  around: boolean,
  fine: Write,
): string {
  const where = around ? ' all the way round' : '';
  if (Math.abs(closingMm) < 0.05) return `exact${where}`;
  const side = closingMm > 0 ? 'too long' : 'short';
  const single = closingMm > 0 ? 'too wide' : 'too small';
  return `${fine(closingMm)} ${around ? side : single}${where}${ofGive > 1 ? ': does not close' : ''}`;
}

/** What the search over all layers found. */
export function snapText({ worst, roundedWorst, compared }: SnappedForm): string {
  const share = (of: number) => `${Math.round(100 * of)} %`;
  const found = `Of ${compared} sets of steps the best uses up ${share(worst)} of what the joints take up.`;
  return roundedWorst > worst + 0.02
    ? `${found} Each size rounded alone would use up ${share(roundedWorst)}.`
    : `${found} Rounding each size alone does as well here.`;
}

export function formStepText(step: FormStep, form: PieceForm, text: Write): string {
  switch (step.code) {
    case 'tie-spokes':
      return (
        'Tie ' +
        `${step.half ? `${step.chains - 1} chains of four and one of two` : `${step.chains} chains of four`}, ` +
        `${step.balloons} balloons of ${text(step.widthMm)}, neck to tail.`
      );
    case 'twist-middles':
      return `Lay the ${step.chains} chains across each other and twist them together at their middles, twice around.`;
    case 'tie-ring':
      return (
        `${layerTitle(step.key, form)}: link ${step.count} of ${text(step.widthMm)} to a chain, and ` +
        'close it last neck to first tail.'
      );
    case 'seat-ring':
      return step.on === 'spokes'
        ? 'Lay the ring where inner and outer spoke balloons meet: a spoke catches each of its knots. The outer ones stand out.'
        : step.on === 'ends'
          ? 'Set it to the spokes’ ends, a knot at each: it pulls the outer spokes in.'
          : step.on === 'upon'
            ? 'Set it on the ring below, balloon upon balloon, points above points.'
            : 'Set it on the ring below, turned by half a balloon: each sits between two.';
    case 'tie-points':
      return (
        `Tie ${counted(step.count, 'small balloon')} of ${text(step.widthMm)} before the wall, over the points ` +
        'where four meet: they hold spoke and rings together.'
      );
    case 'set-cap':
      return `Close it with one balloon of ${text(step.widthMm)}, tied to two points of the last ring.`;
  }
}

export const FORM_NOTES: Record<FormNote, string> = {
  'twist-between-second-and-third':
    'The twist goes between the second and the third balloon of every chain, or the spokes are uneven.',
  'close-ring-last': 'Count a ring before closing it: one balloon more or less looks right until it is tied.',
  'points-not-balloons':
    'Spokes go to the points of the ring, where two of its balloons are linked, not to its balloons.',
  'half-step': 'Every ring is turned by half a step, always the same way: go by the knots, not by the colours.',
  'equator-first': 'Begin at the equator, the widest ring; build one half on it, turn it over, build the other.',
  'keep-layers-apart': 'Put each size in its own bag with its name on: on the table they look alike.',
};

/** How large a closed form comes out; a basket as it stands. */
export function formSizeText({ shape: { kind }, acrossMm, heightMm, mouthMm }: Form, text: Write): string {
  const inside = mouthMm > 0 ? `, ${text(mouthMm)} clear ${kind === 'wreath' ? 'inside' : 'at its opening'}` : '';
  return `${kind === 'basket' ? 'As it stands' : 'As drawn'} ${text(acrossMm)} across, ${text(heightMm)} high${inside}`;
}

/** How wide a basket stands, what is left open of that, and how much room is in it: the first line says the most. */
export function standsLines(form: Form, { leastMm, mostMm, failing }: StandingAcross, text: Write): string[] {
  const [least, most] = [text(leastMm), text(mostMm)];
  return [
    `${least === most ? `About ${most}` : `${least} to ${most}`} across, by how hard its necks pull.`,
    ...failing.map((necks) => BEYOND[necks]),
    `${text(wellMm(form))} clear between its spokes, where it is narrowest.`,
  ];
}

const BEYOND: Record<StandingAcross['failing'][number], string> = {
  harder:
    'With necks that pull harder than estimated it would not hold like this, and may come out narrower: measure the first one built.',
  softer:
    'With necks that give more than estimated it would not hold like this, and may come out wider: measure the first one built.',
};

/** A lean: "8°", outwards; "3° inwards". */
export function leanText(leanDeg: number): string {
  const whole = Math.round(Math.abs(leanDeg));
  return leanDeg < 0 && whole > 0 ? `${whole}° inwards` : `${whole}°`;
}

/** How a basket's wall leans at rest beside what its rings are sized for. */
export function restingLeanText(restsDeg: number, sizedDeg: number, oneDeg: number): string {
  const sized = `Its rings are sized for a wall that leans out by ${leanText(sizedDeg)}`;
  if (Math.abs(restsDeg - sizedDeg) < oneDeg) return `${sized}, and about so it rests.`;
  return `${sized}; at rest it leans by ${leanText(restsDeg)}.`;
}

/** How a closed form lies as soft bodies: "As soft bodies it comes to rest 15 in across, 10 in high; …" */
export function atRestText({ acrossMm, heightMm }: Form, pulled: number, text: Write): string {
  const necks =
    pulled < LEAST_PULLED
      ? 'no neck is pulled'
      : `the longest neck is pulled by ${Math.round(50 * pulled)} % of its balloon`;
  return `As soft bodies that touch and are tied it comes to rest ${text(acrossMm)} across, ${text(heightMm)} high; ${necks}.`;
}

/** Less is no pull, a share of half the width. */
const LEAST_PULLED = 0.1;

/** How far a swag of whole balloons hangs off what was asked. */
export function lowerText(lowerMm: number, fine: Write): string {
  if (Math.abs(lowerMm) < 0.5) return 'as asked';
  return `${fine(lowerMm)} ${lowerMm > 0 ? 'lower' : 'higher'}: whole balloons`;
}

/** What simulated builds say of the spread that still closes, beside what the formula says of it. */
export function simulatedText(simulated: ClosingSimulation | 'failed' | null, formulaMm: number): string {
  if (simulated === 'failed') return 'no simulated builds could be run here';
  if (!simulated?.sdMm) return 'simulated builds are running';
  const more = Math.round(100 * (simulated.sdMm / formulaMm - 1));
  const bear = more === 0 ? 'as much' : `${Math.abs(more)} % ${more > 0 ? 'more' : 'less'}`;
  return `${simulated.runs.toLocaleString('en')} simulated builds bear ${bear}`;
}

export function fittingText({ count, widthMm, closingMm }: FittingRing, text: Write, fine: Write): string {
  const how = Math.abs(closingMm) < 0.5 ? 'exact' : `${fine(closingMm)} ${closingMm > 0 ? 'too long' : 'short'}`;
  return `${count} of ${text(widthMm)}, ${how}`;
}

/** What hangs. */
export type HungForm = 'chain' | 'swag' | 'curtain';

const HUNG_WORDS: Record<HungForm, string> = { chain: 'Chain', swag: 'Swag', curtain: 'Chain' };

/** "All 12 chains". */
export const allHungText = (form: HungForm, chains: number): string =>
  `All ${counted(chains, HUNG_WORDS[form].toLowerCase())}`;

/** "Chain 3 of 12, 1 ft 4 in from the first: 18 balloons". */
export function hungStepText({
  form,
  step,
  steps,
  aside,
  balloons,
}: {
  form: HungForm;
  step: number;
  steps: number;
  /** How far from the first it hangs; null where it hangs at the same place. */
  aside: string | null;
  balloons: number;
}): string {
  const place = aside === null ? '' : `, ${aside} from the first`;
  return `${HUNG_WORDS[form]} ${step + 1} of ${steps}${place}: ${counted(balloons, 'balloon')}`;
}

/** What is said of a hanging piece as it came out once: "it is 8 ft long". */
export function onceHungText(
  form: HungForm,
  topMm: number,
  { lowestMm, highestMm }: { lowestMm: number; highestMm: number },
  text: (mm: number) => string,
): string {
  switch (form) {
    case 'chain':
      return `it is ${text(topMm - lowestMm)} long`;
    case 'swag':
      return `it hangs down to ${text(lowestMm)} above the floor`;
    case 'curtain':
      return `its chains end from ${text(lowestMm)} to ${text(highestMm)} above the floor`;
  }
}
