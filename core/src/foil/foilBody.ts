import { sphereVolumeL, type FoilKind } from '../balloon';
import { ok, problem, type Result } from '../result';

/** Forms a foil is cut in: a round one, or anything else, taken as a pillow of its flat size. */
export const FOIL_FORMS = ['disc', 'pillow'] as const;
export type FoilForm = (typeof FOIL_FORMS)[number];

/** A foil when full. */
export interface FoilBody {
  /** Across and up, and from front to back, mm. */
  widthMm: number;
  heightMm: number;
  depthMm: number;
  /** Litres; for a pillow an upper bound, as letters and figures lose some to their corners. */
  volumeL: number;
}

export type FoilProblemCode = 'bad-size';

/** Complete elliptic integral K(1/sqrt 2) by the arithmetic-geometric mean: pi / (2 agm(1, 1/sqrt 2)). */
function lemniscateK(): number {
  let a = 1;
  let b = Math.SQRT1_2;
  for (let i = 0; i < 6; i += 1) [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
  return Math.PI / (2 * a);
}

/** Flat radius over full radius of a round foil: K(1/sqrt 2) / sqrt 2 = 1.3110. */
const FLAT_OVER_FULL = lemniscateK() / Math.SQRT2;
/** Half its depth over its full radius: E-type integral, by Legendre's relation pi / (4 x 1.3110) = 0.5991. */
const HALF_DEPTH = Math.PI / (4 * FLAT_OVER_FULL);
const MM3_PER_LITRE = 1e6;

/**
 * What a foil that does not stretch becomes when full. A round one of two discs: full radius r = flat radius a /
 * 1.3110, depth 2 x 0.5991 r, volume (2/3) pi a r^2. A pillow w by h, the shorter side w: V = w^3 (h / (pi w) - 0.142
 * (1 - 10^(-h/w))); its sides draw in as a half circle takes up the skin.
 *
 * Problem: `bad-size`.
 * Sources: W. H. Paulsen, What is the shape of a Mylar balloon?, American Mathematical Monthly 101 (1994); A. C.
 * Robin, Paper bag problem, Mathematics Today 40 (2004).
 */
export function foilBody({
  form,
  flatWidthMm,
  flatHeightMm = flatWidthMm,
}: {
  form: FoilForm;
  flatWidthMm: number;
  flatHeightMm?: number;
}): Result<FoilBody, FoilProblemCode> {
  for (const [field, mm] of Object.entries({ flatWidthMm, flatHeightMm }))
    if (!(mm > 0 && Number.isFinite(mm))) return problem('bad-size', { field });
  if (form === 'disc') {
    const radius = flatWidthMm / 2 / FLAT_OVER_FULL;
    return ok({
      widthMm: 2 * radius,
      heightMm: 2 * radius,
      depthMm: 2 * HALF_DEPTH * radius,
      volumeL: ((2 / 3) * Math.PI * (flatWidthMm / 2) * radius * radius) / MM3_PER_LITRE,
    });
  }
  const short = Math.min(flatWidthMm, flatHeightMm);
  const long = Math.max(flatWidthMm, flatHeightMm);
  const volume = short ** 3 * (long / (Math.PI * short) - 0.142 * (1 - 10 ** (-long / short)));
  // The middle of a long pillow is a tube of twice the short side around.
  const tube = (2 * short) / Math.PI;
  const shrunk = (mm: number) => (mm === short ? tube : mm - (short - tube));
  return ok({
    widthMm: shrunk(flatWidthMm),
    heightMm: shrunk(flatHeightMm),
    depthMm: tube,
    volumeL: volume / MM3_PER_LITRE,
  });
}

/** A foil as its packet describes it. */
export interface FlatFoil {
  kind: FoilKind;
  /** Across, lying flat, mm; of a stretchy sphere what its name says. */
  nominalMm: number;
  /** Up, lying flat, mm; null for a round one. */
  lengthMm: number | null;
}

/** A foil's body when full: a disc or a pillow of its flat size; a stretchy sphere is as wide as its name says. */
export function bodyWhenFull({ kind, nominalMm, lengthMm }: FlatFoil): Result<FoilBody, FoilProblemCode> {
  if (kind === 'stretch-foil') {
    const volumeL = sphereVolumeL({ widthMm: nominalMm });
    return ok({ widthMm: nominalMm, heightMm: nominalMm, depthMm: nominalMm, volumeL });
  }
  return lengthMm === null
    ? foilBody({ form: 'disc', flatWidthMm: nominalMm })
    : foilBody({ form: 'pillow', flatWidthMm: nominalMm, flatHeightMm: lengthMm });
}

/** The area of one face lying flat, mm2. */
export function flatAreaMm2({ nominalMm, lengthMm }: Pick<FlatFoil, 'nominalMm' | 'lengthMm'>): number {
  return lengthMm === null ? (Math.PI / 4) * nominalMm ** 2 : nominalMm * lengthMm;
}
