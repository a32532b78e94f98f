import { siteSteps, type SitePiece } from '../src/site';

const piece = (id: string, by: Partial<SitePiece> = {}): SitePiece => ({
  ...{ id, hung: false, stands: false, onWall: false, foil: false },
  ...by,
});
const kinds = (outdoors: boolean, pieces: SitePiece[], time?: string) =>
  siteSteps({ outdoors, pieces })
    .filter((step) => time === undefined || step.time === time)
    .map(({ kind }) => kind);

describe('the list of a place (common practice)', () => {
  it('asks of latex, exits and broken pieces, wherever it is', () => {
    for (const outdoors of [true, false])
      expect(kinds(outdoors, [])).toEqual(expect.arrayContaining(['latex', 'exits', 'broken', 'release', 'pick-up']));
  });

  it('asks of sprinklers, ceiling and static within, of wind and ground without', () => {
    expect(kinds(false, [], 'there')).toEqual(expect.arrayContaining(['sprinklers', 'ceiling', 'static']));
    expect(kinds(true, [], 'there')).toEqual(['exits', 'heat', 'wind', 'ground']);
  });

  it('asks of each piece what it needs: weight where it stands, ballast outdoors, a rigger where it hangs', () => {
    const pieces = [piece('a', { stands: true }), piece('b', { hung: true, onWall: true })];
    expect(kinds(false, pieces, 'piece')).toEqual(['straight', 'weighed', 'fixings', 'rigger', 'ladder', 'walls']);
    expect(kinds(true, pieces, 'piece')).toContain('ballast');
    expect(kinds(false, pieces, 'before')).toContain('permission');
    expect(kinds(false, [piece('a', { stands: true })], 'before')).not.toContain('permission');
  });

  it('asks of power lines where there is foil', () => {
    const foil = [piece('a', { stands: true, foil: true })];
    expect(kinds(true, foil)).toEqual(expect.arrayContaining(['power', 'foil']));
    expect(kinds(false, foil)).not.toContain('foil');
  });

  it('names each step once', () => {
    const steps = siteSteps({
      outdoors: true,
      pieces: ['a', 'b', 'c'].map((id) => piece(id, { stands: true, hung: true })),
    });
    expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
  });
});
