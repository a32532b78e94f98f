import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useModels } from '@/data/records';
import { write } from '@/data/outbox';
import { Cautions } from '@/parts/Cautions';
import type { ShownEvent } from '@/parts/WithEvent';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { useWide } from '@/ui/layout';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { massText } from '@/wording/baseWeight';
import { pieceTitle } from '@/wording/pieces';
import { batchMark } from '@/wording/batchMark';
import { FINISHING, prepareSteps, takenText } from '@/wording/recipe';
import { counted } from '@/wording/trade';

import { batchTargets } from './batchHow';
import { BatchRow } from './BatchRow';
import { BuildPiece } from './BuildPiece';
import { BundleRow } from './BundleRow';
import { lookIn } from '@/parts/look';
import { RunButton } from './RunButton';
import { SortableRows } from './SortableRows';
import type { EventWork } from '@/parts/useEventWork';
import { WithEventWork } from '@/parts/WithEventWork';

/** What is to do for an event at the bench, in working order. */
export function RecipePage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork
      eventId={eventId}
      title="Recipe"
      subtitle={recipeText}
      actions={({ event, work }) => <RunButton eventId={event.id} work={work} />}
    >
      {(shown) => <Recipe {...shown} />}
    </WithEventWork>
  );
}

const recipeText = ({ recipe: { balloons, batches, bags } }: EventWork) =>
  `${counted(balloons, 'balloon')} in ${counted(batches.length, 'batch', 'batches')}, ${counted(bags, 'bag')}`;

function Recipe({ event, pieces, work }: ShownEvent & { work: EventWork }) {
  const wide = useWide();
  const lengths = useLengths();
  const models = useModels().data ?? [];
  const { recipe, basis, plan } = work;
  const { batches, bundles, takes } = recipe;
  const nameOf = new Map(pieces.map((piece) => [piece.id, pieceTitle(piece)]));
  const markOf = new Map(batches.map(({ key }, i) => [key, batchMark(i)]));
  const doses = batchTargets(batches, models, basis);
  const order = batches.map(({ key }) => key);
  const keep = (to: string[]) => write({ change: 'event', id: event.id, by: { plan: { ...plan, order: to } } });
  const move = (at: number, by: -1 | 1) => {
    const to = [...order];
    [to[at], to[at + by]] = [to[at + by]!, to[at]!];
    keep(to);
  };
  const prepare = prepareSteps(batches, {
    markOf: (key) => markOf.get(key)!,
    nameOf: (balloon) => lookIn(balloon, models).name,
    stuffed: (balloon) => models.some(({ id, outerId }) => id === balloon && outerId !== null),
    preStretched: (key) => doses.get(key)?.preStretched ?? false,
  });
  const organic = pieces.some(({ design }) => design.form === 'garland');
  return (
    <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
      <View className={wide ? 'flex-[1.2] gap-3' : 'gap-3'}>
        {prepare.length > 0 ? (
          <Card title="Prepare">
            <Steps steps={prepare} />
          </Card>
        ) : null}
        <Card title="Inflate">
          <Words look="quiet" className="mb-2">
            One size at a time, all of it before any is tied. Large ones first: small balloons lose their size soonest.
          </Words>
          <SortableRows
            order={order}
            nameOf={(key) => `batch ${markOf.get(key)}`}
            labelOf={(key) => {
              const { balloon, count, fillMm } = batches.find((batch) => batch.key === key)!;
              const { name } = lookIn(balloon, models);
              return `Batch ${markOf.get(key)}: ${count} of ${name}, ${lengths.text(fillMm)}`;
            }}
            onOrder={keep}
            row={(key) => {
              const at = order.indexOf(key);
              const batch = batches[at]!;
              return (
                <BatchRow
                  batch={batch}
                  mark={markOf.get(key)!}
                  look={lookIn(batch.balloon, models)}
                  target={doses.get(key) ?? null}
                  basis={basis}
                  pieces={batch.of.map(({ piece, count }) => `${nameOf.get(piece)} ${count}`)}
                  alike={batch.alike.map((other) => markOf.get(other)!)}
                  onUp={at > 0 ? () => move(at, -1) : null}
                  onDown={at < batches.length - 1 ? () => move(at, 1) : null}
                />
              );
            }}
          />
          {plan.order.length > 0 ? (
            <Button title="Back to the usual order" look="plain" onPress={() => keep([])} />
          ) : null}
        </Card>
      </View>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        {bundles.length > 0 ? (
          <Card title="Tie">
            <View role="list" className="gap-1">
              {bundles.map((bundle) => (
                <BundleRow
                  key={bundle.key}
                  bundle={bundle}
                  batchOf={(key) => batches.find((batch) => batch.key === key)!}
                  markOf={(key) => markOf.get(key)!}
                  hexOf={(balloon) => lookIn(balloon, models).colour}
                  pieces={bundle.of.map(({ piece, count }) => `${nameOf.get(piece)} ${count}`)}
                />
              ))}
            </View>
          </Card>
        ) : null}
        <Card title="Build">
          <View className="gap-4">
            {pieces.map((piece) => (
              <BuildPiece key={piece.id} piece={piece} work={work} />
            ))}
          </View>
        </Card>
        {organic ? (
          <Card title="Finish">
            <Steps steps={FINISHING} />
          </Card>
        ) : null}
        <Card title="Take along">
          <View role="list" className="gap-1">
            {takes.map((taken, i) => (
              <View key={i} role="listitem">
                <Words>
                  {takenText(taken, {
                    text: basis.lengths.text,
                    mass: (kg) => massText(kg, basis.lengths.unit),
                  })}
                </Words>
              </View>
            ))}
            {takes.length === 0 ? <Words look="quiet">Nothing beside balloons.</Words> : null}
          </View>
        </Card>
        <Cautions names={['latex', 'choking', 'heights']} />
      </View>
    </View>
  );
}
