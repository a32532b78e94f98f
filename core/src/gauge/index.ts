export * from './chooseHole';
