export * from './eyeCheck';
export * from './judgeBatch';
export * from './pairMismatch';
export * from './sizingStudy';
export * from './work';
