import { arcOf, type Corner, type Layer, type TemplateShape, type TemplateSheet } from '@leggero/core/template';
import { XMLBuilder } from 'fast-xml-parser';

/** Line colours by layer, as cutters commonly tell them apart: red is cut, blue is engraved. */
const STROKES: Record<Layer, string> = { cut: '#ff0000', engrave: '#0000ff' };

/** To a ten-thousandth of a millimetre. */
const number = (value: number) => Math.round(value * 1e4) / 1e4;

/** The outline of a path in SVG's own words. */
export function pathData(corners: readonly Corner[], closed: boolean): string {
  const [first] = corners;
  if (!first) return '';
  const parts = [`M${number(first.xMm)} ${number(first.yMm)}`];
  const count = closed ? corners.length : corners.length - 1;
  for (let i = 0; i < count; i += 1) {
    const from = corners[i]!;
    const to = corners[(i + 1) % corners.length]!;
    const arc = arcOf(from, to);
    const end = `${number(to.xMm)} ${number(to.yMm)}`;
    if (!arc) parts.push(`L${end}`);
    else {
      const large = Math.abs(from.bulge ?? 0) > 1 ? 1 : 0;
      const sweep = (from.bulge ?? 0) > 0 ? 1 : 0;
      parts.push(`A${number(arc.radiusMm)} ${number(arc.radiusMm)} 0 ${large} ${sweep} ${end}`);
    }
  }
  return parts.join('') + (closed ? 'Z' : '');
}

function elementOf(shape: TemplateShape): object {
  if (shape.kind === 'circle') {
    return { circle: { '@cx': number(shape.xMm), '@cy': number(shape.yMm), '@r': number(shape.radiusMm) } };
  }
  return { path: { '@d': pathData(shape.corners, shape.closed) } };
}

function layerOf(sheet: TemplateSheet, layer: Layer): object {
  const shapes = sheet.shapes.filter((shape) => shape.layer === layer).map(elementOf);
  const of = (name: 'path' | 'circle') => shapes.flatMap((shape) => (shape as Record<string, object>)[name] ?? []);
  return {
    '@id': layer,
    '@fill': 'none',
    '@stroke': STROKES[layer],
    '@stroke-width': 0.1,
    path: of('path'),
    circle: of('circle'),
  };
}

/** One sheet as SVG in millimetres: one user unit is one millimetre; cut and engrave are groups of their own. */
export function svgFile(sheet: TemplateSheet, title: string): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });
  const { widthMm, heightMm } = sheet;
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    svg: {
      '@xmlns': 'http://www.w3.org/2000/svg',
      '@width': `${widthMm}mm`,
      '@height': `${heightMm}mm`,
      '@viewBox': `0 0 ${widthMm} ${heightMm}`,
      title,
      // Engraving first: what is cut out may move.
      g: [layerOf(sheet, 'engrave'), layerOf(sheet, 'cut')],
    },
  });
}
