import {
  hangsOn,
  layWrites,
  NO_ROWS,
  NOUN_NAMES,
  writeSchema,
  type Changes,
  type NounName,
  type ParsedWrite,
  type ProblemDocument,
  type Rows,
} from '@leggero/contract';

interface Command {
  key: string;
  writes: unknown[];
}

export const problem = (status: number, title = 'not now'): ProblemDocument => ({
  type: 'about:blank',
  title,
  status,
});

const answered = (body: unknown, status = 200) => ({ ok: status < 400, status, json: async () => body }) as Response;

/** A server in memory: takes batches, and tells of changes by revision. Devices reach it by `fetch`. */
export class FakeServer {
  rows: Rows = NO_ROWS;
  revision = 0;
  /** What was asked of it, in words. */
  readonly asked: string[] = [];
  /** The writes it has carried out, in order. */
  readonly carriedOut: ParsedWrite[] = [];
  /** Whether it can be reached. */
  away = false;
  /** What it answers instead of doing what it is asked, once each. */
  readonly instead: (() => Response | Promise<Response>)[] = [];
  /** Why it will not take a write; null when it will. */
  refuses: (write: ParsedWrite) => ProblemDocument | null = () => null;
  /** Every change there was, oldest first. */
  private readonly log: { revision: number; noun: NounName; id: string }[] = [];

  constructor(rows: Rows = NO_ROWS) {
    this.change(rows);
    globalThis.fetch = ((url: string, init: RequestInit) => this.answer(url, init)) as typeof fetch;
  }

  /** As another device would write. */
  write(...writes: unknown[]): void {
    this.change(
      layWrites(
        this.rows,
        writes.map((write) => writeSchema.parse(write)),
      ),
    );
  }

  private change(rows: Rows): void {
    this.revision += 1;
    for (const noun of NOUN_NAMES) {
      const [before, after] = [this.rows[noun], rows[noun]] as ReadonlyMap<string, unknown>[];
      for (const id of new Set([...before!.keys(), ...after!.keys()]))
        if (before!.get(id) !== after!.get(id)) this.log.push({ revision: this.revision, noun, id });
    }
    this.rows = rows;
  }

  private async answer(url: string, { method, body, signal }: RequestInit): Promise<Response> {
    this.asked.push(`${method} ${url.split('?')[0]}`);
    await Promise.resolve();
    if (signal?.aborted) throw new DOMException('given up', 'AbortError');
    if (this.away) throw new TypeError('no connection');
    const instead = this.instead.shift();
    if (instead) return instead();
    if (method === 'GET') return answered(this.since(Number(new URL(url, 'http://x').searchParams.get('since'))));
    const { commands, since } = JSON.parse(String(body)) as { commands: Command[]; since?: string };
    const left: Command[] = [];
    const answers = commands.map((command) => {
      const refused = left.some((other) => hangsOn(command, other)) ? problem(424) : this.carryOut(command);
      if (refused) left.push(command);
      return { key: command.key, problem: refused };
    });
    return answered({ answers, ...(since === undefined ? {} : { changes: this.since(Number(since)) }) });
  }

  private carryOut({ writes }: Command): ProblemDocument | null {
    const parsed = writes.map((write) => writeSchema.parse(write));
    const refused = parsed.map((write) => this.refuses(write)).find((each) => each !== null);
    if (refused) return refused;
    if (parsed.some((write) => 'change' in write && !this.rows[write.change].has(write.id))) return problem(404);
    this.carriedOut.push(...parsed);
    this.change(layWrites(this.rows, parsed));
    return null;
  }

  private since(cursor: number): Changes {
    const rows: Record<string, unknown[]> = {};
    const gone: Record<string, string[]> = {};
    for (const key of new Set(
      this.log.filter(({ revision }) => revision > cursor).map(({ noun, id }) => `${noun} ${id}`),
    )) {
      const [noun, id] = key.split(' ') as [NounName, string];
      const row = this.rows[noun].get(id);
      if (row) (rows[noun] ??= []).push(row);
      else (gone[noun] ??= []).push(id);
    }
    return {
      cursor: String(this.revision),
      revision: this.revision,
      more: false,
      anew: false,
      rows: rows as Changes['rows'],
      gone,
    };
  }
}
