import type { CalibrationFileProblem } from '@leggero/contract/calibrationFile';
import { type FileEncoding, FILE_ENCODINGS } from '@leggero/contract/readingFile';

/** What an import is doing. */
export const IMPORT_PHASES = {
  sending: 'Sending the file',
  reading: 'Reading the lines',
  writing: 'Writing the readings',
} as const;

const ENCODING_WORDS: Record<FileEncoding, string> = {
  'utf-8': 'UTF-8',
  'windows-1252': 'Western European (Windows)',
  'windows-1250': 'Central European (Windows)',
  macintosh: 'Western (older Macs)',
};
/** The ways in which letters of a file may be written, to choose from. */
export const ENCODINGS = FILE_ENCODINGS.map((value) => ({ value, title: ENCODING_WORDS[value] }));

/** Why a file is no calibration that can be read here, and what to do. */
export function calibrationFileText(problem: CalibrationFileProblem): string {
  switch (problem.code) {
    case 'not-json':
      return 'This file is not JSON. Choose a file that was saved from a balloon’s page.';
    case 'other-format':
      return 'This is JSON, but no calibration. Choose a file that was saved from a balloon’s page.';
    case 'newer-version':
      return (
        `This file is of version ${problem.version}, newer than this Leggero knows. Update Leggero, then ` +
        'import it; the file is fine.'
      );
    case 'bad-field':
      return `“${problem.path}” in this file cannot be used: ${problem.message}.`;
  }
}
