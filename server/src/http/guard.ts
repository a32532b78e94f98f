import type { RequestHandler } from 'express';
import { isIP } from 'node:net';

import { HttpProblem } from './problem';

/** Names that always mean this machine. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];

export interface GuardOptions {
  /** Other names the service is called by, such as that of the machine in the studio's network. */
  names?: readonly string[];
  /** Whether others than this machine reach it. */
  open?: boolean;
  /** Whether it listens to them itself, and so may be called by any of its addresses. */
  anyAddress?: boolean;
}

/**
 * Lets nobody in but pages of the service itself, and programs that are no browser.
 *
 * A page from elsewhere can point a name of its own at this machine (DNS rebinding); its requests bear that name in
 * Host, so only known names and bare addresses are answered. A page on another port of this machine is told by its
 * Origin, or by what the browser says of where a request comes from (Fetch Metadata).
 */
export function onlyOwnPages({ names = [], open = false, anyAddress = open }: GuardOptions = {}): RequestHandler {
  const known = new Set([...OWN_NAMES, ...names].map((name) => name.toLowerCase()));
  return ({ headers, path }, _, next) => {
    const host = headers.host?.toLowerCase() ?? '';
    const name = host.replace(/:\d+$/, '');
    const bare = name.replace(/^\[|\]$/g, '');
    if (!known.has(name) && !(anyAddress && isIP(bare) !== 0)) {
      throw new HttpProblem(421, 'Leggero is not called by this name.');
    }
    const { origin } = headers;
    const from = headers['sec-fetch-site'];
    const foreign = origin === undefined ? from === 'cross-site' || from === 'same-site' : hostOf(origin) !== host;
    if (foreign && path.startsWith('/api'))
      throw new HttpProblem(403, 'Only pages of Leggero itself may ask for this.');
    next();
  };
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}
