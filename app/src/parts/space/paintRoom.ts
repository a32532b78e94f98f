import { DRAWN_FONT } from '@/ui/drawnFont';
import type { Palette } from '@/ui/palette';

import { PERSON } from './person';
import { FAINT, LINE_PX, PATCH_PX, roomShapes } from './roomShapes';
import type { Scene } from './scene';
import type { View } from './view';

let person: Path2D | undefined;

/** Paints what a piece stands in, as it is drawn while a hand turns it: no element of the page changes. */
export function paintRoom(context: CanvasRenderingContext2D, scene: Scene, view: View, palette: Palette): void {
  context.clearRect(0, 0, view.width, view.height);
  context.font = `11px ${DRAWN_FONT}`;
  context.textAlign = 'right';
  for (const shape of roomShapes(scene, view)) {
    context.fillStyle = context.strokeStyle = palette[shape.ink];
    context.globalAlpha = 1;
    context.lineWidth = LINE_PX;
    context.setLineDash([]);
    switch (shape.kind) {
      case 'line':
        if (shape.dashed) context.setLineDash([6, 4]);
        context.beginPath();
        context.moveTo(shape.x1, shape.y1);
        context.lineTo(shape.x2, shape.y2);
        context.stroke();
        break;
      case 'box':
        if (shape.filled) {
          context.globalAlpha = FAINT.box;
          context.fillRect(shape.x, shape.y, shape.width, shape.height);
        } else {
          context.setLineDash([4, 4]);
          context.strokeRect(shape.x, shape.y, shape.width, shape.height);
        }
        break;
      case 'patch':
        context.lineWidth = PATCH_PX;
        context.lineJoin = 'round';
        context.beginPath();
        for (const [x, y] of shape.points) context.lineTo(x, y);
        context.closePath();
        context.fill();
        context.stroke();
        break;
      case 'text':
        context.fillText(shape.text, shape.x, shape.y);
        break;
      case 'person':
        context.save();
        context.globalAlpha = FAINT.person;
        context.translate(shape.x, shape.y);
        context.scale(shape.wide, shape.tall);
        context.fill((person ??= new Path2D(PERSON)));
        context.restore();
        break;
    }
  }
}
