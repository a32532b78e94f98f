/** Charts that tell chance from a change, and what a change is due to. */
export * from './changePoint';
export * from './chart';
export * from './compareHands';
export * from './runRules';
export * from './soundLimits';
export * from './whatMoved';
