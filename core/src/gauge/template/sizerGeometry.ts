import { ok, problem, type Result } from '../../result';
import { holesProblem, type HolesProblemCode } from '../hole';
import { box, type Box, type BoxProblem, type Joint } from './box';
import { moved, movedHole, type LabelledHole, type Piece, type PiecePlace, type TemplateShape } from './drawing';
import { jawBackMm, jaws } from './jaw';
import { nest } from './nest';
import { plates } from './plate';
import { scaleBar } from './scaleBar';
import { EDGE_MM, LEAST_BRIDGE_MM, type Material, type TemplateSize } from './sizes';
import { bandMm, strips } from './strip';

/** A plate with closed holes, boards with open jaws, strips of rings to hang, a box with holes in its six faces. */
export const SIZER_FORMS = ['plate', 'jaw', 'strip', 'box'] as const;
export type SizerForm = (typeof SIZER_FORMS)[number];

export interface SizerGeometryOptions extends Joint {
  form: SizerForm;
  /** From small to large. */
  sizes: readonly TemplateSize[];
  /** The material's sheet, mm. */
  sheetWidthMm: number;
  sheetHeightMm: number;
  kerfMm: number;
  bridgeMm: number;
}

/** One sheet of material with all that is cut from it and engraved on it, mm. */
export interface TemplateSheet {
  widthMm: number;
  heightMm: number;
  shapes: TemplateShape[];
  holes: LabelledHole[];
  /** The pieces on it, by name. */
  names: string[];
}

/** A sizer as it will be cut. */
export interface SizerGeometry {
  sheets: TemplateSheet[];
  pieces: Piece[];
  /** Share of the sheets that ends up in pieces, by their outer rectangles; of the last sheet only the part begun. */
  usedShare: number;
  /** The box's measures; `null` for the other forms. */
  box: Omit<Box, 'pieces'> | null;
}

export type SizerGeometryProblem =
  | HolesProblemCode
  | BoxProblem
  | 'no-sizes'
  | 'too-many-sizes'
  /** The largest hole, or the box's face, does not fit on the sheet; the detail says what is needed. */
  | 'sheet-too-small'
  | 'bad-sheet'
  | 'bad-kerf'
  | 'bad-thickness'
  | 'bad-pitch'
  | 'bad-bridge'
  /** The cutter would burn away the material between two holes. */
  | 'kerf-over-bridge';

const MOST_SIZES = 24;
/** Left and lower margin of a sheet, where the scale bars stand, and the margin elsewhere, mm. */
const BAR_MARGIN_MM = 12;
const MARGIN_MM = 4;
const BETWEEN_MM = 3;
const LARGEST_SHEET_MM = 3000;

/**
 * The cutting template of a sizer: every hole on the inside of its cut (half a kerf less all around), every outline
 * on the outside, labels engraved, pieces nested on as few sheets as they need, and two scale bars of 100 mm on each
 * sheet.
 *
 * Problems name the field: see `SizerGeometryProblem`.
 */
export function sizerGeometry(options: SizerGeometryOptions): Result<SizerGeometry, SizerGeometryProblem> {
  const wrong = refusal(options);
  if (wrong) return wrong;
  const { form, sizes, sheetWidthMm, sheetHeightMm, kerfMm, bridgeMm } = options;
  const room = {
    widthMm: sheetWidthMm - BAR_MARGIN_MM - MARGIN_MM,
    heightMm: sheetHeightMm - BAR_MARGIN_MM - MARGIN_MM,
  };
  const material: Material = { kerfMm, bridgeMm, sheetWidthMm: room.widthMm, sheetHeightMm: room.heightMm };
  const needed = leastPiece(form, sizes.at(-1)!.widthMm, bridgeMm);
  const tooSmall = (widthMm: number, heightMm: number) =>
    problem('sheet-too-small', {
      field: 'sheetWidthMm',
      detail: {
        leastWidthMm: widthMm + kerfMm + BAR_MARGIN_MM + MARGIN_MM,
        leastHeightMm: heightMm + kerfMm + BAR_MARGIN_MM + MARGIN_MM,
      },
    });
  if (room.widthMm < needed.widthMm + kerfMm || room.heightMm < needed.heightMm + kerfMm) {
    return tooSmall(needed.widthMm, needed.heightMm);
  }
  const made = piecesOf(options, material);
  if (!made.ok) return made;
  const { pieces, box: measures } = made.value;
  const lain = nest(pieces, room, BETWEEN_MM);
  if (!lain) {
    const side = measures?.sideMm ?? Math.max(...pieces.map(({ widthMm }) => widthMm));
    return tooSmall(side, side);
  }
  const count = Math.max(...lain.map(({ sheet }) => sheet)) + 1;
  const sheets = Array.from({ length: count }, (_, sheet): TemplateSheet => {
    const mine = lain
      .filter((each) => each.sheet === sheet)
      .map(({ index, xMm, yMm, turned }): { piece: Piece; place: PiecePlace } => {
        const piece = pieces[index]!;
        const { heightMm } = piece;
        return { piece, place: { turned, heightMm, xMm: xMm + BAR_MARGIN_MM, yMm: yMm + MARGIN_MM } };
      });
    return {
      widthMm: sheetWidthMm,
      heightMm: sheetHeightMm,
      names: mine.map(({ piece }) => piece.name),
      holes: mine.flatMap(({ piece, place }) => piece.holes.map((hole) => movedHole(hole, place))),
      shapes: [
        ...scaleBar({ xMm: BAR_MARGIN_MM, yMm: sheetHeightMm - MARGIN_MM, along: 'x' }),
        ...scaleBar({ xMm: MARGIN_MM, yMm: MARGIN_MM, along: 'y' }),
        ...mine.flatMap(({ piece, place }) => piece.shapes.map((shape) => moved(shape, place))),
      ],
    };
  });
  const begun = lain
    .filter(({ sheet }) => sheet === count - 1)
    .map(({ index, xMm, turned }) => xMm + (turned ? pieces[index]!.heightMm : pieces[index]!.widthMm));
  const area = pieces.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
  const touched = (count - 1) * room.widthMm * room.heightMm + Math.max(...begun) * room.heightMm;
  return ok({ sheets, pieces, usedShare: area / touched, box: measures });
}

