import type { PieceRecord } from '@leggero/contract';

import { ask } from '@/device/ask';
import { sideBySide, type PaperThing } from '@/parts/paper/paper';
import { openPieceWorker } from '@/parts/piece/openPieceWorker';
import type { SvgAnswer, SvgQuestion } from '@/parts/piece/piece.worker';
import { svgOf } from '@/parts/piece/stillSvg';
import type { useMaterials } from '@/parts/piece/useMaterials';

/** An event's pieces side by side as SVG, drawn in a worker. */
export async function eventSvg(
  pieces: readonly PieceRecord[],
  materials: NonNullable<ReturnType<typeof useMaterials>>,
): Promise<string> {
  const svgs = pieces.map(({ design }) => ({ design, material: materials(design) }));
  const drawn = await ask<SvgQuestion, SvgAnswer>(openPieceWorker(), { question: { svgs } });
  return svgOf(drawn.filter((piece) => piece !== null));
}

/** A picture is so wide, px. */
const WIDE_PX = 2400;
const EDGE_PX = 60;

/** The same as PNG, from pictures that are drawn already. */
export async function eventPng(things: readonly PaperThing[]): Promise<Blob> {
  const { wideMm, highMm, lefts } = sideBySide(things);
  const scale = (WIDE_PX - 2 * EDGE_PX) / wideMm;
  const canvas = new OffscreenCanvas(WIDE_PX, Math.round(highMm * scale + 2 * EDGE_PX));
  const context = canvas.getContext('2d')!;
  const floor = canvas.height - EDGE_PX;
  for (const [i, { picture, wideMm: wide, highMm: high, footMm }] of things.entries()) {
    const image = new Image();
    image.src = picture;
    await image.decode();
    const side = Math.max(wide, high) * scale;
    const middle = EDGE_PX + (lefts[i]! + wide / 2) * scale;
    context.drawImage(image, middle - side / 2, floor - (footMm + high / 2) * scale - side / 2, side, side);
  }
  return canvas.convertToBlob({ type: 'image/png' });
}
