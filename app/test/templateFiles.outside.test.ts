/** @jest-environment node */
import DxfParser from 'dxf-parser';
import { PDFiumLibrary } from '@hyzyla/pdfium';
import {
  PAPERS,
  sizerGeometry,
  tilesOf,
  type SizerForm,
  type SizerGeometryOptions,
  type TemplateSheet,
} from '@leggero/core/template';
import { parse, type INode } from 'svgson';

import { dxfFile } from '../src/features/make/dxfFile';
import { pdfFile } from '../src/features/make/pdfFile';
import { svgFile } from '../src/features/make/svgFile';

const IN = 25.4;
const INCHES = [4, 6, 9];
const OPTIONS: SizerGeometryOptions = {
  form: 'plate',
  sizes: INCHES.map((inch) => ({ label: String(inch), widthMm: inch * IN })),
  sheetWidthMm: 420,
  sheetHeightMm: 420,
  kerfMm: 0,
  bridgeMm: 8,
  thicknessMm: 3,
  pitchMm: 18,
};
function sheetsOf(options: Partial<SizerGeometryOptions> = {}): TemplateSheet[] {
  const geometry = sizerGeometry({ ...OPTIONS, ...options });
  if (!geometry.ok) throw new Error(geometry.problem.code);
  return geometry.value.sheets;
}
const near = (values: number[]) => values.map((value) => expect.closeTo(value, 3) as number);

describe('SVG read back by svgson', () => {
  const group = (svg: INode, id: string) => svg.children.find(({ attributes }) => attributes['id'] === id)!;

  it('keeps every hole’s diameter in millimetres, on the layer of cuts, with one unit a millimetre', async () => {
    const svg = await parse(svgFile(sheetsOf()[0]!, 'Sizer'));
    expect(svg.attributes).toMatchObject({ width: '420mm', height: '420mm', viewBox: '0 0 420 420' });
    const circles = group(svg, 'cut').children.filter(({ name }) => name === 'circle');
    const widths = circles.map(({ attributes }) => 2 * Number(attributes['r'])).sort((a, b) => a - b);
    expect(widths).toEqual(near(INCHES.map((inch) => inch * IN)));
    expect(group(svg, 'engrave').children.every(({ name }) => name === 'path')).toBe(true);
  });

  it.each(['jaw', 'strip', 'box'] as SizerForm[])('closes every outline of a %s', async (form) => {
    const sheets = sheetsOf({ form, sheetWidthMm: 1200, sheetHeightMm: 900 });
    const svg = await parse(svgFile(sheets[0]!, 'Sizer'));
    const outlines = group(svg, 'cut').children.filter(({ name }) => name === 'path');
    expect(outlines).toHaveLength(sheets[0]!.names.length);
    expect(outlines.every(({ attributes }) => attributes['d']!.endsWith('Z'))).toBe(true);
    expect(outlines.some(({ attributes }) => attributes['d']!.includes('A'))).toBe(form !== 'box');
  });
});

describe('DXF read back by dxf-parser', () => {
  interface Entity {
    type: string;
    layer: string;
    radius?: number;
    center?: { x: number; y: number };
    shape?: boolean;
    vertices?: { x: number; y: number; bulge?: number }[];
  }
  const read = (sheets: TemplateSheet[]) => new DxfParser().parseSync(dxfFile(sheets))!;

  it('keeps every hole’s diameter, cut and engrave on layers of their own, in millimetres', () => {
    const dxf = read(sheetsOf());
    const entities = dxf.entities as unknown as Entity[];
    const circles = entities.filter(({ type }) => type === 'CIRCLE');
    const widths = circles.map(({ radius = 0 }) => 2 * radius).sort((a, b) => a - b);
    expect(widths).toEqual(near(INCHES.map((inch) => inch * IN)));
    expect(new Set(circles.map(({ layer }) => layer))).toEqual(new Set(['CUT']));
    expect(new Set(entities.map(({ layer }) => layer))).toEqual(new Set(['CUT', 'ENGRAVE']));
    expect(dxf.header['$INSUNITS']).toBe(4);
  });

  it('turns arcs over with the y axis: a jaw’s half circle bends away from its opening', () => {
    const sheets = sheetsOf({ form: 'jaw', sizes: OPTIONS.sizes.slice(0, 1) });
    const entities = read(sheets).entities as unknown as Entity[];
    const board = entities.find(({ type, layer }) => type === 'LWPOLYLINE' && layer === 'CUT')!;
    expect(board.shape).toBe(true);
    const bend = board.vertices!.findIndex(({ bulge = 0 }) => Math.abs(Math.abs(bulge) - 1) < 1e-9);
    const [from, to] = [board.vertices![bend]!, board.vertices![bend + 1]!];
    expect(Math.abs(to.x - from.x)).toBeCloseTo(4 * IN, 6);
    // Counter-clockwise from left to right passes below the chord, towards the back of the board.
    expect(from.bulge! * (to.x - from.x)).toBeGreaterThan(0);
    const top = Math.max(...board.vertices!.map(({ y }) => y));
    expect(top - from.y).toBeCloseTo(2 * IN, 6);
  });

  it('lays sheets side by side', () => {
    const sheets = sheetsOf({ form: 'box', sheetWidthMm: 420, sheetHeightMm: 420 });
    expect(sheets.length).toBeGreaterThan(1);
    const circles = (read(sheets).entities as unknown as Entity[]).filter(({ type }) => type === 'CIRCLE');
    expect(circles).toHaveLength(INCHES.length);
    expect(Math.max(...circles.map(({ center }) => center!.x))).toBeGreaterThan(440);
  });
});

