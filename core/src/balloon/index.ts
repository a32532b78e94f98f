export * from './circumference';
export * from './model';
export * from './shape';
export * from './silhouette';
export * from './volume';
