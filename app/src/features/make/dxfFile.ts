import type { Layer, TemplateShape, TemplateSheet } from '@leggero/core/template';
import Drawing from 'dxf-writer';

/** AutoCAD colour index by layer: 1 red, 5 blue. */
const COLOURS: Record<Layer, number> = { cut: 1, engrave: 5 };
const BETWEEN_MM = 20;

/** Sheets side by side as DXF in millimetres, cut and engrave on layers of their own; y grows upwards there. */
export function dxfFile(sheets: readonly TemplateSheet[]): string {
  const drawing = new Drawing();
  drawing.setUnits('Millimeters');
  for (const layer of ['engrave', 'cut'] as const) {
    drawing.addLayer(layer.toUpperCase(), COLOURS[layer], 'CONTINUOUS');
  }
  let left = 0;
  for (const sheet of sheets) {
    for (const layer of ['engrave', 'cut'] as const) {
      drawing.setActiveLayer(layer.toUpperCase());
      for (const shape of sheet.shapes) if (shape.layer === layer) draw(drawing, shape, left, sheet.heightMm);
    }
    left += sheet.widthMm + BETWEEN_MM;
  }
  return drawing.toDxfString();
}

function draw(drawing: Drawing, shape: TemplateShape, left: number, heightMm: number): void {
  if (shape.kind === 'circle') {
    drawing.drawCircle(left + shape.xMm, heightMm - shape.yMm, shape.radiusMm);
    return;
  }
  // Turning y over turns every arc the other way.
  const points = shape.corners.map(({ xMm, yMm, bulge = 0 }): number[] => [
    left + xMm,
    heightMm - yMm,
    bulge === 0 ? 0 : -bulge,
  ]);
  // The third number is the bulge, which the library writes but its types leave out.
  drawing.drawPolyline(points as [number, number][], shape.closed);
}
