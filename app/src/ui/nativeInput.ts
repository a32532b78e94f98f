/** How a field of the browser's own looks: as every other field, and by the theme that is on. */
export const nativeInput = (wrong: boolean): string =>
  'box-border min-h-[48px] w-full rounded-card border bg-surface px-3 font-body text-[16px] text-ink ' +
  `dark:[color-scheme:dark] ${wrong ? 'border-out' : 'border-line'}`;
