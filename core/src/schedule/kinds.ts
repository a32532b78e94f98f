/** A stretch of time, ms since 1970. */
export interface Stretch {
  fromMs: number;
  toMs: number;
}

/** One step of a plan. */
export interface Step {
  id: string;
  /** How long it takes those who are at it, ms; 0 of a moment. */
  lastsMs: number;
  /** It goes on by day and night, as a delivery does; else it is done in hours of work alone, and rests between them. */
  anyHour: boolean;
  /** How many people and stations it holds all the while. */
  people: number;
  stations: number;
  /** Steps that must have ended before it begins. */
  after: readonly string[];
  /** Never begun before, ms since 1970; null where nothing says so. */
  notBeforeMs: number | null;
}

/** What there is to work with. */
export interface Means {
  people: number;
  stations: number;
  /** Hours of work, one after another. */
  hours: readonly Stretch[];
}

/** A step in its place. */
export interface PlacedStep {
  id: string;
  startMs: number;
  endMs: number;
  /** When it is worked at: one stretch, or several with nights between them; none of a moment. */
  parts: Stretch[];
}

export type ScheduleProblemCode =
  | 'nobody'
  | 'no-station'
  | 'bad-length'
  /** It comes after a step that there is not. */
  | 'unknown-step'
  /** Steps wait for one another. */
  | 'circle'
  /** It holds more people, or stations, than there are: `most`. */
  | 'too-many'
  /** The hours of work end before it does. */
  | 'no-hours';
