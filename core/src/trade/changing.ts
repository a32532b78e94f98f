export * from './adjustable';
export { CONSTANT_GROUPS, CONSTANTS, type ConstantGroup, type ConstantOrigin } from './constants';
