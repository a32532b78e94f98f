export * from './helium';
