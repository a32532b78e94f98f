export * from './bubbleStuffing';
export * from './pressure';
export * from './skinStuffing';
export * from './sphereInClear';
