import type { Request } from 'express';

/** Work that nobody waits for: where it fails, that is told in the log. */
export function inBackground(request: Request, work: Promise<unknown> | undefined): void {
  work?.catch((error: unknown) => request.log?.error({ err: error }, 'left undone'));
}
