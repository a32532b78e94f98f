export * from './chooseNominal';
export * from './limits';
export * from './resolveTarget';
export * from './showing';
export * from './standing';
export * from './tier';
