export * from './judgeBatch';
