import { TRADE, type Trade } from '../trade';
import type { Step } from './kinds';

/** What there is to do for one piece, all its copies. */
export interface PieceToDo {
  id: string;
  /** Balloons that are filled; a pair is one. */
  balloons: number;
  /** Of them pairs that are stuffed first. */
  stuffed: number;
  knots: number;
  /** Clusters, layers and rings that are put on. */
  clusters: number;
  /** How many of it are put up. */
  copies: number;
}

/** How an event is worked at. */
export interface EventPlan {
  people: number;
  stations: number;
  /** With a sizer, or by eye. */
  sized: boolean;
  /** One way to the place, ms. */
  travelMs: number;
  /** From ordering to having it, ms; 0 where nothing is to be bought. */
  deliveryMs: number;
}

/** Kinds of steps of an event; `build` and `up` are of a piece each. */
export const STEP_KINDS = [
  ...(['buy', 'stuff', 'inflate', 'tie', 'build', 'check', 'load', 'travel', 'up', 'down', 'back'] as const),
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** A step of an event, and of which piece; null of one that is for all. */
export interface EventStep extends Step {
  kind: StepKind;
  piece: string | null;
}

/** So many work at one piece without being in each other's way (common practice). */
const AT_PIECE = 2;

interface EventStepsOptions {
  pieces: readonly PieceToDo[];
  plan: EventPlan;
  /** Steps that are done, by their ids: nothing waits for them any more. */
  done?: ReadonlySet<string> | undefined;
  /** Balloons that are made already. */
  made?: number | undefined;
  /** A night lies between its balloons and its loading: they are measured in the morning. */
  overnight?: boolean;
  /** Inflating does not begin before, ms since 1970; null where nothing says so. */
  inflateFromMs?: number | null;
  trade?: Trade | undefined;
}

/**
 * The steps of an event until it stands: to buy, stuff, inflate, tie, build, measure in the morning, load, travel, put up.
 * All inflation comes before all tying, as an assembly line has it; pieces are built and put up side by side, two people
 * at each. What there is nothing of, or what is done, is no step. Paces are those of `trade`, for one pair of hands.
 *
 * Source: common practice (all inflation, then all duplets, then all clusters, then the build).
 */
export function eventSteps({
  pieces,
  plan: { people, stations, sized, travelMs, deliveryMs },
  done = new Set(),
  made = 0,
  overnight = false,
  inflateFromMs = null,
  trade = TRADE,
}: EventStepsOptions): EventStep[] {
  const { paceS } = trade;
  const sum = (of: 'balloons' | 'stuffed' | 'knots') => pieces.reduce((all, piece) => all + piece[of], 0);
  const atStations = Math.min(people, stations);
  const atPiece = Math.min(people, AT_PIECE);
  const steps: EventStep[] = [];
  /** Ends of what was laid last: what comes next waits for all of it. */
  let ends: string[] = [];
  const lay = (kind: StepKind, all: { piece: string | null; handS: number; hands: number; anyHour?: boolean }[]) => {
    const idOf = (piece: string | null) => (piece === null ? kind : `${kind} ${piece}`);
    const some = all.filter(({ piece, handS }) => handS > 0 && !done.has(idOf(piece)));
    if (some.length === 0) return;
    const after = ends;
    ends = some.map(({ piece, handS, hands, anyHour = false }) => {
      const id = idOf(piece);
      const lastsMs = (1000 * handS) / Math.max(1, hands);
      const held = { people: hands, stations: kind === 'inflate' ? hands : 0 };
      const notBeforeMs = kind === 'inflate' ? inflateFromMs : null;
      steps.push({ id, kind, piece, lastsMs, anyHour, ...held, after, notBeforeMs });
      return id;
    });
  };
  const forAll = (kind: StepKind, handS: number, hands: number, anyHour = false) =>
    lay(kind, [{ piece: null, handS, hands, anyHour }]);
  const forEach = (kind: StepKind, handS: (piece: PieceToDo) => number) =>
    lay(
      kind,
      pieces.map((piece) => ({ piece: piece.id, handS: handS(piece), hands: atPiece })),
    );
  forAll('buy', deliveryMs / 1000, 0, true);
  forAll('stuff', sum('stuffed') * paceS.stuff, people);
  forAll('inflate', Math.max(0, sum('balloons') - made) * (sized ? paceS.sized : paceS.eye), atStations);
  forAll('tie', sum('knots') * paceS.tie, people);
  forEach('build', ({ clusters }) => clusters * paceS.build);
  if (overnight) forAll('check', paceS.check, 1);
  forAll('load', sum('balloons') * paceS.load, people);
  forAll('travel', (travelMs / 1000) * people, people);
  forEach('up', ({ copies }) => copies * paceS.install);
  return steps;
}

/** What comes after it stood: to take it down, whenever that is, and the way back. */
export function downSteps({
  pieces,
  plan: { people, travelMs },
  done = new Set(),
  closesMs,
  trade = TRADE,
}: Pick<EventStepsOptions, 'pieces' | 'plan' | 'done' | 'trade'> & { closesMs: number }): EventStep[] {
  const copies = pieces.reduce((all, piece) => all + piece.copies, 0);
  if (copies === 0) return [];
  const about = { anyHour: true, people, stations: 0, piece: null, notBeforeMs: closesMs };
  const down: EventStep = {
    ...about,
    ...{ id: 'down', kind: 'down', after: [] },
    lastsMs: (1000 * copies * trade.paceS.takeDown) / Math.max(1, people),
  };
  const after = done.has('down') ? [] : ['down'];
  const back: EventStep = { ...about, id: 'back', kind: 'back', after, lastsMs: travelMs };
  return [down, ...(travelMs > 0 ? [back] : [])].filter(({ id }) => !done.has(id));
}
