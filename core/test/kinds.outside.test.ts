import fc from 'fast-check';

import { modellingCode, sphereVolumeL } from '../src';
import { DECOR_NOTES, printShift, shineAdvice, splitInTwo } from '../src/finish';
import { FOIL_STOPS, foilBody, foilHeadroom } from '../src/foil';
import { foilMassG, gasDensity, helium, latexMassG } from '../src/helium';
import {
  curlOf,
  doseForLength,
  estimateLength,
  fitLength,
  helixLengthMm,
  joinersFor,
  leafOf,
  loopOf,
  readModellingCode,
  sprayOf,
  tailFor,
  tubeVolumeL,
  tyingFor,
  wrapPole,
  type ModellingSize,
} from '../src/modelling';
import { inch, value } from './results';

const of = (code: string): ModellingSize => value(readModellingCode(code));

describe('a modelling balloon’s code', () => {
  /** Common practice. */
  it('260 means 2 in across and 60 in long', () => {
    expect(of('260')).toEqual({ code: '260', widthMm: inch(2), lengthMm: inch(60) });
    expect(of('160')).toMatchObject({ widthMm: inch(1), lengthMm: inch(60) });
    expect(of(' 350 ')).toMatchObject({ widthMm: inch(3), lengthMm: inch(50) });
    expect(modellingCode(of('646'))).toBe('646');
  });

  it.each([
    ['26', 'not-three-digits', '260'],
    ['2600', 'not-three-digits', '260'],
    ['35', 'not-three-digits', '350'],
    ['2x60', 'not-digits', '260'],
    ['060', 'no-size', '260'],
    ['200', 'no-size', '260'],
    ['', 'not-digits', '260'],
  ])('refuses %p as %p and names %p', (text, code, nearest) => {
    expect(readModellingCode(text)).toMatchObject({
      ok: false,
      problem: { code, field: 'code', detail: { nearest } },
    });
  });
});

describe('length for dose', () => {
  it('finds the line that readings lie on, and goes back from a length to its dose', () => {
    const readings = [3, 6, 9, 12].map((dose) => ({ dose, lengthMm: 100 * dose - 60 }));
    const law = value(fitLength({ size: of('260'), readings }));
    expect(law.perDoseMm).toBeCloseTo(100, 6);
    expect(law.atNoneMm).toBeCloseTo(-60, 6);
    expect(law.sdMm).toBeCloseTo(0, 6);
    expect(doseForLength({ law, lengthMm: 640 })).toBeCloseTo(7, 6);
  });

  it('starts from nothing with one reading, and from the pump with none', () => {
    expect(value(fitLength({ size: of('260'), readings: [{ dose: 5, lengthMm: 500 }] }))).toMatchObject({
      perDoseMm: 100,
      atNoneMm: 0,
    });
    const law = value(estimateLength({ size: of('260'), doseVolumeL: 0.18 }));
    // One stroke of 0.18 L in a tube 2 in across, worked by hand: 180,000 / (pi 25.4^2) mm.
    expect(law.perDoseMm).toBeCloseTo(88.8, 1);
    expect(tubeVolumeL({ widthMm: 50, lengthMm: 50 })).toBeCloseTo(sphereVolumeL({ widthMm: 50 }), 9);
  });

  it('refuses lengths past the balloon, and lengths that fall', () => {
    expect(fitLength({ size: of('260'), readings: [{ dose: 5, lengthMm: inch(80) }] })).toMatchObject({
      problem: { code: 'longer-than-full', field: 'readings.0.lengthMm' },
    });
    const falling = [
      { dose: 2, lengthMm: 500 },
      { dose: 4, lengthMm: 300 },
    ];
    expect(fitLength({ size: of('260'), readings: falling })).toMatchObject({
      problem: { code: 'not-rising' },
    });
    expect(fitLength({ size: of('260'), readings: [] })).toMatchObject({ problem: { code: 'no-readings' } });
  });
});

