import {
  partedPair,
  balloonRubber,
  highestPressure,
  humpOf,
  pressureCurve,
  relativePressure,
  skinsPressureKPa,
  unequalPair,
  type RubberModel,
} from '../src/stuffing';

const at = (stretch: number, model: RubberModel) => {
  const found = relativePressure({ stretch, model });
  if (!found.ok) throw new Error(found.problem.code);
  return found.value;
};
const neo: RubberModel = { law: 'neo-hookean' };
const mooney = (ratio: number): RubberModel => ({ law: 'mooney-rivlin', ratio });
/** The highest and, after it, lowest place of a curve by looking everywhere. */
const scanned = (model: RubberModel) => {
  const places = Array.from({ length: 60_000 }, (_, i) => 1 + i / 10_000);
  const rising = places.findIndex((x, i) => i > 0 && at(x, model) < at(places[i - 1]!, model));
  const falling = places.findIndex((x, i) => i > rising && rising > 0 && at(x, model) > at(places[i - 1]!, model));
  return { hump: rising > 0 ? places[rising - 1]! : null, dip: falling > 0 ? places[falling - 1]! : null };
};

describe('pressure in a rubber sphere', () => {
  it('is nought unstretched, and refuses less', () => {
    expect(at(1, neo)).toBe(0);
    expect(relativePressure({ stretch: 0.9, model: neo })).toMatchObject({
      ok: false,
      problem: { code: 'bad-stretch', field: 'stretch' },
    });
    expect(relativePressure({ stretch: 2, model: mooney(-1) })).toMatchObject({
      problem: { code: 'bad-ratio' },
    });
  });

  /**
   * The classic result of neo-Hookean membranes: the maximum lies at a stretch of 7^(1/6) = 1.383, at (6/7) 7^(-1/6).
   */
  it('has its neo-Hookean maximum at 7^(1/6)', () => {
    const turns = humpOf(neo)!;
    expect(turns.hump.stretch).toBeCloseTo(7 ** (1 / 6), 9);
    expect(turns.hump.pressure).toBeCloseTo((6 / 7) * 7 ** (-1 / 6), 9);
    expect(turns.dip).toBeNull();
    expect(scanned(neo).hump).toBeCloseTo(7 ** (1 / 6), 3);
  });

  /**
   * Thin Mooney-Rivlin spheres lose their hump from C2/C1 = 0.21446 on: A. Goriely, M. Destrade, M. Ben Amar,
   * Instabilities in elastomers and in soft tissues, Quarterly Journal of Mechanics and Applied Mathematics 59
   * (2006).
   */
  it('loses its hump at the published ratio of 0.21446', () => {
    expect(humpOf(mooney(0.2144))).not.toBeNull();
    expect(humpOf(mooney(0.2145))).toBeNull();
    // By a search of its own, to five digits.
    let [low, high] = [0.1, 0.3];
    for (let i = 0; i < 40; i += 1) {
      const middle = (low + high) / 2;
      if (humpOf(mooney(middle))) low = middle;
      else high = middle;
    }
    expect(low).toBeCloseTo(0.21446, 5);
  });

  it.each([0.02, 0.05, 0.1, 0.2])('finds hump and dip where a plain search finds them, for a ratio of %p', (ratio) => {
    const turns = humpOf(mooney(ratio))!;
    const found = scanned(mooney(ratio));
    expect(turns.hump.stretch).toBeCloseTo(found.hump!, 3);
    if (found.dip) expect(turns.dip!.stretch).toBeCloseTo(found.dip, 3);
    else expect(turns.dip!.stretch).toBeGreaterThan(6.9);
  });
});

