export * from './code';
export * from './helix';
export * from './joiner';
export * from './length';
export * from './pole';
export * from './shapes';
export * from './spray';
