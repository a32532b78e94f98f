export * from './decor';
export * from './printShift';
export * from './splitInTwo';