/** Common practice: two balloons on two nozzles of one pump fill unequally. */
describe('two balloons that share one gas', () => {
  const turns = humpOf(balloonRubber())!;

  it('part at one pressure, below the hump, on a curve that starts empty and ends past the larger', () => {
    const { smaller, larger, curve, highest } = partedPair({ points: 41 })!;
    expect(smaller.pressure).toBeCloseTo(larger.pressure, 9);
    expect(smaller.stretch).toBeLessThan(turns.hump.stretch);
    expect(larger.stretch).toBeGreaterThan(turns.hump.stretch);
    expect(smaller.pressure).toBeLessThan(highest);
    expect(highest).toBe(turns.hump.pressure);
    expect(curve).toHaveLength(41);
    expect(curve[0]).toEqual({ stretch: 1, pressure: 0 });
    expect(curve.at(-1)!.stretch).toBeCloseTo(1.15 * larger.stretch, 9);
    expect(Math.max(...curve.map(({ pressure }) => pressure))).toBeLessThanOrEqual(highest * (1 + 1e-9));
    expect(partedPair({ points: 41, model: { law: 'neo-hookean' } })).toBeNull();
  });

  it('part into a small and a large one where the curve falls, at one pressure and with all their air', () => {
    const meanStretch = (turns.hump.stretch + turns.dip!.stretch) / 2;
    const pair = unequalPair({ meanStretch, model: balloonRubber() })!;
    expect(pair.smaller.stretch).toBeLessThan(meanStretch);
    expect(pair.larger.stretch).toBeGreaterThan(meanStretch);
    expect(pair.smaller.pressure).toBeCloseTo(pair.larger.pressure, 6);
    expect(pair.smaller.stretch ** 3 + pair.larger.stretch ** 3).toBeCloseTo(2 * meanStretch ** 3, 6);
  });

  it('stay equal before the hump, past the dip, and where there is no hump', () => {
    for (const meanStretch of [1.2, turns.dip!.stretch + 0.5])
      expect(unequalPair({ meanStretch, model: balloonRubber() })).toBeNull();
    expect(unequalPair({ meanStretch: 2, model: mooney(0.3) })).toBeNull();
  });
});

describe('two skins', () => {
  it('add up', () => {
    const [one, other] = [152.4, 127].map((nominalMm) => skinsPressureKPa({ nominalsMm: [nominalMm], widthMm: 80 }));
    expect(skinsPressureKPa({ nominalsMm: [152.4, 127], widthMm: 80 })).toBeCloseTo(one! + other!, 9);
  });

  /** Common practice: small balloons are the hard ones to start. */
  it('press more in small balloons than in large ones', () => {
    const hump = (nominalMm: number) => highestPressure({ nominalsMm: [nominalMm], toMm: 0.8 * nominalMm }).kPa;
    expect(hump(127)).toBeGreaterThan(2 * hump(279.4));
    // Pressures of party balloons lie at a few hundredths of an atmosphere (from memory).
    expect(hump(279.4)).toBeGreaterThan(1.5);
    expect(hump(279.4)).toBeLessThan(5);
  });

  it('have their hump where the curve is highest', () => {
    const asked = { nominalsMm: [279.4, 228.6], toMm: 220 };
    const curve = pressureCurve({ ...asked, points: 5000 });
    const top = Math.max(...curve.map(({ sumKPa }) => sumKPa));
    expect(highestPressure(asked).kPa / top).toBeGreaterThan(0.995);
    expect(highestPressure(asked).kPa / top).toBeLessThanOrEqual(1);
    // Stopped before the hump, the highest is the last.
    expect(highestPressure({ ...asked, toMm: 65 }).atMm).toBeCloseTo(65, 9);
  });

  it('draw a curve from the empty skin to the width asked for, each point the sum of its skins', () => {
    const curve = pressureCurve({ nominalsMm: [279.4, 279.4], toMm: 250, points: 50 });
    expect(curve).toHaveLength(50);
    expect(curve[0]!.sumKPa).toBe(0);
    expect(curve.at(-1)!.widthMm).toBeCloseTo(250, 9);
    for (const { eachKPa, sumKPa } of curve) expect(eachKPa[0]! + eachKPa[1]!).toBeCloseTo(sumKPa, 9);
  });
});
