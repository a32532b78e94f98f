export * from './handPump';
