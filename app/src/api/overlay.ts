import { CHECK_DEFAULTS, MODEL_DEFAULTS, READING_DEFAULTS, RESULT_DEFAULTS } from '@leggero/contract';
import type {
  AcceptedTarget,
  CalibrationRecord,
  ChainRecord,
  CheckRecord,
  CheckResultRecord,
  EyeCheckRecord,
  HoldTestRecord,
  HoleLabel,
  HoleRecord,
  ModelCreate,
  ModelDetail,
  PersonRecord,
  PieceRecord,
  PumpRecord,
  ReadingRecord,
  ShelfModel,
  SizerRecord,
  Studio,
  StudyRecord,
  TierRecord,
} from '@leggero/contract';

import type { Command } from './command';

/**
 * What the records will be once a command has arrived. Pages show the server's records with the waiting commands laid
 * over them, so that nothing entered disappears while it is on its way. Every function gives its input back when the
 * command does not concern it.
 */

type Row = { id: string };

function put<T extends Row>(rows: readonly T[], row: T): T[] {
  return rows.some(({ id }) => id === row.id) ? [...rows] : [...rows, row];
}

function change<T extends Row>(rows: readonly T[], id: string, by: object): T[] {
  return rows.map((row) => (row.id === id ? { ...row, ...defined(by) } : row));
}

function remove<T extends Row>(rows: readonly T[], id: string): T[] {
  return rows.filter((row) => row.id !== id);
}

function defined(by: object): object {
  return Object.fromEntries(Object.entries(by).filter(([, value]) => value !== undefined));
}

export function overlayStudio(studio: Studio, command: Command): Studio {
  return command.name === 'changeStudio' ? { ...studio, ...(defined(command.body) as Partial<Studio>) } : studio;
}

export function overlayTiers(tiers: readonly TierRecord[], command: Command): TierRecord[] {
  if (command.name === 'createTier') return put(tiers, { ...command.body, shape: command.body.shape ?? 'round' });
  if (command.name === 'changeTier') return change(tiers, command.id, command.body);
  if (command.name === 'deleteTier') return remove(tiers, command.id);
  return [...tiers];
}

export function overlayPumps(pumps: readonly PumpRecord[], command: Command): PumpRecord[] {
  if (command.name === 'createPump')
    return put(pumps, { ...command.body, mostKPa: command.body.mostKPa ?? null, demo: false });
  if (command.name === 'changePump') return change(pumps, command.id, command.body);
  if (command.name === 'deletePump') return remove(pumps, command.id);
  return [...pumps];
}

export function overlaySizers(sizers: readonly SizerRecord[], command: Command): SizerRecord[] {
  switch (command.name) {
    case 'createSizer': {
      const { keeper = '', holes, ...rest } = command.body;
      return put(sizers, { ...rest, keeper, holes: holesOf(holes, []), sizings: [], demo: false });
    }
    case 'changeSizer': {
      const { holes, ...rest } = command.body;
      return sizers.map((sizer) =>
        sizer.id === command.id
          ? { ...sizer, ...defined(rest), ...(holes ? { holes: holesOf(holes, sizer.holes) } : {}) }
          : sizer,
      );
    }
    case 'deleteSizer':
      return remove(sizers, command.id);
    case 'createHoleMeasurement': {
      const { body } = command;
      return inHoles(sizers, (hole) =>
        hole.id === body.holeId ? { ...hole, measurements: put(hole.measurements, body) } : hole,
      );
    }
    case 'deleteHoleMeasurement':
      return inHoles(sizers, (hole) => ({ ...hole, measurements: remove(hole.measurements, command.id) }));
    case 'createSizing': {
      const { body } = command;
      return sizers.map((sizer) =>
        sizer.holes.some(({ id }) => id === body.holeId) ? { ...sizer, sizings: put(sizer.sizings, body) } : sizer,
      );
    }
    case 'deleteSizing':
      return sizers.map((sizer) => ({ ...sizer, sizings: remove(sizer.sizings, command.id) }));
    default:
      return [...sizers];
  }
}

/** Holes as they will be, each with what was measured of it before. */
function holesOf(labels: readonly HoleLabel[], before: readonly HoleRecord[]): HoleRecord[] {
  const measured = new Map(before.map(({ id, measurements }) => [id, measurements]));
  return labels
    .map(({ id, label, widthMm }) => ({ id, label, widthMm, measurements: measured.get(id) ?? [] }))
    .sort((a, b) => a.widthMm - b.widthMm);
}

function inHoles(sizers: readonly SizerRecord[], by: (hole: HoleRecord) => HoleRecord): SizerRecord[] {
  return sizers.map((sizer) => ({ ...sizer, holes: sizer.holes.map(by) }));
}

