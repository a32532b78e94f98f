import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer, type Server as SecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';

import type { PoolConnection } from 'mysql2/promise';
import { pino, type Logger } from 'pino';

import { anyAccounts } from './access/accounts';
import { freshCode } from './access/secret';
import { Keeper } from './backup/keeper';
import { connect, databaseError, isAway, type Database } from './db/connect';
import { damagedTables } from './db/damage';
import { dumpTo } from './db/dump';
import { applyMigrations } from './db/migrate';
import { sweep } from './db/sweep';
import { forgetOldDeeds } from './deed/store';
import { fillDemo } from './demo/fill';
import { Metrics } from './health/metrics';
import { createApp } from './http/app';
import { CertificateRefusal, givenCertificate, madeCertificate, type Certificate } from './http/certificate';
import { roomOf } from './http/room';
import { postBy } from './mail/post';
import { forgetOldKeys } from './records/once';
import { settingsOf, SettingsRefusal, type Settings } from './settings';
import { openStudio } from './studio/store';

/** How long a request may take to arrive, ms: a hand that sends a byte a minute does not keep a place for others. */
const TIME_LIMITS = { headersTimeout: 10_000, requestTimeout: 120_000, connectionsCheckingInterval: 5_000 };
/** Whoever keeps a connection open for longer does not keep the records from closing in order, ms. */
const LAST_ANSWERS_MS = 2000;
/** How often what ended by itself is swept away, and a certificate is looked at again, ms. */
const CARE_MS = 6 * 3_600_000;

/** Ends the process with one sentence. */
function refuse(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  const settings = settingsOf(process.env);
  const logger = pino({ level: settings.logLevel });
  const database = connect({ url: settings.databaseUrl });
  // Until it is open, a wish to stop waits for the step at hand: a set-up is not left half done.
  let stopping = false;
  let stop = () => {
    stopping = true;
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop());
  process.once('disconnect', () => stop());

  await prepare(database, settings);
  if (stopping) process.exit(0);
  const studioId = settings.demo ? await fillDemo({ database }) : await openStudio({ database });
  const certificate = await certificateFor(settings);
  const setUpCode = settings.open && !(await anyAccounts(database)) ? freshCode() : null;
  const { databaseUrl, backups, address } = settings;
  const keeper = backups ? new Keeper({ database, url: databaseUrl, folder: backups, logger }) : null;
  const metrics = settings.metrics ? new Metrics(database) : null;
  const post = settings.mail && address ? postBy(settings.mail, address) : null;
  const app = createApp({
    ...{ database, studioId, logger, keeper, metrics, post, setUpCode, authority: certificate?.authority ?? null },
    guard: { names: settings.names, open: settings.open, anyAddress: settings.listens },
    proxies: settings.proxies,
    secure: certificate !== null || address?.protocol === 'https:',
    strictTransport: address?.protocol === 'https:',
    isOpen: () => !stopping,
    ...(settings.secret ? { secret: settings.secret } : {}),
    ...(settings.webFolder ? { webFolder: settings.webFolder } : {}),
    ...(settings.data ? { hasRoom: roomOf(settings.data) } : {}),
  });
  const server: Server | SecureServer = certificate
    ? createSecureServer({ ...TIME_LIMITS, cert: certificate.cert, key: certificate.key }, app)
    : createServer(TIME_LIMITS, app);
  server.on('error', (error: NodeJS.ErrnoException) => refuse(listenSentence(error, settings)));
  server.listen(settings.port, settings.host, () => {
    const { address: on, port } = server.address() as AddressInfo;
    logger.info({ address: on, port }, 'listening');
    keeper?.begin();
    tellWhere({ on, port, secure: certificate !== null });
    if (setUpCode) say(`Nobody owns this studio yet: open it, and own it with the code ${setUpCode}`);
  });
  const watched = metrics && settings.metrics && metricsServer(metrics, settings.metrics, logger);
  const caring = setInterval(() => void care({ database, settings, server, logger }), CARE_MS).unref();

  stop = () => {
    stopping = true;
    clearInterval(caring);
    watched?.close();
    post?.close();
    const end = async () => {
      await keeper?.stop();
      await database.$client.end();
    };
    server.close(() => void end().finally(() => process.exit(0)));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_MS).unref();
  };
  if (stopping) stop();
}

