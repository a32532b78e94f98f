export * from './judgeBatch';
export * from './pairMismatch';
export * from './work';
