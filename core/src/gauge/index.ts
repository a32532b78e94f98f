export * from './chooseHole';
export * from './goNoGo';
export * from './hole';
export * from './printedScale';
export * from './squeeze';
