import { randomUUID } from 'node:crypto';

import type { Write } from '@leggero/contract';

/** Sends one write as a device does; answers the bytes of both bodies. */
export const sendWrite = (url: string, write: Write): Promise<number> => sendWrites(url, [write]);

/** Sends some writes as one command; answers the bytes of both bodies. */
export async function sendWrites(url: string, writes: readonly Write[]): Promise<number> {
  const body = JSON.stringify({ commands: [{ key: randomUUID(), writes }] });
  const response = await fetch(`${url}/api/batch`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  });
  const text = await response.text();
  if (!response.ok || !text.includes('"problem":null')) throw new Error(`the write was refused: ${text}`);
  return body.length + text.length;
}
