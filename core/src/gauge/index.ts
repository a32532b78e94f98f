export * from './chooseHole';
export * from './goNoGo';
export * from './hole';
export * from './printedScale';
export * from './samplingPlan';
export * from './squeeze';
