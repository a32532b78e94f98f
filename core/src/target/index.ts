export * from './resolveTarget';
export * from './standing';
export * from './tier';
