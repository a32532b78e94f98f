export * from './adjustable';
export { CONSTANT_GROUPS, type ConstantGroup, type ConstantOrigin } from './constants';
