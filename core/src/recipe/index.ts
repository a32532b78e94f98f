export * from './needs';
export * from './piecesTook';
export * from './recipeOf';
export * from './work';
