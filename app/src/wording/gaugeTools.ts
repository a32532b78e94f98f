import type { PageWords } from './shelfTools';

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
