export * from './bisect';
export * from './rootWithin';
export * from './settle';
