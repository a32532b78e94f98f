export * from './afterNight';
export * from './atmosphere';
export * from './hold';
export * from './standingNow';
export * from './surroundings';
