import type { Backups, KeptBackup } from '@leggero/contract/backup';

import { momentText } from './day';

/** A size as people say it: "1.2 MB". */
export function sizeText(bytes: number): string {
  const [figure, unit] = bytes < 1e6 ? [bytes / 1e3, 'kB'] : bytes < 1e9 ? [bytes / 1e6, 'MB'] : [bytes / 1e9, 'GB'];
  return `${figure < 10 ? Math.round(figure * 10) / 10 : Math.round(figure)} ${unit}`;
}

/** What a kept backup is: "1.2 MB, restored on trial". */
export const backupNote = ({ bytes, tried }: KeptBackup): string =>
  `${sizeText(bytes)}, ${tried ? 'restored on trial' : 'not tried: the database may make no other'}`;

/** How the server keeps the studio safe by itself. */
export function keepingText({ byItself, kept: [newest] }: Pick<Backups, 'byItself' | 'kept'>): string {
  if (!byItself) return 'This server makes none by itself: save one now and then.';
  return newest
    ? `Made each night in which there is something new. The last: ${momentText(newest.madeAt)}.`
    : 'Made each night in which there is something new. The first comes tonight.';
}
