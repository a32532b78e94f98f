export * from './formatLength';
export * from './length';
export * from './parseLength';
export * from './readNumber';
