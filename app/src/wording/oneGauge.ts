import type { ThingTool } from './thingTools';

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
