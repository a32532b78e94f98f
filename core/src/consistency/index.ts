export * from './judgeBatch';
export * from './pairMismatch';
export * from './work';
export * from './sizeSpread';
