export * from './incompleteBeta';
export * from './leastSquares';
export * from './monotoneRegression';
export * from './normal';
export * from './random';
export * from './shareInterval';
export * from './studentT';
