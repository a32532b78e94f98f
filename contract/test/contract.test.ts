import { checkResultSchema, pathOf, readingCreateSchema, ROUTES, sizerCreateSchema } from '../src';

const id = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a';
const reading = {
  id, calibrationId: id, dose: 3, widthMm: 101.6, heightMm: null, sdMm: null, shape: null, outcome: 'ok',
  takenAt: '2026-11-16T17:00:00.000Z',
}; // prettier-ignore

describe('the route table', () => {
  it('gives every route an address under /api that no other has', () => {
    const addresses = Object.values(ROUTES).map(({ method, path }) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
    expect(addresses.every((address) => address.includes(' /api/'))).toBe(true);
  });

  it('parses what it writes, and deletes without a body', () => {
    for (const [name, route] of Object.entries(ROUTES)) {
      const writes = /^(create|change|accept)/.test(name);
      expect(['request' in route, name]).toEqual([writes, name]);
    }
  });

  it('fills an id into a path so that it stays one segment', () => {
    expect(pathOf('readModel', 'a/../b')).toBe('/api/models/a%2F..%2Fb');
  });
});

describe('records', () => {
  it('want a width unless the balloon burst', () => {
    expect(readingCreateSchema.safeParse(reading).success).toBe(true);
    expect(readingCreateSchema.safeParse({ ...reading, widthMm: null }).success).toBe(false);
    expect(readingCreateSchema.safeParse({ ...reading, widthMm: null, outcome: 'burst' }).success).toBe(true);
  });

  it('want one answer for a balloon, not two and not none', () => {
    const result = { id, checkId: id, position: 0, answer: 'stops', widthMm: null, takenAt: reading.takenAt };
    expect(checkResultSchema.safeParse(result).success).toBe(true);
    expect(checkResultSchema.safeParse({ ...result, widthMm: 250 }).success).toBe(false);
    expect(checkResultSchema.safeParse({ ...result, answer: null }).success).toBe(false);
  });

  it('name the hole that is there twice', () => {
    const hole = { id, label: '9', widthMm: 228.6 };
    const parsed = sizerCreateSchema.safeParse({
      id,
      name: 'Plate',
      holes: [hole, { ...hole, label: 'nine' }],
    });
    expect(parsed.error?.issues.map(({ path }) => path.join('.'))).toEqual(['holes.1.widthMm']);
  });
});
