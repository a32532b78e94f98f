/** Why a backup cannot be taken. */
export type Why = 'none' | 'cutOff' | 'damaged' | 'newer' | 'misfit' | 'there' | 'another' | 'taken' | 'noScratch';

const SENTENCES: Record<Why, string> = {
  none: 'This file is no backup of Leggero.',
  cutOff: 'This backup is cut off: its end is missing. Take another one, or copy it again from where it came.',
  damaged: 'This backup is damaged: what it holds is not what was written. Take another one.',
  newer: 'This backup was made by a newer version of Leggero: update this one first.',
  misfit: 'What this backup holds does not fit together. Take another one.',
  there: 'This studio is here already: restore with --replace to have its records as they were then.',
  another:
    'Another studio has its records here, and nobody owns it. Restore into an empty folder, or let somebody own that ' +
    'studio first (Studio, Work here with others).',
  taken: 'Records of this backup belong to another studio here: restore it on a server of its own.',
  noScratch:
    'A backup is restored beside the records first, in a database of its own: let the user of the database make ' +
    'databases whose names begin with leggero (GRANT ALL ON `leggero%`.*).',
};

/** A backup that cannot be taken, told in a sentence; nothing was changed. */
export class BackupRefusal extends Error {
  constructor(
    readonly why: Why,
    options?: ErrorOptions,
  ) {
    super(SENTENCES[why], options);
  }
}
