export * from './bisect';
export * from './monotoneCurve';
export * from './rootWithin';
export * from './settle';
