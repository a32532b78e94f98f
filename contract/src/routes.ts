import { z } from 'zod';

import { BACKUP_ROUTES } from './backup';
import { calibrationSchema } from './calibration';
import { IMPORT_CALIBRATION } from './calibrationFile';
import { checkSchema } from './check';
import { CREW_ROUTES } from './crew';
import { DEED_ROUTES } from './deed';
import { eyeCheckSchema } from './eye';
import { holdTestCreateSchema, holdTestSchema } from './hold';
import { MAIL_ROUTES } from './mail';
import { modelDetailSchema, shelfModelSchema } from './model';
import { CHANGES, MAKES, NOUNS } from './nouns';
import { OWN_DATA_ROUTES } from './ownData';
import { pieceSchema } from './piece';
import { healthSchema, readySchema } from './problem';
import { APP_ROUTES, type Route, type SchemaOf } from './route';
import { SHARE_ROUTES } from './share';
import { sizerCreateSchema, sizerPatchSchema, sizerSchema } from './sizer';
import { studyCreateSchema, studySchema } from './study';

/**
 * Every route. A create carries its own id: the first request answers 201, a repeated one 200 with what is stored, and
 * neither changes anything the second time. A delete answers 204, also when there is nothing left to delete.
 */
export const ROUTES = {
  ...APP_ROUTES,
  ...CREW_ROUTES,
  ...MAIL_ROUTES,
  ...BACKUP_ROUTES,
  ...DEED_ROUTES,
  ...SHARE_ROUTES,
  ...OWN_DATA_ROUTES,
  importCalibration: IMPORT_CALIBRATION,
  health: { method: 'GET', path: '/api/health', response: healthSchema, least: null },
  ready: { method: 'GET', path: '/api/ready', response: readySchema, least: null },
  readStudio: { method: 'GET', path: '/api/studio', response: NOUNS.studio.row },
  changeStudio: { method: 'PATCH', path: '/api/studio', request: CHANGES.studio, response: NOUNS.studio.row },
  listTiers: { method: 'GET', path: '/api/tiers', response: z.array(NOUNS.tier.row) },
  createTier: { method: 'POST', path: '/api/tiers', request: NOUNS.tier.row, response: NOUNS.tier.row },
  changeTier: { method: 'PATCH', path: '/api/tiers/:id', request: CHANGES.tier, response: NOUNS.tier.row },
  deleteTier: { method: 'DELETE', path: '/api/tiers/:id' },
  listModels: { method: 'GET', path: '/api/models', response: z.array(shelfModelSchema) },
  readModel: { method: 'GET', path: '/api/models/:id', response: modelDetailSchema },
  createModel: { method: 'POST', path: '/api/models', request: MAKES.model, response: NOUNS.model.row },
  changeModel: { method: 'PATCH', path: '/api/models/:id', request: CHANGES.model, response: NOUNS.model.row },
  deleteModel: { method: 'DELETE', path: '/api/models/:id' },
  listPumps: { method: 'GET', path: '/api/pumps', response: z.array(NOUNS.pump.row) },
  createPump: { method: 'POST', path: '/api/pumps', request: MAKES.pump, response: NOUNS.pump.row },
  changePump: { method: 'PATCH', path: '/api/pumps/:id', request: CHANGES.pump, response: NOUNS.pump.row },
  deletePump: { method: 'DELETE', path: '/api/pumps/:id' },
  listSizers: { method: 'GET', path: '/api/sizers', response: z.array(sizerSchema) },
  createSizer: { method: 'POST', path: '/api/sizers', request: sizerCreateSchema, response: sizerSchema },
  changeSizer: { method: 'PATCH', path: '/api/sizers/:id', request: sizerPatchSchema, response: sizerSchema },
  deleteSizer: { method: 'DELETE', path: '/api/sizers/:id' },
  createHoleMeasurement: {
    method: 'POST',
    path: '/api/hole-measurements',
    request: NOUNS.holeMeasurement.row,
    response: NOUNS.holeMeasurement.row,
  },
  deleteHoleMeasurement: { method: 'DELETE', path: '/api/hole-measurements/:id' },
  createSizing: { method: 'POST', path: '/api/sizings', request: NOUNS.sizing.row, response: NOUNS.sizing.row },
  deleteSizing: { method: 'DELETE', path: '/api/sizings/:id' },
  listPeople: { method: 'GET', path: '/api/people', response: z.array(NOUNS.person.row) },
  createPerson: {
    method: 'POST',
    path: '/api/people',
    request: MAKES.person,
    response: NOUNS.person.row,
  },
  changePerson: {
    method: 'PATCH',
    path: '/api/people/:id',
    request: CHANGES.person,
    response: NOUNS.person.row,
  },
  deletePerson: { method: 'DELETE', path: '/api/people/:id' },
  createEyeCheck: {
    method: 'POST',
    path: '/api/eye-checks',
    request: MAKES.eyeCheck,
    response: eyeCheckSchema,
  },
  deleteEyeCheck: { method: 'DELETE', path: '/api/eye-checks/:id' },
  createEyeBalloon: {
    method: 'POST',
    path: '/api/eye-balloons',
    request: NOUNS.eyeBalloon.row,
    response: NOUNS.eyeBalloon.row,
  },
  changeEyeBalloon: {
    method: 'PATCH',
    path: '/api/eye-balloons/:id',
    request: CHANGES.eyeBalloon,
    response: NOUNS.eyeBalloon.row,
  },
  deleteEyeBalloon: { method: 'DELETE', path: '/api/eye-balloons/:id' },
  listStudies: { method: 'GET', path: '/api/studies', response: z.array(studySchema) },
  createStudy: { method: 'POST', path: '/api/studies', request: studyCreateSchema, response: studySchema },
  deleteStudy: { method: 'DELETE', path: '/api/studies/:id' },
  createStudyWidth: {
    method: 'POST',
    path: '/api/study-widths',
    request: NOUNS.studyWidth.row,
    response: NOUNS.studyWidth.row,
  },
  deleteStudyWidth: { method: 'DELETE', path: '/api/study-widths/:id' },
  listPieces: { method: 'GET', path: '/api/pieces', response: z.array(pieceSchema) },
  createPiece: { method: 'POST', path: '/api/pieces', request: MAKES.piece, response: pieceSchema },
  changePiece: { method: 'PATCH', path: '/api/pieces/:id', request: CHANGES.piece, response: pieceSchema },
  deletePiece: { method: 'DELETE', path: '/api/pieces/:id' },
  /** Chains that were laid out and measured. */
  listChains: { method: 'GET', path: '/api/chains', response: z.array(NOUNS.chain.row) },
  createChain: { method: 'POST', path: '/api/chains', request: NOUNS.chain.row, response: NOUNS.chain.row },
  deleteChain: { method: 'DELETE', path: '/api/chains/:id' },
  createCalibration: {
    method: 'POST',
    path: '/api/calibrations',
    request: MAKES.calibration,
    response: calibrationSchema,
  },
  deleteCalibration: { method: 'DELETE', path: '/api/calibrations/:id' },
  createReading: {
    method: 'POST',
    path: '/api/readings',
    request: MAKES.reading,
    response: NOUNS.reading.row,
  },
  deleteReading: { method: 'DELETE', path: '/api/readings/:id' },
  createHoldTest: {
    method: 'POST',
    path: '/api/hold-tests',
    request: holdTestCreateSchema,
    response: holdTestSchema,
  },
  deleteHoldTest: { method: 'DELETE', path: '/api/hold-tests/:id' },
  createHoldReading: {
    method: 'POST',
    path: '/api/hold-readings',
    request: NOUNS.holdReading.row,
    response: NOUNS.holdReading.row,
  },
  deleteHoldReading: { method: 'DELETE', path: '/api/hold-readings/:id' },
  acceptTarget: {
    method: 'POST',
    path: '/api/targets',
    request: MAKES.target,
    response: NOUNS.target.row,
  },
  deleteTarget: { method: 'DELETE', path: '/api/targets/:id' },
  createRun: { method: 'POST', path: '/api/runs', request: MAKES.run, response: NOUNS.run.row },
  createCheck: { method: 'POST', path: '/api/checks', request: MAKES.check, response: checkSchema },
  deleteCheck: { method: 'DELETE', path: '/api/checks/:id' },
  createCheckResult: {
    method: 'POST',
    path: '/api/check-results',
    request: MAKES.checkResult,
    response: NOUNS.checkResult.row,
  },
  deleteCheckResult: { method: 'DELETE', path: '/api/check-results/:id' },
} as const satisfies Record<string, Route>;

export type RouteName = keyof typeof ROUTES;

type Of<Name extends RouteName, Key extends string> = SchemaOf<(typeof ROUTES)[Name], Key>;
/** What a route takes, once parsed: defaults filled in. */
export type ParsedRequestOf<Name extends RouteName> = z.output<Of<Name, 'request'>>;
/** What an address of a route asks, once it is parsed. */
export type QueryOf<Name extends RouteName> = z.output<Of<Name, 'query'>>;
/** What a route answers. */
export type ResponseOf<Name extends RouteName> = z.output<Of<Name, 'response'>>;
