import polygonClipping, { type MultiPolygon } from 'polygon-clipping';

import {
  arcOf,
  box,
  extentOf,
  nest,
  packCircles,
  PAPERS,
  sizerGeometry,
  strokeText,
  textWidthMm,
  tilesOf,
  type Corner,
  type PathShape,
  type Piece,
  type SizerForm,
  type SizerGeometryOptions,
} from '../src/gauge/template';

const IN = 25.4;
const sizes = (...inches: number[]) => inches.map((inch) => ({ label: String(inch), widthMm: inch * IN }));
const OPTIONS: SizerGeometryOptions = {
  form: 'plate',
  sizes: sizes(4, 5, 6, 7, 8, 9),
  sheetWidthMm: 800,
  sheetHeightMm: 600,
  kerfMm: 0.2,
  bridgeMm: 8,
  thicknessMm: 3,
  pitchMm: 18,
};
function made(options: Partial<SizerGeometryOptions>) {
  const geometry = sizerGeometry({ ...OPTIONS, ...options });
  if (!geometry.ok) throw new Error(`${geometry.problem.code} ${JSON.stringify(geometry.problem)}`);
  return geometry.value;
}

/** Gauss's area formula. */
function polygonArea(ring: readonly (readonly [number, number])[]): number {
  return ring.reduce((sum, [x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length]!;
    return sum + (x * ny - y * nx) / 2;
  }, 0);
}

/** A closed path as points, arcs in short chords. */
function pointsOf({ corners }: PathShape): [number, number][] {
  return corners.flatMap((corner: Corner, i): [number, number][] => {
    const arc = arcOf(corner, corners[(i + 1) % corners.length]!);
    if (!arc) return [[corner.xMm, corner.yMm]];
    return Array.from({ length: 400 }, (_, k): [number, number] => {
      const angle = arc.from + ((arc.to - arc.from) * k) / 400;
      return [arc.xMm + arc.radiusMm * Math.cos(angle), arc.yMm + arc.radiusMm * Math.sin(angle)];
    });
  });
}
const outlineOf = (piece: Piece) =>
  piece.shapes.find((shape): shape is PathShape => shape.kind === 'path' && shape.closed && shape.layer === 'cut')!;
const areaOf = (shape: PathShape) => Math.abs(polygonArea(pointsOf(shape)));

describe('box: the finger joints mate', () => {
  const solid = { kerfMm: 0, bridgeMm: 8, sheetWidthMm: 2000, sheetHeightMm: 2000 };
  const cube = (thicknessMm: number, pitchMm: number) => {
    const result = box(OPTIONS.sizes, solid, { thicknessMm, pitchMm });
    if (!result.ok) throw new Error(result.problem.code);
    return result.value;
  };

  it.each([
    [3, 18],
    [6, 25],
    [4.2, 11],
    [10, 40],
  ])('six faces %d mm thick fill exactly the shell between the outer and the inner cube (pitch %d)', (t, pitch) => {
    const { pieces, sideMm, fingers } = cube(t, pitch);
    const filled = pieces.reduce((sum, piece) => sum + areaOf(outlineOf(piece)) * t, 0);
    expect(filled / (sideMm ** 3 - (sideMm - 2 * t) ** 3)).toBeCloseTo(1, 10);
    expect(fingers % 2).toBe(1);
  });

  it('gives every bit of every edge to exactly one face (union and overlap of the joint’s two sides, by a clipping library)', () => {
    const t = 3;
    const { pieces, sideMm } = cube(t, 18);
    const [top, , front, , left] = pieces.map((piece) => pointsOf(outlineOf(piece)));
    // The strip along an edge, in both faces: front's upper edge against top's lower, front's left against left's
    // right.
    const strip: MultiPolygon = [
      [
        [
          [t, 0],
          [sideMm - t, 0],
          [sideMm - t, t],
          [t, t],
          [t, 0],
        ],
      ],
    ];
    const inStrip = (points: [number, number][], map: (x: number, y: number) => [number, number]) =>
      polygonClipping.intersection([[points.map(([x, y]) => map(x, y))]], strip);
    const area = (multi: MultiPolygon) =>
      multi.flat().reduce((sum, ring) => sum + Math.abs(polygonArea(ring as [number, number][])), 0);
    const joints: [MultiPolygon, MultiPolygon][] = [
      [inStrip(front!, (x, y) => [x, y]), inStrip(top!, (x, y) => [x, sideMm - y])],
      [inStrip(front!, (x, y) => [y, x]), inStrip(left!, (x, y) => [y, sideMm - x])],
    ];
    for (const [one, other] of joints) {
      expect(area(one)).toBeGreaterThan(0.3 * (sideMm - 2 * t) * t);
      expect(area(polygonClipping.intersection(one, other))).toBeCloseTo(0, 6);
      expect(area(polygonClipping.union(one, other))).toBeCloseTo((sideMm - 2 * t) * t, 6);
    }
  });

  it('lies half a kerf outside: what the cutter leaves is the exact face', () => {
    const exact = cube(3, 18);
    const cut = box(OPTIONS.sizes, { ...solid, kerfMm: 0.4 }, { thicknessMm: 3, pitchMm: 18 });
    if (!cut.ok) throw new Error(cut.problem.code);
    cut.value.pieces.forEach((piece, i) => {
      const true_ = outlineOf(exact.pieces[i]!).corners;
      const path = outlineOf(piece).corners;
      expect(path).toHaveLength(true_.length);
      path.forEach((corner, k) => {
        expect(Math.abs(Math.abs(corner.xMm - 0.2 - true_[k]!.xMm) - 0.2)).toBeLessThan(1e-9);
        expect(Math.abs(Math.abs(corner.yMm - 0.2 - true_[k]!.yMm) - 0.2)).toBeLessThan(1e-9);
      });
      expect(areaOf(outlineOf(piece))).toBeGreaterThan(areaOf(outlineOf(exact.pieces[i]!)));
    });
  });
});