describe('modelling shapes', () => {
  /** Common practice: about an inch empty for a loop leaf. */
  it('leaves an inch of a 260 empty for the one twist of a leaf', () => {
    expect(value(leafOf({ size: of('260'), longMm: inch(10) })).tailMm).toBeCloseTo(inch(1), 6);
    expect(value(tailFor({ size: of('260'), twists: 8 })).tailMm).toBeCloseTo(inch(8), 6);
    expect(tailFor({ size: of('260'), twists: 31 })).toMatchObject({
      problem: { code: 'too-many-twists', detail: { most: 30 } },
    });
  });

  it('refuses a leaf longer than the balloon, and the longest it names works', () => {
    const found = leafOf({ size: of('260'), longMm: inch(40) });
    if (found.ok) throw new Error('should be refused');
    if (found.problem.code !== 'longer-than-balloon') throw new Error(found.problem.code);
    const { mostMm } = found.problem.detail;
    const longest = value(leafOf({ size: of('260'), longMm: mostMm - 1e-6 }));
    expect(longest.bodyMm).toBeCloseTo(inch(59), 3);
    expect(leafOf({ size: of('260'), longMm: mostMm + 1 }).ok).toBe(false);
  });

  it('bends a loop no tighter than its own width allows', () => {
    const loop = value(loopOf({ size: of('160'), outsideMm: inch(12) }));
    expect(loop.bodyMm).toBeCloseTo(Math.PI * inch(11), 6);
    expect(loop.insideMm).toBeCloseTo(inch(10), 6);
    expect(loopOf({ size: of('160'), outsideMm: inch(2) })).toMatchObject({ problem: { code: 'too-tight' } });
    expect(loopOf({ size: of('160'), outsideMm: inch(30) })).toMatchObject({
      problem: { code: 'longer-than-balloon' },
    });
  });

  /** Common practice: 10 of the 350 or up to 40 of the 260. */
  it('sprays as many as hold together', () => {
    expect(sprayOf({ size: of('350'), count: 10 }).ok).toBe(true);
    expect(sprayOf({ size: of('350'), count: 11 })).toMatchObject({
      problem: { code: 'too-many', detail: { most: 10 } },
    });
    expect(value(sprayOf({ size: of('260'), count: 40 })).rays).toBe(80);
    expect(sprayOf({ size: of('260'), count: 41 }).ok).toBe(false);
    expect(sprayOf({ size: of('260'), count: 1.5 })).toMatchObject({ problem: { code: 'bad-count' } });
  });

  it('curls with its whole length in the helix', () => {
    const size = of('260');
    const curl = value(curlOf({ size, formerMm: 40 }));
    const lengthMm = helixLengthMm({
      diameterMm: 40 + size.widthMm,
      pitchMm: size.widthMm,
      turns: curl.turns,
    });
    expect(lengthMm).toBeCloseTo(inch(59), 6);
    expect(curlOf({ size, formerMm: 0 })).toMatchObject({ problem: { code: 'bad-length' } });
  });
});

describe('joiners', () => {
  const plan = (halved: boolean, clusters = 12) =>
    value(joinersFor({ size: of('260'), clusters, way: 'loop', halved }));

  it('serves a line of clusters one join fewer than there are, half balloons counted by whole ones', () => {
    expect(plan(false)).toMatchObject({ joins: 11, joinsAPiece: 2, pieces: 6, balloons: 6 });
    expect(plan(true)).toMatchObject({ joins: 11, joinsAPiece: 1, pieces: 11, balloons: 6 });
    expect(plan(false).reachMm).toBeCloseTo(2 * plan(true).reachMm, 6);
  });

  /** Common practice: fillers go with a band, quads with a loop, larger clusters in a figure eight. */
  it('suggests a way of tying by the cluster', () => {
    expect([2, 4, 7].map((balloons) => tyingFor({ balloons }))).toEqual(['band', 'loop', 'figure-eight']);
  });

  it('refuses one cluster, and a piece too short', () => {
    expect(joinersFor({ size: of('260'), clusters: 1, way: 'loop', halved: false })).toMatchObject({
      problem: { code: 'bad-count' },
    });
    expect(joinersFor({ size: of('130'), clusters: 4, way: 'figure-eight', halved: true })).toMatchObject({
      problem: { code: 'too-short', field: 'halved' },
    });
  });
});

