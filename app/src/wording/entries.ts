import type { NounName } from '@leggero/contract';
import type { DeedRow } from '@leggero/contract/deed';

import type { Entry } from '@/views/entries';

/** What people call one row of each noun. */
const CALLED: Record<DeedRow['noun'] | NounName, string> = {
  member: 'someone who works here',
  invitation: 'an invitation',
  share: 'something shared',
  studio: 'the studio’s settings',
  tier: 'a tier',
  constant: 'a number of the trade',
  person: 'a person',
  pump: 'a pump',
  sizer: 'a sizer',
  hole: 'a hole',
  holeMeasurement: 'a hole’s measurement',
  sizing: 'a balloon measured after sizing',
  model: 'a balloon',
  calibration: 'a calibration',
  reading: 'a reading',
  holdTest: 'a hold test',
  holdReading: 'a width of a hold test',
  target: 'a kept target',
  note: 'a note',
  chain: 'a measured chain',
  stack: 'a measured stack',
  finishedGarland: 'a measured garland',
  event: 'an event',
  piece: 'a piece',
  fixing: 'a fixed target of a piece',
  bag: 'bags that were bought',
  stockEntry: 'a change of stock',
  loss: 'losses',
  inflation: 'an inflation run',
  inflationBatch: 'a batch of an inflation run',
  turn: 'a station’s turn',
  turnHands: 'whose hands a turn was',
  tally: 'a tap of an inflation run',
  ownStep: 'a step of your own',
  siteTick: 'a step that was looked at',
  snag: 'something to put right',
  photo: 'a photo',
  asBuilt: 'a size as it was built',
  repair: 'a repair',
  run: 'a run of checks',
  check: 'a check',
  checkResult: 'a result of a check',
  study: 'a study',
  studyPerson: 'someone in a study',
  studyWidth: 'a width of a study',
  eyeCheck: 'an eye check',
  eyeBalloon: 'a balloon of an eye check',
};

/** What an entry did, by its last write: "New: a reading". */
export function entryWords({ writes }: Pick<Entry, 'writes'>): string {
  const write = writes.at(-1)!;
  if ('put' in write) return doneWords('made', write.put);
  return 'change' in write ? doneWords('changed', write.change) : doneWords('removed', write.remove);
}

const DONE = { made: 'New', changed: 'Changed', removed: 'Taken away' } as const;

/** What was done to a row: "Taken away: a piece". */
export const doneWords = (done: keyof typeof DONE, noun: keyof typeof CALLED): string =>
  `${DONE[done]}: ${CALLED[noun]}`;

/** What people call the fields that may have to be put right; by their own names where nothing better is known. */
const FIELDS: Record<string, string> = {
  value: 'Number',
  widthMm: 'Width',
  heightMm: 'Height',
  acrossMm: 'Across',
  downMm: 'Square to it',
  lengthMm: 'Length',
  nominalMm: 'Nominal size',
  stopsMm: 'Stops at',
  passesMm: 'Passes',
  targetMm: 'Target',
  toleranceMm: 'Tolerance',
  doseVolumeL: 'Litres a stroke',
  dose: 'Strokes or seconds',
  hours: 'Hours',
  name: 'Name',
  line: 'Maker and line',
  label: 'Label',
  workroomTempC: 'Workroom',
  workroomAltitudeM: 'Altitude of the workroom',
};

export function fieldWords(field: string): string {
  return FIELDS[field] ?? field;
}
