export * from './needs';
export * from './recipeOf';
export * from './work';
