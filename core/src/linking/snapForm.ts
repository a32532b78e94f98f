import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { roundToStep } from '../units';
import {
  formOf,
  tiesOf,
  tieWidthMm,
  type Form,
  type FormLayer,
  type FormProblemCode,
  type FormShape,
  type TieLayer,
} from './form';

/** One size of a form: all layers of one key. */
export interface SnappedSize {
  key: string;
  /** Balloons of this size in the whole form. */
  count: number;
  exactMm: number;
  /** On the sizer's steps, mm. */
  widthMm: number;
  /**
   * How much longer than its place each of its rings is, all the way round, mm (below 0: it stays open). For a cap or
   * a tie, how much wider than its place.
   */
  closingMm: number;
  /** That as a share of what the joints take up: above 1 it does not close. */
  ofGive: number;
}

export interface SnappedForm {
  /** The form that the stepped sizes make: of the same family, its surface as near to them as can be. */
  form: Form;
  sizes: SnappedSize[];
  /** The worst `ofGive`. */
  worst: number;
  /** The same had every size been rounded alone. */
  roundedWorst: number;
  /** Snappings that were compared. */
  compared: number;
}

export type SnapProblemCode =
  | FormProblemCode
  | 'bad-step'
  /** No two neighbouring layers differ by a step: `differenceMm` is the most they do. */
  | 'steps-too-coarse'
  /** The tying balloons would be smaller than is useful: `tieMm`, `leastTieMm`, and `nearestMm` the base that works. */
  | 'tie-too-small';

/** Steps to both sides of the exact size that are tried: five sizes for each layer. */
const REACH = 2;
/** What leaving the asked sizes by a step counts beside a closing error that uses up the give. */
const DEPARTURE = 0.2;

/**
 * The sizes of a form on the steps of a sizer. The size it starts from stays as asked, on its nearest step. Rounding
 * each other layer alone leaves errors that add up around a ring; here all are tried together (five sizes each), and
 * each set is held against the whole family of forms
 * (larger or smaller and, with a wall, leaning more or less): what no member explains is the closing error. The set
 * that closes best wins, a set nearer to what was asked for before one further away. Tying balloons are then stepped
 * to the places that set leaves.
 *
 * Problems: those of `formOf`; `bad-step`; `steps-too-coarse`; `tie-too-small`.
 */
export function snapForm({
  shape,
  stepMm,
  leastTieMm,
  trade = TRADE,
}: {
  shape: FormShape;
  stepMm: number;
  leastTieMm: number;
  trade?: Trade | undefined;
}): Result<SnappedForm, SnapProblemCode> {
  const asked = formOf(shape, trade);
  if (!asked.ok) return asked;
  if (!(stepMm > 0 && stepMm < shape.baseMm)) return problem('bad-step', { field: 'stepMm' });
  const exact = formOf({ ...shape, baseMm: roundToStep({ mm: shape.baseMm, step: stepMm }) }, trade);
  if (!exact.ok) return exact;
  const sizes = sizesOf(exact.value);
  const differenceMm = mostDifference(sizes);
  // Equal layers are meant to be equal: a straight cup has no difference to lose.
  if (differenceMm > SAME_MM && differenceMm < stepMm - 1e-6)
    return problem('steps-too-coarse', { field: 'stepMm', detail: { differenceMm } });
  const tie = smallestTie(exact.value.ties);
  if (tie < leastTieMm) {
    const nearestMm = baseForTie(shape, stepMm, leastTieMm, tie, trade);
    return problem('tie-too-small', { field: 'baseMm', detail: { tieMm: tie, leastTieMm, nearestMm } });
  }
  const { shape: stepped } = exact.value;
  const family = familyOf(stepped, sizes, trade);
  const found = searchSteps(sizes, family, stepMm, trade);
  const stood = standing(stepped, sizes, found.widths, family, trade);
  const rounded = sizes.map(({ widthMm }) => roundToStep({ mm: widthMm, step: stepMm }));
  const roundedStood = standing(stepped, sizes, rounded, family, trade);
  const { form, snapped } = dressed(stood, sizes, found.widths, stepMm, trade);
  return ok({
    form,
    sizes: snapped,
    worst: Math.max(...snapped.map(({ ofGive }) => ofGive)),
    roundedWorst: Math.max(...dressed(roundedStood, sizes, rounded, stepMm, trade).snapped.map(({ ofGive }) => ofGive)),
    compared: found.compared,
  });
}

