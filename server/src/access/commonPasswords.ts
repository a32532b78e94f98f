import { LEAST_PASSWORD } from '@leggero/contract/crew';
import languageCommon from '@zxcvbn-ts/language-common';

import { HttpProblem } from '../http/problem';

/** Passwords that guessers try first, as far as they are long enough to be taken otherwise (OWASP ASVS 5.0, 6.2.4). */
const COMMON = new Set(languageCommon.dictionary.passwords.filter(({ length }) => length >= LEAST_PASSWORD));

/** Refuses a password that guessers try first; `path`: where it stands in what was sent. */
export function refuseCommon(password: string, path: string): void {
  if (!COMMON.has(password.toLowerCase())) return;
  throw HttpProblem.unusable({ path, message: 'Many people take this one, and guessers try it first: take another' });
}
