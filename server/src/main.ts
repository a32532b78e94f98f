import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';

import { pino } from 'pino';

import { connect, databaseError, isAway } from './db/connect';
import { applyMigrations } from './db/migrate';
import { fillDemo } from './demo/fill';
import { createApp } from './http/app';
import { openStudio } from './studio/store';

const { DATABASE_URL, PORT = '8787', HOST = '127.0.0.1', WEB_FOLDER, LEGGERO_DEMO, LOG_LEVEL = 'info' } = process.env;

/** Ends the process with one sentence. */
function refuse(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  if (!DATABASE_URL) refuse('DATABASE_URL is not set: start with npm start or npm run demo.');
  const logger = pino({ level: LOG_LEVEL });
  const database = connect({ url: DATABASE_URL });
  await applyMigrations(database);
  const studioId = LEGGERO_DEMO === '1' ? await fillDemo({ database }) : await openStudio({ database });
  const app = createApp({ database, studioId, logger, ...(WEB_FOLDER ? { webFolder: WEB_FOLDER } : {}) });
  const server = createServer(app);
  server.on('error', (error: NodeJS.ErrnoException) => {
    refuse(
      error.code === 'EADDRINUSE'
        ? `Port ${PORT} is in use: stop what runs there, or choose another with PORT=8788.`
        : `The server could not start (${error.message}).`,
    );
  });
  server.listen(Number(PORT), HOST, () => {
    const { port } = server.address() as AddressInfo;
    logger.info({ port }, 'listening');
    process.send?.({ listening: port });
  });

  const stop = () => {
    server.close(() => void database.$client.end().finally(() => process.exit(0)));
    server.closeIdleConnections();
    // Whoever keeps a connection open does not keep the records from closing in order.
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);
  process.once('disconnect', stop);
}

main().catch((error: unknown) => {
  const known = databaseError(error);
  if (known && isAway(known.code)) refuse(`The database cannot be reached (${known.code}).`);
  if (known) refuse(`The database refused to start: ${known.message}`);
  throw error;
});
