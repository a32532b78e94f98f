/** What waited too long for its turn, told as the database tells it of a row that another one holds. */
class WaitedTooLong extends Error {
  readonly code = 'ER_LOCK_WAIT_TIMEOUT';

  constructor() {
    super('another one has been busy with this for too long');
  }
}

/** Who is at a thing, and who comes after. */
interface Line {
  /** Through once all that came so far is. */
  last: Promise<void>;
  /** When the work that is under way began, ms since 1970. */
  since: number;
}

/**
 * Work on the same thing goes one after another, in the order in which it came. What would wait for a row that is locked
 * waits here instead: without a connection, so that it keeps nobody from other things.
 */
export class Turns {
  private readonly lines = new Map<string, Line>();

  /** `longestMs`: how long one piece of work is waited for; however many come before, each has that time. */
  constructor(private readonly longestMs: number) {}

  /** Does some work on a thing once all that came before is through, however that ended. */
  take<T>(thing: string, work: () => Promise<T>): Promise<T> {
    const kept = this.lines.get(thing);
    const line = kept ?? { last: Promise.resolve(), since: 0 };
    const before = kept ? kept.last : null;
    this.lines.set(thing, line);
    const begin = () => {
      line.since = Date.now();
      return work();
    };
    const turn = before ? this.waited({ line, before, begin }) : begin();
    const through = turn.then(nothing, nothing);
    // Of one that gave up, what came before is still under way.
    const last = before ? before.then(() => through) : through;
    line.last = last;
    void last.then(() => {
      if (line.last === last) this.lines.delete(thing);
    });
    return turn;
  }

  private waited<T>({
    line,
    before,
    begin,
  }: {
    line: Line;
    before: Promise<void>;
    begin: () => Promise<T>;
  }): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      let late = false;
      const look = () => {
        const left = line.since + this.longestMs - Date.now();
        if (left > 0) return void (timer = setTimeout(look, left));
        late = true;
        reject(new WaitedTooLong());
      };
      let timer = setTimeout(look, this.longestMs);
      void before.then(() => {
        clearTimeout(timer);
        if (!late) begin().then(resolve, reject);
      });
    });
  }
}

const nothing = (): void => undefined;
