/**
 * A test that simulates or searches by brute force: as `it`, and left out of `npm run mutate`, where it would be run
 * against nearly every mutant and take most of the time.
 */
export const simulated: jest.It = 'quick' in globalThis ? it.skip : it;
