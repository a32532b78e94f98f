import type { RequestHandler } from 'express';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

import type { SecurityEvent } from '../access/events';
import type { Database } from '../db/connect';
import { listening } from '../records/live';

/** Bounds of how long answers take, s: a tap is to be far below the fifth. */
const BOUNDS_S = [0.005, 0.01, 0.025, 0.05, 0.1, 0.2, 0.5, 1, 2.5, 10];

/** What a server counts of itself, in the text format of Prometheus (version 0.0.4). */
export class Metrics {
  private readonly registry = new Registry();
  private readonly answers: Histogram<'method' | 'route' | 'status'>;
  private readonly events: Counter<'event'>;

  constructor(database: Database) {
    const registers = [this.registry];
    collectDefaultMetrics({ register: this.registry });
    this.answers = new Histogram({
      ...{ name: 'leggero_answer_seconds', help: 'How long requests took, by route.', registers },
      ...{ labelNames: ['method', 'route', 'status'], buckets: BOUNDS_S },
    });
    this.events = new Counter({
      ...{ name: 'leggero_security_events_total', help: 'Signing in, refusals and the like.', registers },
      labelNames: ['event'],
    });
    new Gauge({
      ...{ name: 'leggero_listening', help: 'Devices that wait for word of what is written.', registers },
      collect() {
        this.set(listening());
      },
    });
    const { pool } = database.$client as unknown as { pool: { _allConnections: Sized; _freeConnections: Sized } };
    new Gauge({
      ...{ name: 'leggero_database_connections', help: 'Connections to the database.', registers },
      labelNames: ['state'],
      collect() {
        const [all, free] = [pool._allConnections.length, pool._freeConnections.length];
        this.set({ state: 'free' }, free);
        this.set({ state: 'used' }, all - free);
      },
    });
  }

  /** Counts each request once it is answered, by the route as it is written, so that ids make no lines of their own. */
  counting(): RequestHandler {
    return (request, response, next) => {
      const end = this.answers.startTimer({ method: request.method });
      response.once('finish', () => {
        const { path } = (request.route ?? {}) as { path?: unknown };
        end({ route: typeof path === 'string' ? path : 'none', status: String(response.statusCode) });
      });
      next();
    };
  }

  count(event: SecurityEvent): void {
    this.events.inc({ event });
  }

  /** All of it as text, and the type of that. */
  async told(): Promise<{ text: string; type: string }> {
    return { text: await this.registry.metrics(), type: this.registry.contentType };
  }
}

interface Sized {
  length: number;
}
