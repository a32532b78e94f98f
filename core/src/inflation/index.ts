/** An inflation run: what is made at its stations, how fast, and when to look. */
export * from './beats';
export * from './checkDue';
export * from './doseChange';
export * from './kinds';
export * from './pace';
export * from './progress';
