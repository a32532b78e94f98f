import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** Kinds of work in the order they are done; what comes later waits for what comes before. */
export const WORK_PHASES = ['stuff', 'inflate', 'tie', 'build', 'load', 'install', 'takeDown'] as const;
export type WorkPhase = (typeof WORK_PHASES)[number];

/** What there is to do. */
export interface WorkCounts {
  /** Balloons that are filled; a pair is one. */
  balloons: number;
  /** Of them pairs that are stuffed first. */
  stuffed: number;
  /** Knots that tie balloons to each other. */
  knots: number;
  /** Clusters, layers and rings that are put on. */
  clusters: number;
  pieces: number;
}

/** One kind of work: hours of hands, and how long it takes with those there are. */
export interface PhaseHours {
  phase: WorkPhase;
  /** By one pair of hands. */
  handHours: number;
  /** With as many at work as can be. */
  hours: number;
  /** Why no more are at it; null where there is nothing to do. */
  limit: 'people' | 'stations' | null;
}

/** The hours of an event. */
export interface Hours {
  phases: PhaseHours[];
  handHours: number;
  /** From the first balloon to the last loaded, one kind of work after another, and then at the place. */
  hours: number;
}

export type HoursProblemCode = 'nobody' | 'no-station';

const SECONDS_PER_HOUR = 3600;

/**
 * How long an event's work takes: each kind of work one after another, as an assembly line has it, each shared evenly by
 * those who can be at it. Only so many inflate at once as there are stations.
 *
 * `sized`: whether balloons are inflated with a sizer or by eye. `people`, `stations`: whole, at least 1. Paces are those
 * of `trade`, for one pair of hands.
 *
 * Source: common practice (all inflation, then all duplets, then all clusters, then the build).
 */
export function hoursFor({
  counts,
  sized,
  people,
  stations,
  trade = TRADE,
}: {
  counts: WorkCounts;
  sized: boolean;
  people: number;
  stations: number;
  trade?: Trade | undefined;
}): Result<Hours, HoursProblemCode> {
  if (!(people >= 1)) return problem('nobody', { field: 'people' });
  if (!(stations >= 1)) return problem('no-station', { field: 'stations' });
  const { balloons, stuffed, knots, clusters, pieces } = counts;
  const { paceS } = trade;
  const seconds: Record<WorkPhase, number> = {
    stuff: stuffed * paceS.stuff,
    inflate: balloons * (sized ? paceS.sized : paceS.eye),
    tie: knots * paceS.tie,
    build: clusters * paceS.build,
    load: balloons * paceS.load,
    install: pieces * paceS.install,
    takeDown: pieces * paceS.takeDown,
  };
  const phases = WORK_PHASES.map((phase): PhaseHours => {
    const handHours = seconds[phase] / SECONDS_PER_HOUR;
    const atStations = phase === 'inflate' && stations < people;
    const hands = atStations ? stations : people;
    const limit = handHours === 0 ? null : atStations ? 'stations' : 'people';
    return { phase, handHours, hours: handHours / hands, limit };
  });
  const sum = (of: 'handHours' | 'hours') => phases.reduce((all, each) => all + each[of], 0);
  return ok({ phases, handHours: sum('handHours'), hours: sum('hours') });
}