/** The smallest base on a step whose ties are as large: in proportion, and a step more where joints do not scale. */
function baseForTie(shape: FormShape, stepMm: number, leastTieMm: number, tieMm: number, trade: Trade): number {
  let baseMm = Math.ceil((shape.baseMm * leastTieMm) / tieMm / stepMm) * stepMm;
  for (let tries = 0; tries < MOST_TRIES; tries += 1, baseMm += stepMm) {
    const form = formOf({ ...shape, baseMm }, trade);
    if (form.ok && smallestTie(form.value.ties) >= leastTieMm) break;
  }
  return baseMm;
}

const MOST_TRIES = 20;

/** Nearer than this two layers are meant to be one size, mm. */
const SAME_MM = 0.2;

/** One size of the exact form: its width and what one step of it does all the way round. */
interface ExactSize {
  key: string;
  /** Balloons in one of its layers. */
  around: number;
  count: number;
  widthMm: number;
  pitchMm: number;
  cap: boolean;
}

function sizesOf({ shape, layers }: Form): ExactSize[] {
  const sizes: ExactSize[] = [];
  for (const { key, role, count, widthMm, jointMm } of layers) {
    const same = sizes.find((size) => size.key === key);
    if (same) same.count += count;
    else
      sizes.push({
        key,
        around: count,
        count,
        widthMm,
        pitchMm: widthMm + (role === 'cap' ? 0 : (jointMm ?? shape.jointMm)),
        cap: role === 'cap',
      });
  }
  // A ball is told from its equator, as a dome is.
  const start = sizes.findIndex(({ key }) => key === 'ring-1' || key === 'spokes');
  return start > 0 && layers[0]!.role === 'cap' ? [...sizes].reverse() : sizes;
}

function mostDifference(sizes: readonly ExactSize[]): number {
  return Math.max(0, ...sizes.slice(1).map(({ widthMm }, i) => Math.abs(widthMm - sizes[i]!.widthMm)));
}

function smallestTie(ties: readonly TieLayer[]): number {
  return Math.min(Infinity, ...ties.map(({ widthMm }) => widthMm));
}

/** What of a form may move so that its sizes fit the steps. */
interface Family {
  names: ('baseMm' | 'leanDeg')[];
  /** Change of each size, as a share of its pitch, with each of them: rows are sizes. */
  slopes: number[][];
  /** The same as least squares uses it: (J'J)^-1 J'. */
  solve: number[][];
}

function familyOf(shape: FormShape, sizes: readonly ExactSize[], trade: Trade): Family {
  const walled = shape.kind === 'basket' || shape.kind === 'cup';
  const names: Family['names'] = walled && sizes.length > 1 ? ['baseMm', 'leanDeg'] : ['baseMm'];
  const by = { baseMm: shape.baseMm * 1e-5, leanDeg: 1e-4 };
  const columns = names.map((name) => {
    const moved = formOf({ ...shape, [name]: shape[name] + by[name] }, trade);
    const there = moved.ok ? sizesOf(moved.value) : sizes;
    return sizes.map(({ widthMm, pitchMm }, i) => (there[i]!.widthMm - widthMm) / by[name] / pitchMm);
  });
  const slopes = sizes.map((_, i) => columns.map((column) => column[i]!));
  return { names, slopes, solve: pseudoInverse(columns) };
}

/** (J'J)^-1 J' of one or two columns. */
function pseudoInverse(columns: readonly number[][]): number[][] {
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0);
  const [u, v] = columns as [number[], number[] | undefined];
  const uu = dot(u, u);
  if (!v) return [u.map((x) => x / uu)];
  const [uv, vv] = [dot(u, v), dot(v, v)];
  const det = uu * vv - uv * uv;
  return [u.map((x, i) => (vv * x - uv * v[i]!) / det), u.map((x, i) => (uu * v[i]! - uv * x) / det)];
}