describe('a wrapped pole', () => {
  const cover = (more: object = {}) =>
    value(wrapPole({ size: of('260'), diameterMm: 25, lengthMm: 1500, overlap: 0.3, ...more }));

  /** The length of a helix: any handbook of geometry; also summed up here, chord by chord. */
  it('winds a helix of the length that the handbook gives', () => {
    const { turns, pitchMm, pathMm } = cover();
    expect(pathMm).toBeCloseTo(turns * Math.sqrt((Math.PI * 25) ** 2 + pitchMm ** 2), 9);
    let sum = 0;
    const chords = 200_000;
    const at = (i: number) => {
      const angle = (2 * Math.PI * turns * i) / chords;
      return [12.5 * Math.cos(angle), 12.5 * Math.sin(angle), (pitchMm * turns * i) / chords] as const;
    };
    for (let i = 0; i < chords; i += 1) {
      const [a, b] = [at(i), at(i + 1)];
      sum += Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
    }
    expect(pathMm / sum).toBeCloseTo(1, 5);
  });

  it('covers the pole once without overlap: the strip’s area is the pole’s', () => {
    const { pathMm, flatMm } = cover({ overlap: 0 });
    expect((pathMm * flatMm) / (Math.PI * 25 * 1500)).toBeCloseTo(1, 9);
  });

  it('takes more balloons for more overlap, and covers with them what there is', () => {
    expect(cover({ overlap: 0.6 }).balloons).toBeGreaterThan(cover({ overlap: 0.2 }).balloons);
    const { balloons, coversMm } = cover();
    expect(balloons * coversMm).toBeGreaterThanOrEqual(1500);
    expect((balloons - 1) * coversMm).toBeLessThan(1500);
  });

  it('refuses a pole of no width, with the thinnest that works', () => {
    const found = wrapPole({ size: of('260'), diameterMm: 0, lengthMm: 1500, overlap: 0.3 });
    if (found.ok) throw new Error('should be refused');
    expect(found.problem.field).toBe('diameterMm');
    if (found.problem.code !== 'pole-too-thin') throw new Error(found.problem.code);
    expect(
      wrapPole({
        size: of('260'),
        diameterMm: found.problem.detail.leastMm,
        lengthMm: 1500,
        overlap: 0,
      }).ok,
    ).toBe(true);
    expect(wrapPole({ size: of('260'), diameterMm: 25, lengthMm: 0, overlap: 0 })).toMatchObject({
      problem: { code: 'bad-length' },
    });
    expect(wrapPole({ size: of('260'), diameterMm: 25, lengthMm: 10, overlap: 1 })).toMatchObject({
      problem: { code: 'bad-overlap' },
    });
  });
});

describe('finishes', () => {
  it('splits a balloon into two that hold its air and stretch it further', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (volumeL, share) => {
          const { firstMm, secondMm, stretchGain } = value(splitInTwo({ volumeL, share }));
          const held = sphereVolumeL({ widthMm: firstMm }) + sphereVolumeL({ widthMm: secondMm });
          return Math.abs(held / volumeL - 1) < 1e-9 && stretchGain > 1 && stretchGain <= 2 ** (1 / 6) + 1e-9;
        },
      ),
    );
    expect(splitInTwo({ volumeL: 1, share: 1 })).toMatchObject({
      problem: { code: 'bad-share', field: 'share' },
    });
    expect(splitInTwo({ volumeL: 0, share: 0.5 })).toMatchObject({ problem: { code: 'bad-volume' } });
  });

  it('squeezes the neck only below the smallest width that shines', () => {
    expect(shineAdvice({ nominalMm: inch(7), widthMm: inch(5) })).toMatchObject({
      how: 'fills',
      leaveInNeck: 0,
    });
    const small = shineAdvice({ nominalMm: inch(7), widthMm: inch(3) });
    expect(small.how).toBe('squeeze-the-neck');
    // The skin left is to the whole as the two surfaces are.
    expect(1 - small.leaveInNeck).toBeCloseTo((inch(3) / small.smallestMm) ** 2, 9);
  });

  /** Common practice: a print grows when air is pushed into the crown. */
  it('grows a print by rounding off, and lifts it', () => {
    const shift = printShift({ widthMm: 250, heightMm: 290 });
    expect(shift.growth).toBeCloseTo((290 / 250) ** (1 / 3), 9);
    expect(shift.afterMm).toBeLessThan(shift.beforeMm);
    expect(printShift({ widthMm: 250, heightMm: 240 }).growth).toBeCloseTo(1, 9);
    expect(DECOR_NOTES.confetti).toContain('static');
    expect(DECOR_NOTES.print).toContain('apart');
  });
});