export function overlayPeople(people: readonly PersonRecord[], command: Command): PersonRecord[] {
  if (command.name === 'createPerson')
    return put(people, { ...command.body, owner: false, hasPin: false, demo: false });
  if (command.name === 'changePerson') return change(people, command.id, command.body);
  if (command.name === 'deletePerson') return remove(people, command.id);
  return [...people];
}

/** Someone's sessions by eye. */
export function overlayEyeChecks(
  personId: string,
  checks: readonly EyeCheckRecord[],
  command: Command,
): EyeCheckRecord[] {
  if (command.name === 'createEyeCheck') {
    const { body } = command;
    const takesPart = body.personId === personId || body.secondPersonId === personId;
    if (!takesPart || checks.some(({ id }) => id === body.id)) return [...checks];
    return [{ ...body, balloons: [], demo: false }, ...checks];
  }
  if (command.name === 'deleteEyeCheck') return remove(checks, command.id);
  return checks.flatMap((check) => overlayEyeCheck(check.id, check, command) ?? []);
}

/** One session; `undefined` stands for one the server has not got yet, or does not show. */
export function overlayEyeCheck(
  id: string,
  check: EyeCheckRecord | undefined,
  command: Command,
): EyeCheckRecord | undefined {
  if (command.name === 'createEyeCheck' && command.body.id === id && !check) {
    return { ...command.body, balloons: [], demo: false };
  }
  if (!check) return undefined;
  switch (command.name) {
    case 'deleteEyeCheck':
      return command.id === id ? undefined : check;
    case 'createEyeBalloon': {
      const { body } = command;
      if (body.eyeCheckId !== id) return check;
      return { ...check, balloons: put(check.balloons, body).sort((a, b) => a.position - b.position) };
    }
    case 'changeEyeBalloon':
      return { ...check, balloons: change(check.balloons, command.id, command.body) };
    case 'deleteEyeBalloon':
      return { ...check, balloons: remove(check.balloons, command.id) };
    default:
      return check;
  }
}

export function overlayStudies(studies: readonly StudyRecord[], command: Command): StudyRecord[] {
  switch (command.name) {
    case 'createStudy': {
      const { body } = command;
      if (studies.some(({ id }) => id === body.id)) return [...studies];
      return [{ ...body, widths: [], demo: false }, ...studies];
    }
    case 'deleteStudy':
      return remove(studies, command.id);
    case 'createStudyWidth': {
      const { body } = command;
      return studies.map((study) =>
        study.id === body.studyId ? { ...study, widths: put(study.widths, body) } : study,
      );
    }
    case 'deleteStudyWidth':
      return studies.map((study) => ({ ...study, widths: remove(study.widths, command.id) }));
    default:
      return [...studies];
  }
}

export function overlayPieces(pieces: readonly PieceRecord[], command: Command): PieceRecord[] {
  if (command.name === 'createPiece') {
    const { body } = command;
    if (pieces.some(({ id }) => id === body.id)) return [...pieces];
    return [{ ...body, checks: [], demo: false }, ...pieces];
  }
  if (command.name === 'changePiece') return change(pieces, command.id, command.body);
  if (command.name === 'deletePiece') return remove(pieces, command.id);
  return pieces.map((piece) => ({
    ...piece,
    checks: overlayChecks(({ pieceId }) => pieceId === piece.id, piece.checks, command),
  }));
}

/** Measured chains; they go with their balloon. */
export function overlayChains(chains: readonly ChainRecord[], command: Command): ChainRecord[] {
  if (command.name === 'createChain') {
    const { body } = command;
    return chains.some(({ id }) => id === body.id) ? [...chains] : [body, ...chains];
  }
  if (command.name === 'deleteChain') return remove(chains, command.id);
  if (command.name === 'deleteModel') return chains.filter(({ modelId }) => modelId !== command.id);
  return [...chains];
}

export function overlayShelf(models: readonly ShelfModel[], command: Command): ShelfModel[] {
  if (command.name === 'createModel') return put(models, { ...newModel(command.body), ...EMPTY });
  if (command.name === 'deleteModel') return withoutModel(models, command.id);
  if (command.name === 'changeModel') return change(models, command.id, command.body);
  return models.map((model) => ({
    ...model,
    calibrations: overlayCalibrations(model.id, model.calibrations, command),
    holdTests: overlayHoldTests(model.id, model.holdTests, command),
  }));
}

/** A model as the server will have it, with what the command left out. */
function newModel(body: Extract<Command, { name: 'createModel' }>['body']): ModelCreate {
  return { ...MODEL_DEFAULTS, ...(defined(body) as typeof body) } as ModelCreate;
}

