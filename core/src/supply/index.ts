export * from './bags';
export * from './costOf';
export * from './hoursFor';
export * from './lossLaw';
export * from './sparesFor';
export * from './stock';
