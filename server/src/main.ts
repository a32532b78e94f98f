import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

import type { PoolConnection } from 'mysql2/promise';
import { pino } from 'pino';

import { anyAccounts } from './access/accounts';
import { freshCode } from './access/secret';
import { connect, databaseError, isAway } from './db/connect';
import { damagedTables } from './db/damage';
import { dumpTo } from './db/dump';
import { applyMigrations } from './db/migrate';
import { forgetOldKeys } from './records/once';
import { fillDemo } from './demo/fill';
import { createApp } from './http/app';
import { CertificateRefusal, givenCertificate, madeCertificate, type Certificate } from './http/certificate';
import { roomOf } from './http/room';
import { openStudio } from './studio/store';

const { DATABASE_URL, PORT = '8787', WEB_FOLDER, LEGGERO_DEMO, LEGGERO_DUMPS, LOG_LEVEL = 'info' } = process.env;
// Not HOST: many shells set that to the name of the machine, and would open the records to the network unasked.
const { LEGGERO_DATA, LEGGERO_HOST = '127.0.0.1', LEGGERO_NAMES = '' } = process.env;
const { LEGGERO_HTTPS, LEGGERO_TLS_FOLDER, TLS_CERT, TLS_KEY } = process.env;
/** By which address others reach it, where something stands in front; which of those in front are believed; what signs. */
const { LEGGERO_URL, LEGGERO_PROXIES = '', LEGGERO_SECRET } = process.env;

/** Characters of what signs who is signed in. */
const SHORTEST_SECRET = 32;

/** How long a request may take to arrive, ms: a hand that sends a byte a minute does not keep a place for others. */
const TIME_LIMITS = { headersTimeout: 10_000, requestTimeout: 120_000, connectionsCheckingInterval: 5_000 };

const isLoopback = (host: string) => host === 'localhost' || host === '::1' || /^127(\.\d+){3}$/.test(host);

