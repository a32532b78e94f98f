import { createHash, randomInt, timingSafeEqual } from 'node:crypto';

/** Letters and digits that nobody mistakes for one another, read out or typed. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
/** Twenty of them are 99 bits: nobody guesses one. */
const LENGTH = 20;
const GROUP = 5;

/** A code that opens something once: "K7WQX-…". */
export function freshCode(): string {
  const letters = Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]!).join('');
  return letters.match(new RegExp(`.{${GROUP}}`, 'g'))!.join('-');
}

/** A code as it was meant, however it was typed. */
export const plainCode = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** What a secret is known by in the records, which do not have it: SHA-256, as hexadecimal digits. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** Whether two secrets are the same, in a time that says nothing of them. */
export const isSame = (one: string, other: string): boolean =>
  timingSafeEqual(Buffer.from(hashOf(one)), Buffer.from(hashOf(other)));