describe('sizerGeometry', () => {
  it.each(['plate', 'strip', 'box'] as SizerForm[])(
    'cuts every hole half a kerf small, and lets none near another: %s',
    (form) => {
      const { sheets, pieces } = made({ form, kerfMm: 0.4 });
      const cut = pieces.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : [])));
      const wanted = OPTIONS.sizes.map(({ widthMm }) => widthMm - 0.4);
      const widths = cut.map(({ radiusMm }) => 2 * radiusMm).filter((width) => width > 12);
      expect(widths.sort((a, b) => a - b)).toEqual(wanted.map((width) => expect.closeTo(width, 9)));
      for (const sheet of sheets) {
        const circles = sheet.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : []));
        circles.forEach((a, i) =>
          circles.slice(0, i).forEach((b) => {
            const apart = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) - a.radiusMm - b.radiusMm;
            expect(apart).toBeGreaterThanOrEqual(OPTIONS.bridgeMm - 1e-6);
          }),
        );
      }
    },
  );

  it('gives a jaw straight sides one size apart and a depth of its width', () => {
    const { pieces } = made({ form: 'jaw', sizes: sizes(6), kerfMm: 0 });
    const points = pointsOf(outlineOf(pieces[0]!));
    const inner = points.filter(([, y]) => Math.abs(y - 3 * IN) < 1e-6).map(([x]) => x);
    expect(Math.max(...inner) - Math.min(...inner)).toBeCloseTo(6 * IN, 6);
    const board = pieces[0]!.widthMm * pieces[0]!.heightMm;
    const slot = 6 * IN * 3 * IN + (Math.PI * (6 * IN) ** 2) / 8;
    // Rounded tips and corners take a little more.
    expect(board - areaOf(outlineOf(pieces[0]!))).toBeGreaterThan(slot);
    expect(board - areaOf(outlineOf(pieces[0]!))).toBeLessThan(slot + 120);
  });

  it('draws a strip whose outline is the union of its rims', () => {
    const { pieces } = made({ form: 'strip', sizes: sizes(3, 4), kerfMm: 0 });
    const piece = pieces[0]!;
    const rims = piece.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : []));
    const ring = ({ xMm, yMm, radiusMm }: (typeof rims)[number]): [number, number][] =>
      Array.from({ length: 720 }, (_, k) => {
        const angle = (k * Math.PI) / 360;
        return [xMm + (radiusMm + 10) * Math.cos(angle), yMm + (radiusMm + 10) * Math.sin(angle)];
      });
    const [first, ...rest] = rims.map((rim): MultiPolygon => [[ring(rim)]]);
    const union = polygonClipping.union(first!, ...rest);
    const area = union.flat().reduce((sum, each) => sum + Math.abs(polygonArea(each as [number, number][])), 0);
    expect(areaOf(outlineOf(piece)) / area).toBeCloseTo(1, 3);
    expect(rims).toHaveLength(3);
  });

  it('keeps all strokes of all labels on the material', () => {
    for (const form of ['plate', 'strip', 'box'] as const) {
      for (const piece of made({ form, sizes: sizes(2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 7, 8, 9, 10) }).pieces) {
        const holes = piece.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape] : []));
        const strokes = piece.shapes.filter((shape) => shape.layer === 'engrave');
        expect(strokes.length).toBeGreaterThan(holes.length > 1 ? 0 : -1);
        for (const stroke of strokes) {
          for (const { xMm, yMm } of (stroke as PathShape).corners) {
            expect(
              Math.min(...holes.map((hole) => Math.hypot(hole.xMm - xMm, hole.yMm - yMm) - hole.radiusMm)),
            ).toBeGreaterThan(0);
            expect(xMm > 0 && yMm > 0 && xMm < piece.widthMm && yMm < piece.heightMm).toBe(true);
          }
        }
      }
    }
  });

  it('wastes little: a plate is more hole than a square grid of the largest would be, a box’s faces fill their sheets', () => {
    const { pieces, usedShare } = made({});
    const holes = OPTIONS.sizes.reduce((sum, { widthMm }) => sum + (Math.PI * widthMm ** 2) / 4, 0);
    const plate = pieces.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
    expect(holes / plate).toBeGreaterThan(0.5);
    expect(usedShare).toBeGreaterThan(0.6);
    expect(made({ form: 'box', sheetWidthMm: 900 }).sheets.length).toBeLessThanOrEqual(2);
  });

  it('lays everything inside its sheet, with both scale bars of 100 mm on each', () => {
    for (const form of ['plate', 'jaw', 'strip', 'box'] as const) {
      for (const sheet of made({ form }).sheets) {
        for (const shape of sheet.shapes) {
          const { leftMm, topMm, rightMm, bottomMm } = extentOf(shape);
          expect(leftMm).toBeGreaterThanOrEqual(0);
          expect(topMm).toBeGreaterThanOrEqual(0);
          expect(rightMm).toBeLessThanOrEqual(sheet.widthMm);
          expect(bottomMm).toBeLessThanOrEqual(sheet.heightMm);
        }
        const bars = sheet.shapes.filter((shape) => {
          if (shape.kind !== 'path' || shape.closed || shape.corners.length !== 2) return false;
          const [a, b] = shape.corners;
          return Math.abs(Math.hypot(a!.xMm - b!.xMm, a!.yMm - b!.yMm) - 100) < 1e-9;
        });
        expect(bars).toHaveLength(2);
      }
    }
  });

  it.each([
    ['no-sizes', 'sizes', { sizes: [] }],
    ['hole-twice', 'sizes.1', { sizes: sizes(9, 9) }],
    ['holes-out-of-order', 'sizes.1', { sizes: sizes(9, 8) }],
    ['sheet-too-small', 'sheetWidthMm', { sheetWidthMm: 200 }],
    ['sheet-too-small', 'sheetWidthMm', { form: 'box', sheetWidthMm: 270, sheetHeightMm: 270 }],
    ['thickness-over-pitch', 'thicknessMm', { form: 'box', thicknessMm: 20 }],
    ['kerf-over-bridge', 'kerfMm', { kerfMm: 9 }],
    ['bad-kerf', 'kerfMm', { kerfMm: -1 }],
    ['bad-bridge', 'bridgeMm', { bridgeMm: 1 }],
    ['bad-sheet', 'sheetHeightMm', { sheetHeightMm: 0 }],
    ['bad-thickness', 'thicknessMm', { form: 'box', thicknessMm: 0 }],
    ['bad-pitch', 'pitchMm', { form: 'box', pitchMm: 0 }],
    ['too-many-sizes', 'sizes', { sizes: sizes(...Array.from({ length: 25 }, (_, i) => i + 1)) }],
  ] as [string, string, Partial<SizerGeometryOptions>][])('refuses %s beside %s', (code, field, options) => {
    expect(sizerGeometry({ ...OPTIONS, ...options })).toMatchObject({ ok: false, problem: { code, field } });
  });
});

