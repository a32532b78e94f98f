import { PIECE_FORMS } from '@leggero/contract';

import { FORM_WORDS } from './pieces';
import type { Hit } from './search';
import { SHELF_TOOLS, type PageWords } from './shelfTools';

/** What is done with a studio's sizers. */
export const SIZER_TOOLS = {
  holes: {
    href: '/gauges/holes',
    title: 'Find a hole',
    note: 'For any width: hole, gap, and what the nearest costs',
    called: 'which hole nearest missing',
  },
  make: {
    href: '/gauges/make',
    title: 'Make a sizer',
    note: 'Plate, jaws, rings or box, for printer and laser',
    called: 'cut build wood cardboard foam svg dxf pdf 3d plans drawing',
  },
  compare: {
    href: '/gauges/compare',
    title: 'Compare sizers',
    note: 'Does one match another, or the crew’s?',
    called: 'same match two difference crew',
  },
} as const satisfies Record<string, PageWords>;

/** What else stands among the gauges. */
export const GAUGE_TOOLS = [
  {
    href: '/gauges/eye',
    title: 'Test the eye',
    note: 'Is it good enough, and for what kind of work?',
    called: 'by eye eyeballing guess judge without measuring practice train spread',
  },
  {
    href: '/gauges/studies',
    title: 'Study the sizing',
    note: 'How far two people read one balloon apart',
    called: 'repeatability reproducibility two people agree measuring error',
  },
  {
    href: '/gauges/translate',
    title: 'Translate a recipe',
    note: 'One pump’s strokes into widths and another’s doses',
    called: 'convert strokes seconds other pump tutorial',
  },
] as const satisfies readonly PageWords[];

const PLACE_PAGES: readonly PageWords[] = [
  { href: '/bench', title: 'Bench', note: 'What to do next', called: 'home today start first order' },
  { href: '/shelf', title: 'Shelf', note: 'Every balloon and its target', called: 'models list all stock brands' },
  { href: '/gauges', title: 'Gauges', note: 'Sizers, pumps and the eye', called: 'tools equipment' },
  { href: '/builds', title: 'Builds', note: 'Events and their pieces, to scale', called: 'designs projects jobs' },
  {
    href: '/studio',
    title: 'Studio',
    note: 'Lengths, tiers, workroom, theme',
    called: 'settings preferences inches centimetres metric rounding dark mode evening temperature altitude weather',
  },
];

const STUDIO_PAGES: readonly PageWords[] = [
  {
    href: '/studio/numbers',
    title: 'Numbers of the trade',
    note: 'What all figures rest on, and yours in place of them',
    called:
      'constants constant assumptions coefficients parameters default defaults tolerance limit aspect loss joint stroke ' +
      'margin uncertainty rules advanced',
  },
];

const NEW_PAGES: readonly PageWords[] = [
  {
    href: '/start',
    title: 'The first minutes',
    note: 'From an empty studio to a first target',
    called: 'begin start set up onboarding guide help tutorial how',
  },
  { href: '/shelf/new', title: 'Add a balloon', note: 'Line, size, colour', called: 'new model create' },
  { href: '/gauges/sizers/new', title: 'Add a sizer', note: 'The plate or box you size with', called: 'new create' },
  { href: '/gauges/pumps/new', title: 'Add a pump or inflator', note: 'What you fill with', called: 'new create' },
  {
    href: '/gauges/eye/new',
    title: 'Start a session by eye',
    note: 'Twelve balloons, no sizer',
    called: 'new test the eye',
  },
  {
    href: '/builds/events/new',
    title: 'Plan an event',
    note: 'Where, when, and the pieces for it',
    called: 'new create client job booking party wedding date venue',
  },
  ...PIECE_FORMS.map((form) => ({
    href: `/builds/new?form=${form}`,
    title: `Draw up a ${FORM_WORDS[form].title.toLowerCase().replace(/s$/, '')}`,
    note: FORM_WORDS[form].note,
    called: 'new design piece create',
  })),
];

/** Every page that can be opened without choosing a record first. */
export const PAGES: readonly PageWords[] = [
  ...SHELF_TOOLS,
  ...Object.values(SIZER_TOOLS),
  ...GAUGE_TOOLS,
  ...NEW_PAGES,
  ...STUDIO_PAGES,
  ...PLACE_PAGES,
];

/** A page as it is shown when it is found. */
export function pageHit({ href, title, note }: PageWords): Hit {
  return { kind: 'page', id: href, href, title, note };
}

/** What can be done with one thing, as its pages offer it. */
export interface ThingTool {
  title: string;
  /** The words that ask for it. */
  called: string;
  hrefOf: (id: string) => string;
}

/** With a balloon that has a width. */
export const BALLOON_TOOLS = {
  check: { title: 'Check a batch', called: 'check checking batch sample control', hrefOf: (id) => `/shelf/${id}` },
  read: {
    title: 'Add a reading',
    called: 'add reading readings calibrate calibration measure',
    hrefOf: (id) => `/shelf/${id}/reading`,
  },
  hold: {
    title: 'Test how long it holds',
    called: 'hold holds holding last lasts float overnight deflate deflating',
    hrefOf: (id) => `/shelf/${id}/hold`,
  },
  stuff: { title: 'Stuff it', called: 'stuff stuffing pair double inside', hrefOf: (id) => `/shelf/pair?outer=${id}` },
  compare: {
    title: 'Compare it',
    called: 'compare comparing substitute replace instead',
    hrefOf: (id) => `/shelf/compare?a=${id}`,
  },
  translate: {
    title: 'Translate a recipe for it',
    called: 'translate convert recipe',
    hrefOf: (id) => `/gauges/translate?model=${id}`,
  },
  print: { title: 'Print its targets', called: 'print sheet pdf paper', hrefOf: (id) => `/shelf/sheet?model=${id}` },
  finish: { title: 'Colour and shine', called: 'colour color shine pale', hrefOf: (id) => `/shelf/${id}/finish` },
  change: {
    title: 'Change its details',
    called: 'change edit rename delete remove',
    hrefOf: (id) => `/shelf/${id}/edit`,
  },
} as const satisfies Record<string, ThingTool>;

/** With a sizer. */
export const ONE_SIZER_TOOLS = {
  check: { title: 'Check this sizer', called: 'check checking measure', hrefOf: (id) => `/gauges/sizers/${id}/check` },
  squeeze: {
    title: 'Learn its squeeze',
    called: 'learn squeeze soft',
    hrefOf: (id) => `/gauges/sizers/${id}/squeeze`,
  },
} as const satisfies Record<string, ThingTool>;

/** With a pump. */
export const PUMP_TOOLS = {
  translate: {
    title: 'Translate its doses',
    called: 'translate convert recipe strokes',
    hrefOf: (id) => `/gauges/translate?from=${id}`,
  },
} as const satisfies Record<string, ThingTool>;
