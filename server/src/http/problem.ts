import type { ProblemDocument } from '@leggero/contract';
import type { z } from 'zod';

/** Those who may, by the least of them. */
const WHO = { maker: 'makers, planners and owners', planner: 'planners and owners', owner: 'owners' } as const;

/** An error that is answered as an RFC 9457 problem document. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly fields: { path: string; message: string }[] = [],
  ) {
    super(title);
  }

  static notFound(): HttpProblem {
    return new HttpProblem(404, 'There is nothing here by that id.');
  }

  /** Whoever asks is not signed in: 401. */
  static signedOut(): HttpProblem {
    return new HttpProblem(401, 'Sign in first.');
  }

  /** Whoever asks may not do this in the studio; who may is said. */
  static notAllowed(least: 'maker' | 'planner' | 'owner'): HttpProblem {
    return new HttpProblem(403, `Only ${WHO[least]} of the studio may do this.`);
  }

  static conflict(title: string): HttpProblem {
    return new HttpProblem(409, title);
  }

  /** What hangs on a command that was not carried out: 424, after RFC 4918. */
  static dependent(): HttpProblem {
    return new HttpProblem(424, 'It hangs on an entry before it that was not taken.');
  }

  /** What is sent again later is not lost: 507, after RFC 4918. */
  static noRoom(): HttpProblem {
    return new HttpProblem(507, 'The disk with the records is full: make room, and what waits is saved.');
  }

  /** A body that the contract refuses, field by field. */
  static invalid(error: z.ZodError): HttpProblem {
    return HttpProblem.unusable(...error.issues.map(({ path, message }) => ({ path: path.join('.'), message })));
  }

  /** A body that reads well and still cannot be, by the fields to blame. */
  static unusable(...fields: { path: string; message: string }[]): HttpProblem {
    return new HttpProblem(400, 'Some of what was sent cannot be used.', fields);
  }

  /** A body that names a record the studio does not have. */
  static unknown(path: string): HttpProblem {
    return new HttpProblem(404, 'There is nothing by that id.', [{ path, message: 'Nothing is known by this id' }]);
  }

  document(): ProblemDocument {
    const base = { type: 'about:blank', title: this.message, status: this.status };
    return this.fields.length > 0 ? { ...base, fields: this.fields } : base;
  }
}
