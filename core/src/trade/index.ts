export * from './trade';
