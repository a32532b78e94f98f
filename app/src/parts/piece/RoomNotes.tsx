import type { Box } from '@leggero/core/building';

import type { PieceBasis } from './useBasis';
import { Words } from '@/ui/Words';
import { roomTexts, topperTexts, type StandingForm } from '@/wording/room';

interface RoomNotesProps {
  form: StandingForm;
  /** How large it is as it is carried; null while it cannot be worked out. */
  box: Box | null;
  /** How high it reaches where it stands or hangs, mm; so high as it is where nothing is said. */
  topMm?: number | undefined;
  /** Of the room, where no event has one. */
  ceilingMm?: number | null;
  topped?: boolean;
  /** The topper where it looks lost: the least that does not, mm. */
  leastTopperMm?: number | null;
  /** What else is said against it. */
  also?: readonly (string | null)[];
  basis: PieceBasis;
}

/** What the room, the way there and the weather say against a piece. */
export function RoomNotes({
  form,
  box,
  topped = false,
  leastTopperMm = null,
  also = [],
  basis,
  ...own
}: RoomNotesProps) {
  const { event, lengths } = basis;
  const { text } = lengths;
  const ceilingMm = event ? event.ceilingMm : (own.ceilingMm ?? null);
  const room = box ? roomTexts(form, { box, topMm: own.topMm ?? box.highMm }, { event, ceilingMm, topped, text }) : [];
  return [...also.filter((each) => each !== null), ...room, ...topperTexts({ leastTopperMm, text })].map((words) => (
    <Words key={words} look="error" role="alert">
      {words}
    </Words>
  ));
}
