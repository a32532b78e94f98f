export * from './cluster';
export * from './garlandPath';
export * from './kinds';
export * from './knotLine';
export * from './packGarland';
export * from './relax';
export * from './strip';
export * from './gaps';
