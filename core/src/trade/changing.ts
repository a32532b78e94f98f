export * from './adjustable';
export { CONSTANT_GROUPS, CONSTANTS, type ConstantGroup } from './constants';
