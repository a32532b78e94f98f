import colours from './palette.json';

/** The palette as drawings need it; classes take the same values, by tailwind.config.js. */
export type Palette = typeof colours.day;

export const DAY: Palette = colours.day;
export const EVENING: Palette = colours.evening;