describe('PDF rasterised by PDFium and measured', () => {
  const DPI = 300;
  const MM = DPI / 25.4;

  /** Every page as rows of ink: true where a pixel is darker than half. */
  async function rasterised(bytes: Uint8Array) {
    const library = await PDFiumLibrary.init();
    const document = await library.loadDocument(bytes);
    const pages = [];
    for (const page of document.pages()) {
      const { width, height, data } = await page.render({ scale: DPI / 72, render: 'bitmap' });
      pages.push({ width, height, ink: (x: number, y: number) => data[4 * (y * width + x)]! < 190 });
    }
    document.destroy();
    library.destroy();
    return pages;
  }
  type Raster = Awaited<ReturnType<typeof rasterised>>[number];
  /** Middles of the runs of ink along a row, mm. */
  function crossings({ width, ink }: Raster, yMm: number): number[] {
    const y = Math.round(yMm * MM);
    const found: number[] = [];
    for (let x = 0; x < width; x += 1) {
      if (!ink(x, y)) continue;
      const from = x;
      while (x < width && ink(x, y)) x += 1;
      found.push((from + x) / 2 / MM);
    }
    return found;
  }

  it.each(['a4', 'letter'] as const)('has the bar at 100 mm and the page at its own size on %s', async (paper) => {
    const pages = await rasterised(await pdfFile({ sheets: sheetsOf(), paper, title: 'Sizer plate' }));
    const { widthMm, heightMm } = PAPERS[paper];
    expect(pages).toHaveLength(tilesOf(sheetsOf(), PAPERS[paper]).length);
    for (const page of pages) {
      // The rasteriser cuts pages to whole points, a third of a millimetre.
      expect(Math.abs(page.width / MM - widthMm)).toBeLessThan(0.4);
      expect(Math.abs(page.height / MM - heightMm)).toBeLessThan(0.4);
      // A little above the bar only its two ticks are crossed, and the middle tick is none.
      const ticks = crossings(page, heightMm - 5 - 1.2).filter((x) => x < 115);
      expect(ticks[0]).toBeCloseTo(12, 0);
      expect(Math.abs(ticks.at(-1)! - ticks[0]! - 100)).toBeLessThan(0.2);
    }
  });

  it('has the 9 in hole within 0.2 mm, measured across two pages laid mark on mark', async () => {
    const sheets = sheetsOf();
    const hole = sheets[0]!.holes.find(({ label }) => label === '9')!;
    const tiles = tilesOf(sheets, PAPERS.a4);
    const pages = await rasterised(await pdfFile({ sheets, paper: 'a4', title: 'Sizer plate' }));
    // Every crossing of the row through the hole's middle, in the sheet's own axes.
    const rows = tiles.flatMap((tile, i) => {
      const yMm = hole.yMm - tile.yMm;
      if (yMm < 2 || yMm > tile.heightMm - 2) return [];
      return crossings(pages[i]!, yMm + 12).map((x) => x - 12 + tile.xMm);
    });
    const nearest = (x: number) =>
      rows.reduce((best, each) => (Math.abs(each - x) < Math.abs(best - x) ? each : best), 1e9);
    const left = nearest(hole.xMm - hole.widthMm / 2);
    const right = nearest(hole.xMm + hole.widthMm / 2);
    expect(tiles.length).toBeGreaterThan(1);
    expect(Math.abs(right - left - 9 * IN)).toBeLessThan(0.2);
  });

  it('prints the register marks of neighbours at one place of the sheet', async () => {
    const sheets = sheetsOf();
    const tiles = tilesOf(sheets, PAPERS.a4);
    const pages = await rasterised(await pdfFile({ sheets, paper: 'a4', title: 'Sizer plate' }));
    const shared = tiles[0]!.marks.find(([x]) => tiles[1]!.marks.some(([other]) => other === x))!;
    for (const i of [0, 1]) {
      const [x, y] = [shared[0] - tiles[i]!.xMm + 12, shared[1] - tiles[i]!.yMm + 12];
      const onMark = crossings(pages[i]!, y + 2).some((at) => Math.abs(at - x) < 0.2);
      expect(onMark).toBe(true);
    }
  });
});
