export * from './chooseHole';
export * from './goNoGo';
export * from './hole';
export * from './proposeSizes';
export * from './samplingPlan';
export * from './squeeze';
export * from './template';
