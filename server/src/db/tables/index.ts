/** Every table, room by room. */
export * from './accounts';
export * from './builds';
export * from './checks';
export * from './crew';
export * from './deeds';
export * from './eyes';
export * from './gauges';
export * from './inflation';
export * from './shelf';
export * from './site';
export * from './stock';
export * from './studio';
