export * from './constants';
