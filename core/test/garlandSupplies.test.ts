import { TRADE } from '../src';
import { garlandSupplies, JOINED_BY, type ClusterKind } from '../src/garland';
import { joinersFor } from '../src/modelling';
import { inch, value } from './results';

const QUADS: ClusterKind[] = Array.from({ length: 12 }, () => [{ nominalMm: inch(11), widthMm: inch(10), count: 4 }]);
const size = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
const asked = { clusters: QUADS, strip: false, over: 4, fixings: 3, hollows: 16, size };

describe('what a garland takes beside its balloons', () => {
  /** Common practice: about 3 ft of line for a fixing or a cluster, one or two glue dots for a 5 in. */
  it('is 3 ft of line for each fixing, and for each join where line joins them; two glue dots for a decorator', () => {
    const feet = (by: (typeof JOINED_BY)[number]) => garlandSupplies({ ...asked, by }).lineMm / inch(12);
    expect(feet('necks')).toBeCloseTo(9, 9);
    expect(feet('modelling')).toBeCloseTo(9, 9);
    // Eleven joins along it, four over it, three fixings.
    expect(feet('line')).toBeCloseTo(3 * (11 + 4 + 3), 9);
    for (const by of JOINED_BY) expect(garlandSupplies({ ...asked, by }).glueDots).toBe(32);
  });

  it('is a band for each join, or halves of modelling balloons as its own tool counts them', () => {
    expect(garlandSupplies({ ...asked, by: 'bands' })).toMatchObject({ bands: 15, modelling: 0 });
    const { modelling } = garlandSupplies({ ...asked, by: 'modelling' });
    const tool = value(joinersFor({ size, clusters: 16, way: 'loop', halved: true }));
    expect(modelling).toBe(tool.balloons);
    // Half a one is enough for a join, often for more.
    expect(modelling).toBeLessThanOrEqual(8);
    expect(garlandSupplies({ ...asked, by: 'necks' })).toMatchObject({ bands: 0, modelling: 0 });
  });

  it('is only what is tied over it in a strip, and nothing where nothing is', () => {
    expect(garlandSupplies({ ...asked, by: 'bands', strip: true }).bands).toBe(4);
    const bare = { ...asked, strip: true, over: 0, fixings: 0, hollows: 0 };
    for (const by of JOINED_BY)
      expect(garlandSupplies({ ...bare, by })).toEqual({ modelling: 0, lineMm: 0, bands: 0, glueDots: 0 });
    expect(garlandSupplies({ ...bare, by: 'line', hollows: 3, trade: { ...TRADE, glueDots: 1.5 } }).glueDots).toBe(5);
  });
});
