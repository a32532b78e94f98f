import type { BuiltMeasure } from '@leggero/contract';
import type { SiteStepKind, SiteTime } from '@leggero/core/site';

import type { ComingBack } from '@/views/comingBack';

import { counted } from './trade';

/** The parts of an event's site page. */
export const SITE_PARTS = [
  { value: 'look', title: 'Look at' },
  { value: 'right', title: 'Put right' },
  { value: 'built', title: 'As built' },
  { value: 'back', title: 'Take back' },
] as const;
export type SitePart = (typeof SITE_PARTS)[number]['value'];

/** Why a file was not kept as a photo, and what to do. */
export const PHOTO_PROBLEMS = {
  'too-large': 'This file is over 40 MB: take the photo smaller, or choose another.',
  'no-picture': 'This file is no picture that can be read here: take a JPEG or a PNG.',
} as const;

/** Along what a piece is measured: what that is called, and from where to where. */
export const MEASURE_WORDS: Record<BuiltMeasure, { title: string; how: string }> = {
  high: { title: 'high', how: 'Straight up, from its lowest point to its highest.' },
  wide: { title: 'wide', how: 'From side to side, where it is widest.' },
  along: { title: 'long', how: 'Along it, from its first balloon to its last.' },
};

/** Of a stack its layers alone are measured. */
export const LAYERS_HIGH = 'high, its layers alone';

/** "5 ft 11 in came out, 1 in less than drawn" */
export function builtText(
  { drawnMm, builtMm }: { drawnMm: number; builtMm: number },
  { text, fine, stepMm }: { text: (mm: number) => string; fine: (mm: number) => string; stepMm: number },
): string {
  const off = builtMm - drawnMm;
  const by =
    Math.abs(off) < stepMm ? 'as it was drawn' : `${fine(Math.abs(off))} ${off > 0 ? 'more' : 'less'} than drawn`;
  return `${text(builtMm)} came out, ${by}`;
}

/** "108 went out, 97 filled, 1 repair" */
export const outText = ({ out, used, tapped, repaired }: Omit<ComingBack, 'model' | 'left'>): string =>
  `${out} went out, ${tapped ? `${used} filled` : `its pieces take ${used}`}${repaired === 0 ? '' : `, ${counted(repaired, 'repair')}`}`;

export const TIME_WORDS: Record<SiteTime, string> = {
  before: 'Before you go',
  there: 'When you arrive',
  piece: 'At each piece',
  leaving: 'Before you leave',
  down: 'Taking it down',
};

/** What to look at, and why. Reminders: local rules and licensed practice decide. */
export const STEP_WORDS: Record<SiteStepKind, { title: string; note: string }> = {
  latex: { title: 'Latex is asked for', note: 'Someone there may be allergic; hospitals and care homes always ask' },
  fits: { title: 'It goes through door and lift', note: 'The largest part, bagged, as it travels' },
  power: { title: 'Where power lines run is known', note: 'Foil carries current' },
  permission: { title: 'The venue allows the fixings', note: 'Hooks, tape, anything overhead, anything outdoors' },
  exits: { title: 'Exits and signs stay clear', note: 'Also with people in the room' },
  sprinklers: { title: 'Sprinklers and detectors stay free', note: 'Local fire code decides on distance and material' },
  ceiling: { title: 'The ceiling is as measured', note: 'No hot lamps, no rough edges near the top' },
  heat: { title: 'Nothing stands in sun or at a heater', note: 'Air expands: let a little out where it gets warm' },
  static: { title: 'Static is low', note: 'Dry rooms and carpet pop balloons: moisten hands and air' },
  wind: { title: 'The wind is low, and stays so', note: 'In strong wind it comes down: say who decides' },
  ground: { title: 'The ground is even and free of sharp things', note: 'Thorns, gravel, hot paving' },
  straight: { title: 'It stands straight', note: 'From the bottom up, looked at from two sides' },
  weighed: { title: 'It is weighed down', note: 'Pushed at the top it comes back' },
  ballast: {
    title: 'Frame and ballast are as someone responsible sized them',
    note: 'Tied to the base, not to balloons',
  },
  fixings: { title: 'Each fixing holds', note: 'Pressed ten seconds, then pulled by hand' },
  rigger: { title: 'What hangs overhead is a rigger’s', note: 'Or a licensed contractor’s, by the venue’s rules' },
  ladder: { title: 'The ladder stands, and someone holds it', note: 'Never on the top two rungs' },
  walls: { title: 'Paint is protected', note: 'Painter’s tape under hooks; a glossy wall wants more' },
  foil: { title: 'Foil is tied down', note: 'And far from lines and lamps' },
  gaps: { title: 'Gaps are filled, necks turned in', note: 'Looked at from where guests come in' },
  broken: { title: 'Every broken piece is picked up', note: 'They choke small children' },
  tied: { title: 'Line, blades and ladders are away', note: 'Nothing hangs down that a child can pull' },
  reach: { title: 'Someone knows whom to call', note: 'If one pops, or it has to come down' },
  release: { title: 'Nothing is let fly', note: 'Helium balloons are cut and emptied inside' },
  'pick-up': { title: 'All pieces are picked up', note: 'Also under furniture and outdoors' },
  back: { title: 'What goes back is counted', note: 'Poles, plates, frames, weights, whole balloons' },
};

/** "7 of 18 looked at". */
export const lookedText = (done: number, all: number): string => `${done} of ${all} looked at`;
