import { randomUUID } from 'node:crypto';

import type { Write } from '@leggero/contract';

/** Sends one write as a device does; answers the bytes of both bodies. */
export async function sendWrite(url: string, write: Write): Promise<number> {
  const body = JSON.stringify({ commands: [{ key: randomUUID(), writes: [write] }] });
  const response = await fetch(`${url}/api/batch`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  });
  const text = await response.text();
  if (!response.ok || !text.includes('"problem":null')) throw new Error(`the write was refused: ${text}`);
  return body.length + text.length;
}
