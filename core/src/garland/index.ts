export * from './cluster';
export * from './knotLine';
export * from './packGarland';
export * from './relax';
export * from './strip';
