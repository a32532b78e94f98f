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
  stock: {
    title: 'Stock',
    called: 'stock bag bags bought buy count losses lost price ledger',
    hrefOf: (id) => `/shelf/${id}/stock`,
  },
  log: {
    title: 'Sizes over time',
    called: 'log logbook history drift steady chart sizes',
    hrefOf: (id) => `/logbook/${id}`,
  },
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
