import { randomBytes } from 'node:crypto';
import path from 'node:path';

import { MOST_SHARED, SHARE_ROUTES } from '@leggero/contract/share';
import compression from 'compression';
import cookieSession from 'cookie-session';
import express, { Router, type Express, type RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

import { calibrationRoutes } from '../calibration/routes';
import { checkRoutes } from '../check/routes';
import { createAuth } from '../access/auth';
import type { SecurityEvent } from '../access/events';
import { OwnPassword } from '../access/ownPassword';
import { hashOf } from '../access/secret';
import { accessRoutes } from '../access/routes';
import { allow, asksWho, Gate } from '../access/who';
import type { Keeper } from '../backup/keeper';
import { backupRoutes } from '../backup/routes';
import { crewRoutes } from '../crew/routes';
import type { Database } from '../db/connect';
import { deedRoutes } from '../deed/routes';
import { eyeRoutes } from '../eye/routes';
import type { Metrics } from '../health/metrics';
import { healthRoutes } from '../health/routes';
import { holdRoutes } from '../hold/routes';
import { Mailing } from '../mail/mailing';
import type { Post } from '../mail/post';
import { mailRoutes } from '../mail/routes';
import { modelRoutes } from '../model/routes';
import { personRoutes } from '../person/routes';
import { OpenPages } from '../person/openPages';
import { pieceRoutes } from '../piece/routes';
import { readingFileRoutes } from '../readingFile/routes';
import { followingRoutes } from '../records/following';
import { recordRoutes } from '../records/routes';
import { shareRoutes } from '../share/routes';
import { sizerRoutes } from '../sizer/routes';
import { studioRoutes } from '../studio/routes';
import { studyRoutes } from '../study/routes';
import { answerProblems } from './errors';
import { onlyOwnPages, type GuardOptions } from './guard';
import { securityHeaders } from './headers';
import { limits } from './limits';
import { LOGGED } from './logged';
import { HttpProblem } from './problem';
import { onlyWithRoom, type HasRoom } from './room';

/**
 * The largest body taken: a sizer with all its holes is a few kilobytes, a calibration of a thousand readings some
 * hundred.
 */
const MOST_BODY = '1mb';

/** A working day. */
const SESSION_MS = 12 * 3_600_000;

interface AppOptions {
  database: Database;
  /** The studio of this installation. */
  studioId: string;
  /** Signs who is signed in; made anew with each start where none is given, and everybody signs in again. */
  secret?: string;
  /** Whether browsers reach it by https. */
  secure?: boolean;
  /** What whoever sets up an open service has to know. */
  setUpCode?: string | null;
  /** Which of those that hand requests on are believed for whom: addresses, or networks as 10.0.0.0/8. */
  proxies?: readonly string[];
  logger?: Logger;
  /** Folder of the built web app, served beside the API; none in tests of the API. */
  webFolder?: string;
  /** Whether the disk has room for more records. */
  hasRoom?: HasRoom;
  /** Whether it still takes requests; not once it was asked to stop. */
  isOpen?: () => boolean;
  /** What it counts of itself. */
  metrics?: Metrics | null;
  /** Whether browsers are told never to come by http again: where the address others reach it by is https for good. */
  strictTransport?: boolean;
  /** By what names it may be called. */
  guard?: GuardOptions;
  /** The certificate that devices may trust, PEM, where the studio made its own. */
  authority?: string | null;
  /** Who makes backups by itself. */
  keeper?: Keeper | null;
  /** Who mails are handed to. */
  post?: Post | null;
}

/** The whole service: API under /api, the app everywhere else. */
export function createApp(options: AppOptions): Express {
  const { database, logger, webFolder, guard, hasRoom, authority, metrics, proxies = [] } = options;
  const secret = options.secret ?? randomBytes(32).toString('base64');
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  if (logger) app.use(pinoHttp({ logger, quietReqLogger: true, wrapSerializers: false, serializers: LOGGED }));
  if (metrics) {
    app.use(metrics.counting(), (_, { locals }, next) => {
      locals['count'] = (event: SecurityEvent) => metrics.count(event);
      next();
    });
  }
  app.use(...securityHeaders({ strictTransport: options.strictTransport ?? false }), onlyOwnPages(guard));
  app.use(compression());
  app.use(
    '/api',
    cookieSession({
      name: 'leggero',
      // Not the very secret that signs accounts' cookies; the same for all processes.
      keys: [hashOf(`private pages ${secret}`)],
      maxAge: SESSION_MS,
      httpOnly: true,
      sameSite: 'strict',
    }),
    viewers(new OpenPages(database, SESSION_MS)),
  );
  if (hasRoom) app.use('/api', onlyWithRoom(hasRoom));
  app.use(apiRouter({ ...options, secret }));
  if (authority) {
    // Phones install what comes as this type.
    app.get('/leggero.crt', (_, response) => void response.type('application/x-x509-ca-cert').send(authority));
  }
  if (webFolder) serveWeb(app, webFolder);
  app.use(answerProblems);
  return app;
}

/** Tells the routes who asks: `response.locals.viewer`. */
function viewers(pages: OpenPages): RequestHandler {
  return async (request, { locals }, next) => {
    locals['viewer'] = await pages.viewerOf({
      get: () => request.session?.['token'] as string | undefined,
      set: (token) => {
        request.session = token === null ? null : { token };
      },
    });
    next();
  };
}

/** The routes of the contract, whose paths are whole (/api/…), and a 404 for every other path under /api. */
function apiRouter({
  database,
  studioId: home,
  guard,
  secret,
  secure = false,
  setUpCode = null,
  keeper = null,
  post = null,
  logger,
  isOpen,
  hasRoom,
}: AppOptions & { secret: string }): Router {
  const auth = createAuth({ database, secret, secure });
  const gate = new Gate({ database, auth, home, open: guard?.open ?? false, mails: post !== null });
  const log = (error: unknown) => logger?.warn({ err: error }, 'a mail was not taken');
  const mailing = post && new Mailing({ database, auth, post, log });
  const ownPassword = new OwnPassword(database);
  const router = Router();
  router.use('/api', asksWho(gate));
  router.post(SHARE_ROUTES.share.path, allow(SHARE_ROUTES.share.least), express.json({ limit: MOST_SHARED }));
  router.use('/api', express.json({ limit: MOST_BODY }), (_, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  healthRoutes(router, { database, isOpen, hasRoom });
  router.use('/api', ...limits(database));
  // Asked for by every tap: the routes before are looked through each time.
  followingRoutes(router);
  accessRoutes(router, { database, auth, gate, home, secure, setUpCode, ownPassword, mailing });
  mailRoutes(router, { database, auth, gate, ownPassword, mailing });
  crewRoutes(router, { auth, mailing });
  backupRoutes(router, { keeper });
  const nouns = [
    deedRoutes,
    shareRoutes,
    studioRoutes,
    modelRoutes,
    sizerRoutes,
    calibrationRoutes,
    checkRoutes,
    holdRoutes,
    readingFileRoutes,
    personRoutes,
    eyeRoutes,
    studyRoutes,
    pieceRoutes,
    // After those that answer more than the row.
    recordRoutes,
  ];
  for (const mountNoun of nouns) mountNoun(router, { database });
  router.use('/api', () => {
    throw HttpProblem.notFound();
  });
  return router;
}

function serveWeb(app: Express, folder: string): void {
  for (const hashed of ['_expo', 'assets']) {
    app.use(
      `/${hashed}`,
      express.static(path.join(folder, hashed), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
  }
  app.use(express.static(folder, { index: false }));
  app.get('/{*splat}', (_, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile('index.html', { root: folder });
  });
}
