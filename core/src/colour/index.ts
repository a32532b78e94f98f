export * from './oklab';
export * from './stretchedColour';
export * from './stuffedColour';