describe('foil', () => {
  /**
   * W. H. Paulsen, What is the shape of a Mylar balloon?, American Mathematical Monthly 101 (1994): r = 0.7627 a,
   * depth 0.9139 a, V = 1.2185 a^3.
   */
  it('a round one becomes what Paulsen found', () => {
    const body = value(foilBody({ form: 'disc', flatWidthMm: 2000 }));
    expect(body.widthMm / 2000).toBeCloseTo(0.7627, 3);
    expect(body.depthMm / 1000).toBeCloseTo(0.9139, 4);
    expect(body.volumeL / 1000).toBeCloseTo(1.2185, 4);
  });

  /**
   * A. C. Robin, Paper bag problem, Mathematics Today 40 (2004): 0.19 for a unit square; a long one is a tube of its
   * skin.
   */
  it('a pillow holds what Robin found', () => {
    expect(value(foilBody({ form: 'pillow', flatWidthMm: 1000 })).volumeL / 1000).toBeCloseTo(0.19, 2);
    const long = value(foilBody({ form: 'pillow', flatWidthMm: 100, flatHeightMm: 100_000 }));
    expect(long.volumeL / 100).toBeCloseTo((0.1 ** 2 / Math.PI) * 1000, 1);
    expect(long.widthMm).toBeCloseTo(200 / Math.PI, 6);
    expect(foilBody({ form: 'pillow', flatWidthMm: 0 })).toMatchObject({
      problem: { code: 'bad-size', field: 'flatWidthMm' },
    });
  });

  it('leaves room for heat by the gas law, and none for cold', () => {
    const room = { tempC: 20, altitudeM: 0 };
    const hot = value(foilHeadroom({ from: room, to: { tempC: 50, altitudeM: 0 } }));
    expect(hot.venueShare).toBeCloseTo(323.15 / 293.15, 9);
    expect(hot.fillTo * hot.venueShare).toBeCloseTo(0.97, 9);
    expect(hot.then).toBe('strains');
    const cold = value(foilHeadroom({ from: room, to: { tempC: 0, altitudeM: 0 } }));
    expect(cold).toMatchObject({ fillTo: 0.97, roomShare: 0, then: 'goes-slack' });
    expect(value(foilHeadroom({ from: room, to: room })).then).toBe('same');
    expect(foilHeadroom({ from: room, to: { tempC: 99, altitudeM: 0 } })).toMatchObject({
      problem: { field: 'to.tempC' },
    });
  });

  /** Common practice: automatic shut-off is right for foil and wrong for stretchy spheres. */
  it('stops by the seam, or by the last wrinkle', () => {
    expect(FOIL_STOPS.foil).toEqual({ test: 'seam', shutOff: 'automatic' });
    expect(FOIL_STOPS['stretch-foil'].shutOff).toBe('by-hand');
  });
});

describe('helium', () => {
  const standard = { tempC: 0, pressureKPa: 101.325 };

  /**
   * CRC Handbook of Chemistry and Physics (from memory): at 0 degrees Celsius and 101.325 kPa helium 0.1785 g/L, dry
   * air 1.293; air at 15 degrees 1.225 (U.S. Standard Atmosphere, 1976).
   */
  it('and air have their published densities', () => {
    expect(gasDensity({ gas: 'helium', ...standard })).toBeCloseTo(0.1785, 3);
    expect(gasDensity({ gas: 'air', ...standard })).toBeCloseTo(1.292, 2);
    expect(gasDensity({ gas: 'air', tempC: 15, pressureKPa: 101.325 })).toBeCloseTo(1.225, 4);
  });

  /** Published: about 1.114 g for each litre at 0 degrees Celsius, 1.056 at 15. */
  it('lifts a little over a gram a litre', () => {
    const lift = (tempC: number) =>
      value(helium({ volumeL: 1000, balloonMassG: 0, tempC, pressureKPa: 101.325 })).liftPerL;
    expect(lift(0)).toBeCloseTo(1.114, 3);
    expect(lift(15)).toBeCloseTo(1.056, 3);
  });

  it('is held by twice its net lift, in sand or in more water', () => {
    const lift = value(helium({ volumeL: 100, balloonMassG: 30, tempC: 20, pressureKPa: 101.325 }));
    expect(lift.netG).toBeCloseTo(lift.grossG - 30, 9);
    expect(lift.ballastG).toBeCloseTo(2 * lift.netG, 9);
    expect(lift.waterL).toBeGreaterThan(lift.sandL);
    expect(lift.waterL * 0.998 * 1000).toBeCloseTo(lift.ballastG, 6);
  });

  it('refuses a balloon that cannot lift itself, and the volume it names can', () => {
    const found = helium({ volumeL: 0.5, balloonMassG: 1, tempC: 20, pressureKPa: 101.325 });
    if (found.ok) throw new Error('should be refused');
    expect(found.problem.field).toBe('volumeL');
    if (found.problem.code !== 'cannot-lift-itself') throw new Error(found.problem.code);
    const { leastL } = found.problem.detail;
    expect(helium({ volumeL: leastL * 1.001, balloonMassG: 1, tempC: 20, pressureKPa: 101.325 }).ok).toBe(true);
    expect(helium({ volumeL: leastL * 0.999, balloonMassG: 1, tempC: 20, pressureKPa: 101.325 }).ok).toBe(false);
  });

  it('refuses what cannot be', () => {
    const good = { volumeL: 10, balloonMassG: 3, tempC: 20, pressureKPa: 101 };
    for (const [field, bad] of [
      ['volumeL', 0],
      ['balloonMassG', -1],
      ['tempC', 200],
      ['pressureKPa', 5],
    ] as const)
      expect(helium({ ...good, [field]: bad })).toMatchObject({ ok: false, problem: { field } });
  });

  it('finds masses that grow with the skin', () => {
    expect(latexMassG({ nominalMm: inch(22) })).toBeCloseTo(4 * latexMassG({ nominalMm: inch(11) }), 9);
    expect(foilMassG({ areaMm2: 1e6 })).toBeCloseTo(120, 9);
  });
});
