export * from './atmosphere';
export * from './hold';
export * from './surroundings';
