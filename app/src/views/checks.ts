import type { CheckRecord, PieceRecord, RowOf, Rows, StudyRecord } from '@leggero/contract';
import { weakMapMemoize } from 'reselect';

import { groupsOf, listed, listOf, withRows } from './rows';

type CheckRows = Pick<Rows, 'check' | 'checkResult'>;

export const resultsOf = groupsOf('checkResult', 'checkId');
const ofModel = groupsOf('check', 'modelId');
const ofPiece = groupsOf('check', 'pieceId');
const ofTurn = groupsOf('check', 'turnId');
const withResults = withRows<RowOf<'check'>, 'results'>('results');

function inFull(rows: CheckRows, checks: readonly RowOf<'check'>[]): CheckRecord[] {
  const results = resultsOf(rows.checkResult);
  return listed(...checks.map((check): CheckRecord => withResults(check, results.of(check.id))));
}

/** The checks of a balloon, newest first, each with its results by place. */
export function checksOfModel(rows: CheckRows, modelId: string): CheckRecord[] {
  return inFull(rows, ofModel(rows.check).of(modelId));
}

/** The checks of a station's turn, newest first, each with its results by place. */
export function checksOfTurn(rows: CheckRows, turnId: string): CheckRecord[] {
  return inFull(rows, ofTurn(rows.check).of(turnId));
}

export const CHECK_NOUNS = ['check', 'checkResult'] as const;

const allChecks = listOf('check');

/** Every check of the studio, newest first, of balloons and of pieces. */
export function checksOf(rows: CheckRows): CheckRecord[] {
  return inFull(rows, allChecks(rows.check));
}

export const PIECE_NOUNS = ['piece', 'check', 'checkResult'] as const;

const pieces = listOf('piece');
const withChecks = withRows<RowOf<'piece'>, 'checks'>('checks');

type PieceRows = Pick<Rows, (typeof PIECE_NOUNS)[number]>;

function pieceInFull(rows: PieceRows, piece: RowOf<'piece'>): PieceRecord {
  return withChecks(piece, inFull(rows, ofPiece(rows.check).of(piece.id)));
}

/** One piece with the checks of its balloons; undefined where there is none. */
export function pieceOf(rows: PieceRows, id: string): PieceRecord | undefined {
  const piece = rows.piece.get(id);
  return piece && pieceInFull(rows, piece);
}

/** Pieces, newest first, each with the checks of its balloons. */
export function piecesOf(rows: PieceRows): PieceRecord[] {
  return listed(...pieces(rows.piece).map((piece) => pieceInFull(rows, piece)));
}

export const STUDY_NOUNS = ['study', 'studyPerson', 'studyWidth'] as const;

const studies = listOf('study');
const peopleOf = groupsOf('studyPerson', 'studyId');
const widthsOf = groupsOf('studyWidth', 'studyId');
const studyInFull = weakMapMemoize(
  (
    study: RowOf<'study'>,
    people: readonly RowOf<'studyPerson'>[],
    widths: readonly RowOf<'studyWidth'>[],
  ): StudyRecord => ({ ...study, people: people.map(({ name }) => name), widths: [...widths] }),
);

/** Studies, newest first, each with who takes part and the widths so far. */
export function studiesOf(rows: Pick<Rows, (typeof STUDY_NOUNS)[number]>): StudyRecord[] {
  const [people, widths] = [peopleOf(rows.studyPerson), widthsOf(rows.studyWidth)];
  return studies(rows.study).map((study) => studyInFull(study, people.of(study.id), widths.of(study.id)));
}

/** What makes names those of the people of a study: each has an id of its own. */
export function writesOfPeople(studyId: string, names: readonly string[], newId: () => string) {
  return names.map((name, position) => ({
    put: 'studyPerson' as const,
    row: { id: newId(), studyId, position, name },
  }));
}
