/** For whoever calibrates: what to read next, what readings of two balloons, ways or nozzles say of one another. */
export * from './nextReading';
export * from './compareModels';
export * from './preparation';
export * from './nozzles';
