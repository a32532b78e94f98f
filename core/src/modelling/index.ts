export * from './code';
export * from './joiner';
export * from './length';
export * from './pole';
export * from './shapes';
export * from './wrapFilled';
