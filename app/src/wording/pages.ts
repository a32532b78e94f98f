import { PIECE_FORMS } from '@leggero/contract';

import { FORM_WORDS } from './pieces';
import type { Hit } from './search';
import { GAUGE_TOOLS, SIZER_TOOLS } from './gaugeTools';
import { SHELF_TOOLS, type PageWords } from './shelfTools';

const PLACE_PAGES: readonly PageWords[] = [
  { href: '/bench', title: 'Bench', note: 'What to do next', called: 'home today start first order' },
  { href: '/shelf', title: 'Shelf', note: 'Every balloon and its target', called: 'models list all stock brands' },
  { href: '/gauges', title: 'Gauges', note: 'Sizers, pumps and the eye', called: 'tools equipment' },
  { href: '/builds', title: 'Builds', note: 'Events and their pieces, to scale', called: 'designs projects jobs' },
  {
    href: '/logbook',
    title: 'Logbook',
    note: 'What came out, and what it teaches',
    called: 'log history drift control chart statistics losses paces records past',
  },
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
  {
    href: '/studio/crew',
    title: 'Who works here',
    note: 'Parts, invitations, codes for a new password',
    called: 'crew team members people roles permissions invite users accounts sharing',
  },
  {
    href: '/studio/trail',
    title: 'Who changed what',
    note: 'Everything that was done, and the way back',
    called: 'audit trail history undo restore log activity versions deleted mistake revert',
  },
  {
    href: '/studio/backups',
    title: 'Backups',
    note: 'One file with everything, and those made each night',
    called: 'backup save export safe restore recover copy download archive',
  },
  {
    href: '/studio/account',
    title: 'Your account',
    note: 'Devices, password, your studios',
    called: 'sign out log out logout password profile session sessions devices security',
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

/**
 * Every page that can be opened without choosing a record first: what search knows of pages, and so of no use before
 * anything is sought.
 */
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