describe('packCircles and nest', () => {
  it('lays circles wall to wall, and says which found no room', () => {
    const room = { widthMm: 48, heightMm: 24, gapMm: 4, edgeMm: 2 };
    expect(packCircles([10, 10], room).placed.map(({ xMm }) => xMm)).toEqual([12, 36]);
    expect(packCircles([5, 10, 10], room).left).toEqual([0]);
    expect(packCircles([30], room)).toEqual({ placed: [], left: [0] });
  });

  it('nests slabs without overlap, turning one where that saves a sheet', () => {
    const slabs = [
      [60, 40],
      [40, 60],
      [100, 40],
      [30, 30],
      [70, 20],
    ].map(([widthMm = 0, heightMm = 0]) => ({ widthMm, heightMm }));
    const lain = nest(slabs, { widthMm: 103, heightMm: 130 }, 3)!;
    expect(new Set(lain.map(({ sheet }) => sheet)).size).toBe(1);
    const rects = lain.map(({ index, xMm, yMm, turned }) => {
      const { widthMm, heightMm } = slabs[index]!;
      return { x: xMm, y: yMm, w: turned ? heightMm : widthMm, h: turned ? widthMm : heightMm };
    });
    rects.forEach((a, i) => {
      expect(a.x + a.w).toBeLessThanOrEqual(103 + 1e-9);
      expect(a.y + a.h).toBeLessThanOrEqual(130 + 1e-9);
      rects.slice(0, i).forEach((b) => {
        const apart =
          a.x >= b.x + b.w + 3 - 1e-9 ||
          b.x >= a.x + a.w + 3 - 1e-9 ||
          a.y >= b.y + b.h + 3 - 1e-9 ||
          b.y >= a.y + a.h + 3 - 1e-9;
        expect(apart).toBe(true);
      });
    });
    expect(nest([{ widthMm: 200, heightMm: 200 }], { widthMm: 103, heightMm: 130 }, 3)).toBeNull();
  });
});