/** The shelf without a balloon, and without the pairs it is part of. */
function withoutModel(models: readonly ShelfModel[], id: string): ShelfModel[] {
  return models.filter((model) => model.id !== id && model.outerId !== id && model.innerId !== id);
}

/** What a new model has. */
const EMPTY = { demo: false, calibrations: [], holdTests: [], uses: 0 };

/** `undefined` stands for a model the server has not got yet, or does not have. */
export function overlayModel(id: string, model: ModelDetail | undefined, command: Command): ModelDetail | undefined {
  if (command.name === 'createModel' && command.body.id === id && !model) {
    return { ...newModel(command.body), ...EMPTY, targets: [], checks: [] };
  }
  if (!model) return undefined;
  if (command.name === 'deleteModel' && command.id === id) return undefined;
  if (command.name === 'changeModel' && command.id === id) return { ...model, ...(defined(command.body) as object) };
  return {
    ...model,
    calibrations: overlayCalibrations(id, model.calibrations, command),
    holdTests: overlayHoldTests(id, model.holdTests, command),
    targets: overlayTargets(id, model.targets, command),
    checks: overlayChecks(({ modelId }) => modelId === id, model.checks, command),
  };
}

function overlayCalibrations(modelId: string, rows: CalibrationRecord[], command: Command): CalibrationRecord[] {
  switch (command.name) {
    case 'createCalibration': {
      if (command.body.modelId !== modelId || rows.some(({ id }) => id === command.body.id)) return rows;
      return [{ ...command.body, readings: [], demo: false }, ...rows];
    }
    case 'deleteCalibration':
      return remove(rows, command.id);
    case 'createReading': {
      // A reading that waits since before an update may lack what has a default.
      const body = { ...READING_DEFAULTS, ...defined(command.body) } as ReadingRecord;
      return rows.map((row) =>
        row.id === body.calibrationId
          ? { ...row, readings: put(row.readings, body).sort((a, b) => a.takenAt.localeCompare(b.takenAt)) }
          : row,
      );
    }
    case 'deleteReading':
      return rows.map((row) => ({ ...row, readings: remove(row.readings, command.id) }));
    default:
      return rows;
  }
}

function overlayHoldTests(modelId: string, rows: HoldTestRecord[], command: Command): HoldTestRecord[] {
  switch (command.name) {
    case 'createHoldTest': {
      const { firstReadingId: id, firstWidthMm: widthMm, ...test } = command.body;
      if (test.modelId !== modelId || rows.some((row) => row.id === test.id)) return rows;
      const first = { id, holdTestId: test.id, hours: 0, widthMm };
      return [{ ...test, readings: [first], demo: false }, ...rows];
    }
    case 'deleteHoldTest':
      return remove(rows, command.id);
    case 'createHoldReading': {
      const { body } = command;
      return rows.map((row) =>
        row.id === body.holdTestId
          ? { ...row, readings: put(row.readings, body).sort((a, b) => a.hours - b.hours) }
          : row,
      );
    }
    case 'deleteHoldReading':
      return rows.map((row) => ({ ...row, readings: remove(row.readings, command.id) }));
    default:
      return rows;
  }
}

function overlayTargets(modelId: string, rows: AcceptedTarget[], command: Command): AcceptedTarget[] {
  if (command.name === 'deleteTarget') return remove(rows, command.id);
  if (command.name !== 'acceptTarget' || command.body.modelId !== modelId) return rows;
  const { body } = command;
  if (rows.some(({ id }) => id === body.id)) return rows;
  const earlier = rows.filter(({ tierName }) => tierName === body.tierName).map(({ revision }) => revision);
  return [{ ...body, revision: Math.max(0, ...earlier) + 1 }, ...rows];
}

/** The checks of a model or of a piece: `belongs` tells whether a new one is among them. */
function overlayChecks(belongs: (check: CheckRecord) => boolean, rows: CheckRecord[], command: Command): CheckRecord[] {
  switch (command.name) {
    case 'createCheck': {
      const body = { ...CHECK_DEFAULTS, ...(defined(command.body) as typeof command.body) };
      const check = { ...body, results: [], demo: false } as CheckRecord;
      return belongs(check) && !rows.some(({ id }) => id === check.id) ? [check, ...rows] : rows;
    }
    case 'deleteCheck':
      return remove(rows, command.id);
    case 'createCheckResult': {
      const body = { ...RESULT_DEFAULTS, ...defined(command.body) } as CheckResultRecord;
      return rows.map((row) =>
        row.id === body.checkId
          ? { ...row, results: put(row.results, body).sort((a, b) => a.position - b.position) }
          : row,
      );
    }
    case 'deleteCheckResult':
      return rows.map((row) => ({ ...row, results: remove(row.results, command.id) }));
    default:
      return rows;
  }
}
