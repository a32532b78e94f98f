/** A page that has an address of its own: its name, what it is for, and what else people may call it. */
export interface PageWords {
  href: string;
  title: string;
  note: string;
  called: string;
}

/** What the whole shelf is good for. */
export const SHELF_TOOLS = [
  {
    href: '/shelf/find',
    title: 'Find a balloon for a width',
    note: 'Which nominal suits, and which does not',
    called: 'choose nominal which size to buy',
  },
  {
    href: '/shelf/compare',
    title: 'Compare two balloons',
    note: 'Or let one stand in for the other',
    called: 'side by side difference brand maker substitute replace swap out of stock',
  },
  {
    href: '/shelf/pair',
    title: 'Pair two balloons',
    note: 'One inside the other, filled as one',
    called: 'stuffing colour layering custom colour',
  },
  {
    href: '/shelf/bubble',
    title: 'Fill a bubble',
    note: 'Gas in the gap: any one width from the other two',
    called: 'stretchy clear ball insert helium gap',
  },
  {
    href: '/shelf/orb',
    title: 'Foil sphere in clear latex',
    note: 'When to let air out, and the gap to keep',
    called: 'orb ball globe mirror inside clear',
  },
  {
    href: '/shelf/stock',
    title: 'Stock of all balloons',
    note: 'What is there, and as CSV',
    called: 'inventory count bags ledger price spreadsheet csv',
  },
  {
    href: '/shelf/sheet',
    title: 'Target sheets',
    note: 'Print, or save as PDF',
    called: 'list table wall chart printout',
  },
  {
    href: '/shelf/files',
    title: 'Files in and out',
    note: 'Readings, whole calibrations, everything',
    called: 'import export csv json backup download spreadsheet restore',
  },
] as const satisfies readonly PageWords[];