describe('tilesOf', () => {
  it('shows every bit of a sheet on some page, and each register mark at one place on all pages that share it', () => {
    const { sheets } = made({});
    const tiles = tilesOf(sheets, PAPERS.a4);
    expect(tiles.length).toBeGreaterThan(6);
    for (const { leftMm: x, topMm: y } of sheets[0]!.shapes.map(extentOf)) {
      const on = (tile: (typeof tiles)[number]) =>
        x >= tile.xMm && x <= tile.xMm + tile.widthMm && y >= tile.yMm && y <= tile.yMm + tile.heightMm;
      expect(tiles.some(on)).toBe(true);
    }
    const seen = tiles.flatMap(({ marks }) => marks.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`));
    const shared = seen.filter((mark, i) => seen.indexOf(mark) !== i);
    expect(shared.length).toBeGreaterThan(tiles.length / 2);
    tiles.forEach(({ marks }) => expect(marks.length).toBeGreaterThanOrEqual(2));
  });

  it('takes one page where one is enough', () => {
    const { sheets } = made({ sizes: sizes(3), sheetWidthMm: 180, sheetHeightMm: 250 });
    expect(tilesOf(sheets, PAPERS.letter)).toHaveLength(1);
  });
});

describe('strokeText', () => {
  it('is as wide as it says, centred and turned about its middle', () => {
    const strokes = strokeText({ text: '9 1/2', xMm: 10, yMm: 20, heightMm: 6 });
    const xs = strokes.flatMap(({ corners }) => corners.map(({ xMm }) => xMm));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(textWidthMm('9 1/2', 6), 6);
    expect((Math.max(...xs) + Math.min(...xs)) / 2).toBeCloseTo(10, 6);
    const turned = strokeText({ text: '9 1/2', xMm: 10, yMm: 20, heightMm: 6, angle: Math.PI / 2 });
    const ys = turned.flatMap(({ corners }) => corners.map(({ yMm }) => yMm));
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(textWidthMm('9 1/2', 6), 6);
  });
});
