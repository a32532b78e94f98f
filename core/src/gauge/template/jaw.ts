import type { Corner, LabelledHole, Piece } from './drawing';
import { EDGE_MM, labelHeight, type Material, type TemplateSize } from './sizes';
import { strokeText } from './strokeText';

/** Tips are rounded, so that no corner touches latex, mm. */
const TIP_MM = 4;
const CORNER_MM = 8;
const LEAST_TINE_MM = 14;
const QUARTER = Math.tan(Math.PI / 8);

/**
 * Boards with jaws open at one edge: two straight sides one size apart and a half circle behind them, as deep as
 * wide, so that a balloon already tied can be held in from the side. Neighbouring sizes share a board as long as the
 * sheet is wide enough.
 */
export function jaws(sizes: readonly TemplateSize[], material: Material): Piece[] {
  const boards: TemplateSize[][] = [];
  for (const size of sizes) {
    const board = boards.at(-1);
    if (board && lengthOf([...board, size], material) <= material.sheetWidthMm - material.kerfMm) board.push(size);
    else boards.push([size]);
  }
  return boards.map((board, i) => boardOf(board, material, i + 1));
}

function tineMm({ bridgeMm }: Material): number {
  return Math.max(LEAST_TINE_MM, bridgeMm);
}

function lengthOf(board: readonly TemplateSize[], material: Material): number {
  return board.reduce((sum, { widthMm }) => sum + widthMm + tineMm(material), tineMm(material));
}

/** Height of the board's back below its deepest jaw, mm: room for the label. */
export function jawBackMm(bridgeMm: number): number {
  return EDGE_MM + labelHeight(bridgeMm);
}

function boardOf(board: readonly TemplateSize[], material: Material, number: number): Piece {
  const { kerfMm, bridgeMm } = material;
  const grow = kerfMm / 2;
  const tine = tineMm(material);
  const widthMm = lengthOf(board, material) + kerfMm;
  const heightMm = Math.max(...board.map((size) => size.widthMm)) + jawBackMm(bridgeMm) + kerfMm;
  const tip = TIP_MM + grow;
  const corners: Corner[] = [];
  let x = 0;
  for (const size of board) {
    const left = x + tine + kerfMm;
    const right = left + size.widthMm - kerfMm;
    const straight = size.widthMm / 2 + grow;
    // Along the tip of a tine, down its side, around the half circle, and up again.
    corners.push({ xMm: x + tip, yMm: 0 });
    corners.push({ xMm: left - tip, yMm: 0, bulge: QUARTER });
    corners.push({ xMm: left, yMm: tip });
    corners.push({ xMm: left, yMm: straight, bulge: -1 });
    corners.push({ xMm: right, yMm: straight });
    corners.push({ xMm: right, yMm: tip, bulge: QUARTER });
    x = right;
  }
  corners.push({ xMm: x + tip, yMm: 0 });
  corners.push({ xMm: widthMm - tip, yMm: 0, bulge: QUARTER });
  corners.push({ xMm: widthMm, yMm: tip });
  const round = CORNER_MM + grow;
  corners.push({ xMm: widthMm, yMm: heightMm - round, bulge: QUARTER });
  corners.push({ xMm: widthMm - round, yMm: heightMm });
  corners.push({ xMm: round, yMm: heightMm, bulge: QUARTER });
  corners.push({ xMm: 0, yMm: heightMm - round });
  corners.push({ xMm: 0, yMm: tip, bulge: QUARTER });
  const holes = holesOf(board, material);
  const tall = labelHeight(bridgeMm);
  const labels = holes.flatMap(({ label, xMm, widthMm: depthMm }) => {
    const yMm = Math.min(depthMm + grow + 3 + tall / 2, heightMm - 4 - tall / 2);
    return strokeText({ text: label, xMm, yMm, heightMm: tall });
  });
  return {
    name: `jaw board ${number}`,
    widthMm,
    heightMm,
    holes,
    shapes: [...labels, { kind: 'path', layer: 'cut', closed: true, corners }],
  };
}

/** Where each jaw holds its balloon. */
function holesOf(board: readonly TemplateSize[], material: Material): LabelledHole[] {
  const grow = material.kerfMm / 2;
  let x = grow;
  return board.map((size) => {
    const xMm = x + tineMm(material) + size.widthMm / 2;
    x += tineMm(material) + size.widthMm;
    return { ...size, xMm, yMm: size.widthMm / 2 + grow };
  });
}