/** Every set of steps near the exact sizes, the first as it is, layer by layer, each partial sum of its residuals carried along. */
function searchSteps(sizes: readonly ExactSize[], { slopes, solve }: Family, stepMm: number, trade: Trade) {
  const many = sizes.length;
  const give = trade.ringGive;
  // Residual of size i for a unit step off of size j: (I - J (J'J)^-1 J').
  const leaves = sizes.map((_, i) =>
    sizes.map((_, j) => Number(i === j) - slopes[i]!.reduce((sum, slope, p) => sum + slope * solve[p]![j]!, 0)),
  );
  const options = sizes.map(({ widthMm, pitchMm }, i) => {
    const nearest = Math.round(widthMm / stepMm);
    if (i === 0) return [{ mm: nearest * stepMm, off: (nearest * stepMm - widthMm) / pitchMm, departs: 0 }];
    return Array.from({ length: 2 * REACH + 1 }, (_, i) => (nearest - REACH + i) * stepMm)
      .filter((mm) => mm > 0)
      .map((mm) => ({ mm, off: (mm - widthMm) / pitchMm, departs: ((mm - widthMm) / stepMm) ** 2 / many }));
  });
  const sums = Array.from({ length: many + 1 }, () => new Float64Array(many));
  const chosen = new Float64Array(many);
  const best = { score: Infinity, widths: [] as number[], compared: 0 };
  const descend = (level: number, departs: number) => {
    if (level === many) {
      best.compared += 1;
      let worst = 0;
      for (let i = 0; i < many; i += 1) worst = Math.max(worst, Math.abs(sums[many]![i]!));
      const score = worst / give + DEPARTURE * departs;
      if (score < best.score) Object.assign(best, { score, widths: [...chosen] });
      return;
    }
    for (const { mm, off, departs: adds } of options[level]!) {
      const [from, to] = [sums[level]!, sums[level + 1]!];
      for (let i = 0; i < many; i += 1) to[i] = from[i]! + leaves[i]![level]! * off;
      chosen[level] = mm;
      descend(level + 1, departs + adds);
    }
  };
  descend(0, 0);
  return best;
}

/** The member of the family nearest to the stepped sizes. */
function standing(
  shape: FormShape,
  sizes: readonly ExactSize[],
  widths: readonly number[],
  { names, solve }: Family,
  trade: Trade,
): Form {
  let at = shape;
  let form = formOf(at, trade);
  for (let round = 0; round < 4 && form.ok; round += 1) {
    const now = sizesOf(form.value);
    const off = sizes.map(({ pitchMm }, i) => (widths[i]! - now[i]!.widthMm) / pitchMm);
    const next = { ...at };
    names.forEach((name, p) => {
      next[name] += solve[p]!.reduce((sum, each, i) => sum + each * off[i]!, 0);
    });
    next.leanDeg = Math.max(0, next.leanDeg);
    const moved = formOf(next, trade);
    if (!moved.ok) break;
    [at, form] = [next, moved];
  }
  if (!form.ok) throw new Error('a form near one that stands does not');
  return form.value;
}

/** The form with its stepped sizes on, and how each of them closes. */
function dressed(stood: Form, sizes: readonly ExactSize[], widths: readonly number[], stepMm: number, trade: Trade) {
  const places = sizesOf(stood);
  const widthByKey = new Map(sizes.map(({ key }, i) => [key, widths[i]!]));
  const layers = stood.layers.map((layer): FormLayer => ({ ...layer, widthMm: widthByKey.get(layer.key)! }));
  const snapped = sizes.map(({ key, around, count, widthMm: exactMm, cap }, i): SnappedSize => {
    const { widthMm: placeMm, pitchMm } = places[i]!;
    const off = widths[i]! - placeMm;
    const ofGive = Math.abs(off) / (cap ? trade.tieGive * placeMm : trade.ringGive * pitchMm);
    return { key, count, exactMm, widthMm: widths[i]!, closingMm: cap ? off : around * off, ofGive };
  });
  const { ties, sizes: tieSizes } = snappedTies(stood, layers, stepMm, trade);
  return { form: { ...stood, layers, ties }, snapped: [...snapped, ...tieSizes] };
}

/** Ties of one stepped size are one key; bands that want another size have their own. */
function snappedTies(stood: Form, layers: readonly FormLayer[], stepMm: number, trade: Trade) {
  const sizes: SnappedSize[] = [];
  const ties = (stood.ties.length > 0 ? tiesOf(stood.layers, trade) : []).map((tie): TieLayer => {
    const exactMm = tieWidthMm({ lowerMm: layers[tie.below]!.widthMm, upperMm: layers[tie.above]!.widthMm }, trade);
    const widthMm = Math.max(stepMm, roundToStep({ mm: exactMm, step: stepMm }));
    const same = sizes.find((size) => size.widthMm === widthMm);
    const closingMm = widthMm - exactMm;
    const ofGive = Math.abs(closingMm) / (trade.tieGive * widthMm);
    if (same) {
      same.count += tie.count;
      if (ofGive > same.ofGive) Object.assign(same, { closingMm, ofGive, exactMm });
    } else sizes.push({ key: `ties-${sizes.length + 1}`, count: tie.count, exactMm, widthMm, closingMm, ofGive });
    return { ...tie, widthMm, key: (same ?? sizes.at(-1)!).key };
  });
  return { ties, sizes };
}
