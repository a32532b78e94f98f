import type { OwnFileProblem } from '@leggero/contract/ownFile';
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

/** Files of ours: what each is, and where one is saved. */
const OWN_FILES = {
  calibration: { one: 'calibration', from: 'a balloon’s page' },
  event: { one: 'event', from: 'the sheets of an event' },
} as const;

/** Why a file is none of ours that can be read here, and what to do. */
export function ownFileText(problem: OwnFileProblem, kind: keyof typeof OWN_FILES): string {
  const { one, from } = OWN_FILES[kind];
  switch (problem.code) {
    case 'not-json':
      return `This file is not JSON. Choose a file that was saved from ${from}.`;
    case 'other-format':
      return `This is JSON, but no ${one}. Choose a file that was saved from ${from}.`;
    case 'newer-version':
      return (
        `This file is of version ${problem.version}, newer than this Leggero knows. Update Leggero, then ` +
        'import it; the file is fine.'
      );
    case 'bad-field':
      return `“${problem.path}” in this file cannot be used: ${problem.message}.`;
  }
}