/** Ends the process with one sentence. */
function refuse(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  if (!DATABASE_URL) refuse('DATABASE_URL is not set: start with npm start or npm run demo.');
  if (LEGGERO_SECRET !== undefined && LEGGERO_SECRET.length < SHORTEST_SECRET)
    refuse(`LEGGERO_SECRET is too short: ${SHORTEST_SECRET} characters or more, such as those of a password manager.`);
  const logger = pino({ level: LOG_LEVEL });
  const database = connect({ url: DATABASE_URL });
  // Until it is open, a wish to stop waits for the step at hand: a set-up is not left half done.
  let stopWanted = false;
  let stop = () => {
    stopWanted = true;
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop());
  process.once('disconnect', () => stop());

  const damaged = await damagedTables(database);
  if (damaged.length > 0) {
    refuse(
      `These tables are damaged: ${damaged.join(', ')}. Put a copy of the data folder in its place` +
        `${LEGGERO_DUMPS ? `, or carry out the newest dump in ${LEGGERO_DUMPS}` : ''}.`,
    );
  }
  await applyMigrations(database, { beforeUpgrade });
  await forgetOldKeys(database);
  if (stopWanted) process.exit(0);
  const studioId = LEGGERO_DEMO === '1' ? await fillDemo({ database }) : await openStudio({ database });
  const own = LEGGERO_NAMES.split(',').filter(Boolean);
  const address = addressOf(LEGGERO_URL);
  const names = [hostname(), ...own, ...(address ? [address.hostname] : [])];
  const listens = !isLoopback(LEGGERO_HOST);
  const certificate = await certificateFor(names);
  // Who gives it a name or an address of its own has others in mind, though something else listens to them.
  const open = listens || own.length > 0 || address !== null;
  const setUpCode = open && !(await anyAccounts(database)) ? freshCode() : null;
  const app = createApp({
    ...{ database, studioId, logger, setUpCode, authority: certificate?.authority ?? null },
    ...{ guard: { names, open, anyAddress: listens }, proxies: LEGGERO_PROXIES.split(',').filter(Boolean) },
    secure: certificate !== null || address?.protocol === 'https:',
    ...(LEGGERO_SECRET ? { secret: LEGGERO_SECRET } : {}),
    ...(WEB_FOLDER ? { webFolder: WEB_FOLDER } : {}),
    ...(LEGGERO_DATA ? { hasRoom: roomOf(LEGGERO_DATA) } : {}),
  });
  const server: Server = certificate
    ? createSecureServer({ ...TIME_LIMITS, cert: certificate.cert, key: certificate.key }, app)
    : createServer(TIME_LIMITS, app);
  server.on('error', (error: NodeJS.ErrnoException) => {
    refuse(
      error.code === 'EADDRINUSE'
        ? `Port ${PORT} is in use: stop what runs there, or choose another with PORT=8788.`
        : error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND'
          ? `LEGGERO_HOST is "${LEGGERO_HOST}", which is no address of this machine.`
          : `The server could not start (${error.message}).`,
    );
  });
  server.listen(Number(PORT), LEGGERO_HOST, () => {
    const { address, port } = server.address() as AddressInfo;
    logger.info({ address, port }, 'listening');
    const at = (host: string) =>
      `${certificate ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;
    const everywhere = address === '0.0.0.0' || address === '::';
    process.send?.({
      listening: port,
      at: at(everywhere ? 'localhost' : address),
      others: everywhere ? ownAddresses().map(at) : [],
    });
    if (setUpCode) {
      const said = `Nobody owns this studio yet: open it, and own it with the code ${setUpCode}`;
      if (process.send) process.send({ said });
      else process.stdout.write(`${said}\n`);
    }
  });

  stop = () => {
    server.close(() => void database.$client.end().finally(() => process.exit(0)));
    server.closeIdleConnections();
    // Whoever keeps a connection open does not keep the records from closing in order.
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  };
  if (stopWanted) stop();
}

/** The address by which others reach it; null where none is named. */
function addressOf(text: string | undefined): URL | null {
  if (!text) return null;
  const address = URL.canParse(text) ? new URL(text) : null;
  if (address === null || !['http:', 'https:'].includes(address.protocol))
    refuse(`LEGGERO_URL is "${text}": give a whole address, such as https://leggero.example.org.`);
  return address;
}

/** Addresses of this machine in the networks it is in. */
function ownAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
  return all.flatMap(({ family, internal, address }) => (family === 'IPv4' && !internal ? [address] : []));
}

/** The certificate to serve with: given, or made where HTTPS is asked for; null for plain HTTP. */
async function certificateFor(names: readonly string[]): Promise<Certificate | null> {
  const now = new Date();
  try {
    if (TLS_CERT && TLS_KEY) return await givenCertificate({ cert: TLS_CERT, key: TLS_KEY }, now);
    if (TLS_CERT || TLS_KEY) refuse('TLS_CERT and TLS_KEY belong together: give both, or neither.');
    if (LEGGERO_HTTPS !== '1' || !LEGGERO_TLS_FOLDER) return null;
    const all = ['localhost', '127.0.0.1', '::1', ...names, ...ownAddresses()];
    return await madeCertificate({ folder: LEGGERO_TLS_FOLDER, names: [...new Set(all)], now });
  } catch (error) {
    if (error instanceof CertificateRefusal) refuse(error.message);
    throw error;
  }
}

/** Leaves a dump of what is about to be changed, and says where. */
async function beforeUpgrade(connection: PoolConnection): Promise<void> {
  if (!LEGGERO_DUMPS) return;
  const file = await dumpTo(connection, LEGGERO_DUMPS);
  process.send?.({ said: `The records are brought up to this version; as they were, they are in ${file}.` });
}

main().catch((error: unknown) => {
  const known = databaseError(error);
  if (known && isAway(known.code)) refuse(`The database cannot be reached (${known.code}).`);
  if (known) refuse(`The database refused to start: ${known.message}`);
  throw error;
});
