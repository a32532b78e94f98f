import type { AsBuiltRecord, PieceRecord, Write } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useAsBuilt } from '@/data/site';
import { newId, nowUtc } from '@/device/id';
import { BuiltForm } from '@/parts/built/BuiltForm';
import { FinishedForm } from '@/parts/built/FinishedForm';
import { StackForm } from '@/parts/built/StackForm';
import type { DrawnMeasure } from '@/parts/piece/drawnMeasures';
import { PieceStill } from '@/parts/PieceStill';
import type { EventWork } from '@/parts/useEventWork';
import type { ShownEvent } from '@/parts/WithEvent';
import { Worked } from '@/parts/Worked';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Loading } from '@/ui/States';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { builtText, LAYERS_HIGH, MEASURE_WORDS } from '@/wording/site';

/** How large its pieces came out: what stacks and garlands teach goes back to the next plan. */
export function BuiltPart({ event, pieces }: ShownEvent) {
  const built = useAsBuilt(event.id);
  if (!built) return <Loading what="its sizes" />;
  return (
    <Worked event={event}>
      {(work) => (
        <>
          <Words>
            Measured once it is up: how layers pack and how long garlands come out is learned from it, and the next plan
            reckons with that.
          </Words>
          {pieces.map((piece) => (
            <Built
              key={piece.id}
              {...{ piece, work }}
              measures={work.asked.get(piece.id)?.measures ?? []}
              built={built.filter(({ pieceId }) => pieceId === piece.id)}
              eventId={event.id}
            />
          ))}
        </>
      )}
    </Worked>
  );
}

interface BuiltProps {
  piece: PieceRecord;
  work: EventWork;
  measures: readonly DrawnMeasure[];
  /** Newest first. */
  built: readonly AsBuiltRecord[];
  eventId: string;
}

const isStack = ({ teaches }: DrawnMeasure) => teaches !== null && 'layers' in teaches;
const titleOf = (measure: DrawnMeasure) => (isStack(measure) ? LAYERS_HIGH : MEASURE_WORDS[measure.measure].title);

function Built({ piece, work, measures, built, eventId }: BuiltProps) {
  const lengths = useLengths();
  const [open, setOpen] = useState<DrawnMeasure | null>(null);
  const [undo, setUndo] = useState<Write[] | null>(null);
  return (
    <View className="gap-2 border-b border-line pb-3">
      <View className="flex-row items-center gap-3">
        <PieceStill id={piece.id} design={piece.design} size={48} />
        <Words look="strong" className="flex-1">
          {piece.name}
        </Words>
      </View>
      {measures.length === 0 ? <Words look="quiet">Nothing of it is measured.</Words> : null}
      {measures.map((drawn) => {
        const newest = built.find(({ measure }) => measure === drawn.measure);
        return (
          <View key={drawn.measure} className="flex-row items-center gap-3">
            <View className="flex-1">
              <Words>{`Drawn ${lengths.long(drawn.drawnMm)} ${titleOf(drawn)}`}</Words>
              {newest ? <Words look="quiet">{builtText(newest, { ...lengths, text: lengths.long })}</Words> : null}
            </View>
            <Button
              title={`${newest ? 'Again' : 'Measure'}, ${MEASURE_WORDS[drawn.measure].title}`}
              onPress={() => setOpen(drawn)}
            />
          </View>
        );
      })}
      {undo ? (
        <UndoLine
          sentence="It is kept."
          onUndo={() => {
            write(...undo);
            setUndo(null);
          }}
        />
      ) : null}
      <Sheet title={piece.name} open={open !== null} onClose={() => setOpen(null)}>
        {open ? (
          <Form
            drawn={open}
            work={work}
            onKeep={(builtMm) => {
              const writes = keeping(open, builtMm, { eventId, pieceId: piece.id });
              write(...writes);
              setUndo(writes.map(({ put, row }) => ({ remove: put, id: row.id })));
              setOpen(null);
            }}
          />
        ) : null}
      </Sheet>
    </View>
  );
}

function Form({ drawn, work, onKeep }: { drawn: DrawnMeasure; work: EventWork; onKeep: (builtMm: number) => void }) {
  const lengths = useLengths();
  const { teaches, measure, drawnMm } = drawn;
  const { basis } = work;
  if (teaches && 'layers' in teaches) return <StackForm layers={teaches.layers} {...{ basis, onKeep }} />;
  if (teaches) return <FinishedForm made={teaches.tied} {...{ lengths, onKeep }} />;
  const { title, how } = MEASURE_WORDS[measure];
  return <BuiltForm label={`How ${title} it came out`} {...{ how, drawnMm, lengths, onKeep }} />;
}

type Put = Extract<Write, { put: 'asBuilt' | 'stack' | 'finishedGarland' }>;

/** What is kept of a measure: how it came out, and what is learned from it. */
function keeping(
  { measure, drawnMm, teaches }: DrawnMeasure,
  builtMm: number,
  of: { eventId: string; pieceId: string },
): Put[] {
  const at = nowUtc();
  const writes: Put[] = [{ put: 'asBuilt', row: { id: newId(), ...of, measure, drawnMm, builtMm, at } }];
  if (teaches && 'layers' in teaches)
    writes.push({ put: 'stack', row: { id: newId(), layers: teaches.layers, heightMm: builtMm, takenAt: at } });
  else if (teaches)
    writes.push({ put: 'finishedGarland', row: { id: newId(), ...teaches.tied, lengthMm: builtMm, takenAt: at } });
  return writes;
}
