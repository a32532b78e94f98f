export * from './inflator';
