import { statfs } from 'node:fs/promises';

import type { RequestHandler } from 'express';

import { HttpProblem } from './problem';

/** Below this the database may stop in the middle of a write, bytes. */
const LEAST_FREE = 32 * 2 ** 20;
/** How long an answer of the disk is good for, ms. */
const FRESH_MS = 1000;

export type HasRoom = () => Promise<boolean>;

/** Whether the disk of a folder has room for more records; asked at most once a second. */
export function roomOf(folder: string): HasRoom {
  let asked = 0;
  let answer: Promise<boolean> = Promise.resolve(true);
  return () => {
    if (Date.now() - asked > FRESH_MS) {
      asked = Date.now();
      answer = statfs(folder).then(
        ({ bavail, bsize }) => bavail * bsize >= LEAST_FREE,
        () => true,
      );
    }
    return answer;
  };
}

/** Refuses to save anything while the disk is full, before the database has to, and lets the health route say so. */
export function onlyWithRoom(hasRoom: HasRoom): RequestHandler {
  return async ({ method, path }, _, next) => {
    const saves = (method === 'POST' || method === 'PUT' || method === 'PATCH') && path !== '/session';
    if ((saves || path === '/health') && !(await hasRoom())) throw HttpProblem.noRoom();
    next();
  };
}
