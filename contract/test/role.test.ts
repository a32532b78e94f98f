import { isAtLeast, mayRead, mayWrite, NOUN_NAMES, NOUNS, ROLES, type NounName } from '../src';

describe('a role', () => {
  it('may all that the one before it may', () => {
    for (const [at, role] of ROLES.entries())
      for (const noun of NOUN_NAMES)
        for (const above of ROLES.slice(at)) {
          expect(isAtLeast(above, role)).toBe(true);
          if (mayRead(role, noun)) expect([above, noun, mayRead(above, noun)]).toEqual([above, noun, true]);
          if (mayWrite(role, noun)) expect([above, noun, mayWrite(above, noun)]).toEqual([above, noun, true]);
        }
    expect(isAtLeast('helper', 'maker')).toBe(false);
  });

  it('of a helper writes nothing that they do not see', () => {
    for (const noun of NOUN_NAMES) if (mayWrite('helper', noun)) expect(mayRead('helper', noun)).toBe(true);
    expect(mayWrite('helper', 'tally')).toBe(true);
    for (const noun of ['event', 'piece', 'inflation', 'model', 'reading', 'studio'] as const)
      expect(mayWrite('helper', noun)).toBe(false);
    for (const noun of ['person', 'bag', 'stockEntry', 'eyeCheck', 'turnHands'] as const)
      expect(mayRead('helper', noun)).toBe(false);
  });

  it('of an owner alone writes what the whole studio rests on', () => {
    const alone = NOUN_NAMES.filter((noun) => mayWrite('owner', noun) && !mayWrite('planner', noun));
    expect(alone).toEqual(['studio', 'constant']);
    expect(NOUN_NAMES.every((noun) => mayWrite('owner', noun))).toBe(true);
  });
});

describe('what a helper has of a noun', () => {
  it('leads to their event, by fields that never point elsewhere afterwards', () => {
    const leads = (noun: NounName): boolean => {
      const { forHelper, refs, change } = NOUNS[noun];
      if (typeof forHelper !== 'object') return false;
      if (noun === 'event') return forHelper.by === 'id';
      const parent = (refs as Record<string, { to: string }>)[forHelper.by]?.to as NounName | undefined;
      // A piece may go to another event: it is that event's then, with all that hangs on it.
      const stays = noun === 'piece' || !(change as readonly string[]).includes(forHelper.by);
      return parent !== undefined && stays && leads(parent);
    };
    const hanging = NOUN_NAMES.filter((noun) => typeof NOUNS[noun].forHelper === 'object');
    expect(hanging.length).toBeGreaterThan(10);
    expect(hanging.filter((noun) => !leads(noun))).toEqual([]);
  });
});
