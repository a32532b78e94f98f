/** Plans backwards from an opening: what must be begun when, what is critical, what would have to give. */
export * from './eventSchedule';
export * from './eventSteps';
export * from './kinds';
export * from './placeSteps';
export * from './scheduleBack';
export * from './slipOf';
export * from './stepOrder';
export * from './whatGives';