/** Brings the tables up to this version, and takes away what is of no use any more. */
async function prepare(database: Database, { dumps }: Settings): Promise<void> {
  const damaged = await damagedTables(database);
  if (damaged.length > 0) {
    refuse(
      `These tables are damaged: ${damaged.join(', ')}. Put a copy of the data folder in its place` +
        `${dumps ? `, or carry out the newest dump in ${dumps}` : ''}.`,
    );
  }
  // Leaves a dump of what is about to be changed, and says where.
  const beforeUpgrade = async (connection: PoolConnection) => {
    if (!dumps) return;
    const file = await dumpTo(connection, dumps);
    process.send?.({ said: `The records are brought up to this version; as they were, they are in ${file}.` });
  };
  await applyMigrations(database, { beforeUpgrade });
  await forgetOldKeys(database);
  await forgetOldDeeds(database);
  await sweep(database);
}

/** What has to be done again and again while it runs. */
async function care({
  database,
  settings,
  server,
  logger,
}: {
  database: Database;
  settings: Settings;
  server: Server | SecureServer;
  logger: Logger;
}): Promise<void> {
  await Promise.all([forgetOldKeys(database), forgetOldDeeds(database), sweep(database)]).catch((error: unknown) =>
    logger.warn({ err: error }, 'what is of no use any more could not be taken away'),
  );
  try {
    // One that was renewed is shown from now on, without a start.
    const next = await certificateFor(settings);
    if (next && 'setSecureContext' in server) server.setSecureContext({ cert: next.cert, key: next.key });
  } catch (error) {
    logger.error({ err: error }, 'the certificate cannot be shown any longer');
  }
}

function listenSentence({ code, message }: NodeJS.ErrnoException, { port, host }: Settings): string {
  if (code === 'EADDRINUSE') return `Port ${port} is in use: stop what runs there, or choose another with PORT=8788.`;
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
    return `LEGGERO_HOST is "${host}", which is no address of this machine.`;
  return `The server could not start (${message}).`;
}

/** Tells what its counts are on an address of its own, which nobody else needs to reach. */
function metricsServer(metrics: Metrics, { host, port }: { host: string; port: number }, logger: Logger): Server {
  const server = createServer(TIME_LIMITS, (request, response) => {
    if (request.url !== '/metrics') return void response.writeHead(404).end();
    metrics.told().then(
      ({ text, type }) => response.writeHead(200, { 'Content-Type': type }).end(text),
      () => response.writeHead(500).end(),
    );
  });
  server.on('error', (error) => logger.error({ err: error }, 'metrics cannot be told'));
  return server.listen(port, host);
}

/** Tells the script that started it, or whoever reads what it writes. */
function say(said: string): void {
  if (process.send) process.send({ said });
  else process.stdout.write(`${said}\n`);
}

function tellWhere({ on, port, secure }: { on: string; port: number; secure: boolean }): void {
  const at = (host: string) => `${secure ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;
  const everywhere = on === '0.0.0.0' || on === '::';
  process.send?.({
    listening: port,
    at: at(everywhere ? 'localhost' : on),
    others: everywhere ? ownAddresses().map(at) : [],
  });
}

/** Addresses of this machine in the networks it is in. */
function ownAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
  return all.flatMap(({ family, internal, address }) => (family === 'IPv4' && !internal ? [address] : []));
}

/** The certificate to serve with: given, or made where HTTPS is asked for; null for plain HTTP. */
async function certificateFor({ tls, names }: Settings): Promise<Certificate | null> {
  const now = new Date();
  if (tls === null) return null;
  if ('cert' in tls) return givenCertificate(tls, now);
  const all = ['localhost', '127.0.0.1', '::1', ...names, ...ownAddresses()];
  return madeCertificate({ folder: tls.folder, names: [...new Set(all)], now });
}

main().catch((error: unknown) => {
  if (error instanceof SettingsRefusal || error instanceof CertificateRefusal) refuse(error.message);
  const known = databaseError(error);
  if (known && isAway(known.code)) refuse(`The database cannot be reached (${known.code}).`);
  if (known) refuse(`The database refused to start: ${known.message}`);
  throw error;
});
