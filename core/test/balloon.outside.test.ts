import fc from 'fast-check';

import {
  bodyVolumeL,
  circumferenceMm,
  shapeOf,
  silhouetteOf,
  sphereVolumeL,
  widthForVolumeMm,
  widthFromCircumferenceMm,
} from '../src';

/**
 * Handbook values: a sphere of diameter 2 has volume 4.18879, one of diameter 10 has 523.5988; a circle of diameter 1
 * has circumference 3.14159265 (any handbook of mathematical tables). A 12 in sphere holds 0.5236 cubic feet, and a
 * cubic foot is 28.316847 litres.
 */
describe('volumes and circumferences', () => {
  it('gives the tabled volumes of a sphere', () => {
    expect(sphereVolumeL({ widthMm: 200 })).toBeCloseTo(4.18879, 5);
    expect(sphereVolumeL({ widthMm: 1000 })).toBeCloseTo(523.5988, 4);
    expect(sphereVolumeL({ widthMm: 304.8 })).toBeCloseTo((Math.PI / 6) * 28.316847, 5);
  });

  it('gives the tabled volume of a prolate spheroid: semi-axes 1, 1, 2 hold 8.37758', () => {
    expect(bodyVolumeL({ widthMm: 200, heightMm: 400 })).toBeCloseTo(8.37758, 5);
  });

  it('gives the circumference that a tape reads: 10 in across is 31.416 in around', () => {
    expect(circumferenceMm({ widthMm: 254 }) / 25.4).toBeCloseTo(31.41593, 5);
    expect(widthFromCircumferenceMm({ circumferenceMm: Math.PI })).toBeCloseTo(1, 12);
  });

  it('finds the width of a volume again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 1500, noNaN: true }),
        fc.double({ min: 0.8, max: 1.6, noNaN: true }),
        (widthMm, aspect) => {
          const volumeL = bodyVolumeL({ widthMm, heightMm: widthMm * aspect });
          expect(widthForVolumeMm({ volumeL, aspect })).toBeCloseTo(widthMm, 6);
        },
      ),
    );
    expect(widthForVolumeMm({ volumeL: -1 })).toBe(0);
  });
});

describe('shape', () => {
  it.each([
    [250, 240, 'round'],
    [250, 250, 'round'],
    [250, 262, 'round'],
    [250, 280, 'oval'],
    [250, 310, 'pear'],
  ] as const)('%d wide and %d high is %s', (widthMm, heightMm, shape) => {
    expect(shapeOf({ widthMm, heightMm })).toBe(shape);
  });

  it('draws an outline as wide as the width and as high as the height, crown to neck', () => {
    for (const heightMm of [240, 254, 275, 310]) {
      const { body, neck, crownMm } = silhouetteOf({ widthMm: 254, heightMm, nominalMm: 279.4 });
      const xs = body.map((p) => p.xMm);
      const ys = body.map((p) => p.yMm);
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(254, 0);
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(heightMm, 6);
      expect(Math.min(...ys)).toBeCloseTo(-crownMm, 6);
      expect(Math.min(...neck.map((p) => p.yMm))).toBeLessThan(Math.max(...ys));
    }
  });
});
