export * from './bags';
export * from './costOf';
export * from './hoursFor';
export * from './lossLaw';
export * from './shareOut';
export * from './sparesFor';
export * from './stock';
