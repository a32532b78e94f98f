export * from './fitCalibration';
export * from './nextReading';
export * from './predict';
export * from './reading';
export * from './shapeLaw';