function refusal({
  form,
  sizes,
  sheetWidthMm,
  sheetHeightMm,
  kerfMm,
  bridgeMm,
  thicknessMm,
  pitchMm,
}: SizerGeometryOptions) {
  if (sizes.length === 0) return problem('no-sizes', { field: 'sizes' });
  if (sizes.length > MOST_SIZES) {
    return problem('too-many-sizes', { field: 'sizes', detail: { most: MOST_SIZES } });
  }
  const holes = holesProblem(sizes);
  if (holes) {
    const { code, index, other } = holes;
    return problem(code, { field: `sizes.${index}`, detail: { label: sizes[index]!.label, other } });
  }
  const detail = { mostMm: LARGEST_SHEET_MM };
  const sheet = (mm: number) => mm > 0 && mm <= LARGEST_SHEET_MM;
  if (!sheet(sheetWidthMm)) return problem('bad-sheet', { field: 'sheetWidthMm', detail });
  if (!sheet(sheetHeightMm)) return problem('bad-sheet', { field: 'sheetHeightMm', detail });
  if (!(kerfMm >= 0 && kerfMm < 20)) return problem('bad-kerf', { field: 'kerfMm' });
  if (!(bridgeMm >= LEAST_BRIDGE_MM && bridgeMm <= 100)) {
    return problem('bad-bridge', { field: 'bridgeMm', detail: { leastMm: LEAST_BRIDGE_MM } });
  }
  if (kerfMm >= bridgeMm) return problem('kerf-over-bridge', { field: 'kerfMm', detail: { bridgeMm } });
  if (form !== 'box') return null;
  if (!(thicknessMm > 0 && thicknessMm <= 50)) return problem('bad-thickness', { field: 'thicknessMm' });
  if (!(pitchMm > 0 && pitchMm <= 200)) return problem('bad-pitch', { field: 'pitchMm' });
  return null;
}

/** The least piece that carries the largest hole. */
function leastPiece(form: SizerForm, holeMm: number, bridgeMm: number) {
  if (form === 'jaw') return { widthMm: holeMm + 2 * EDGE_MM, heightMm: holeMm + jawBackMm(bridgeMm) };
  if (form === 'strip') {
    const band = bandMm(bridgeMm);
    return { widthMm: holeMm + 2 * band, heightMm: holeMm + 3 * band + 10 };
  }
  return { widthMm: holeMm + 2 * EDGE_MM, heightMm: holeMm + 2 * EDGE_MM };
}

function piecesOf(
  { form, sizes, thicknessMm, pitchMm }: SizerGeometryOptions,
  material: Material,
): Result<{ pieces: Piece[]; box: Omit<Box, 'pieces'> | null }, BoxProblem> {
  if (form === 'plate') return ok({ pieces: plates(sizes, material), box: null });
  if (form === 'jaw') return ok({ pieces: jaws(sizes, material), box: null });
  if (form === 'strip') return ok({ pieces: strips(sizes, material), box: null });
  const made = box(sizes, material, { thicknessMm, pitchMm });
  if (!made.ok) return made;
  const { pieces, ...measures } = made.value;
  return ok({ pieces, box: measures });
}
