import { View } from 'react-native';

import { useStudio } from '@/data/records';
import { write } from '@/data/outbox';
import type { ShownEvent } from '@/parts/WithEvent';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { sparesAt, type SupplyLine } from '@/views/supply';
import { moneyText } from '@/wording/money';
import { neededByText, nextSure, SURE, sureKey, surerText } from '@/wording/supply';
import { capital, counted } from '@/wording/trade';

import { SupplyRow } from './SupplyRow';
import { TakeOut } from './TakeOut';
import type { EventWork } from '@/parts/useEventWork';
import { WithEventWork } from '@/parts/WithEventWork';

/** What an event needs, what there is of it, and what is to be bought, in whole bags. */
export function ShoppingPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork eventId={eventId} title="Shopping list" subtitle={shoppingText}>
      {(shown) => <Shopping {...shown} />}
    </WithEventWork>
  );
}

/** What can be bought: a colour without a balloon is chosen first. */
const chosen = (lines: readonly SupplyLine[]) => lines.filter(({ model }) => model !== null);
const bagsIn = (lines: readonly SupplyLine[]) => chosen(lines).reduce((sum, { bought }) => sum + bought.bags, 0);

function shoppingText({ lines }: EventWork): string {
  const open = lines.length - chosen(lines).length;
  const bags = bagsIn(lines) === 0 ? 'nothing to buy' : `${counted(bagsIn(lines), 'bag')} to buy`;
  return capital(open === 0 ? bags : `${bags}, ${counted(open, 'colour')} to choose`);
}

function Shopping({ event, work }: ShownEvent & { work: EventWork }) {
  const currency = useStudio().data?.currency ?? 'EUR';
  const { lines, plan, basis } = work;
  const { trade } = basis.knowledge;
  const shops = byShop(lines);
  const cost = costOfBags(lines);
  const by = neededByText(event);
  return (
    <View className="w-full max-w-[760px] gap-3">
      <Card title="How sure is it to be that enough survive?">
        <Labelled
          label="Surer takes more spares"
          hint={surerText(sparesAt(lines, plan.sure, trade), sparesAt(lines, nextSure(plan.sure), trade), (minor) =>
            moneyText(minor, currency),
          )}
        >
          <Segmented
            label="How sure"
            options={SURE}
            value={sureKey(plan.sure)}
            onChange={(sure) => write({ change: 'event', id: event.id, by: { plan: { ...plan, sure: Number(sure) } } })}
          />
        </Labelled>
      </Card>
      {by ? <Words>{by}</Words> : null}
      {shops.map(([shop, own]) => (
        <Card key={shop} title={shop}>
          <View role="list">
            {own.map((line) => (
              <SupplyRow
                key={line.balloon}
                line={line}
                currency={currency}
                swapHref={`/builds/events/${event.id}/swap?from=${encodeURIComponent(line.balloon)}`}
              />
            ))}
          </View>
        </Card>
      ))}
      <Words look="strong" role="status">
        {cost.unpriced === 0
          ? `In all ${moneyText(cost.minor, currency)}`
          : `${moneyText(cost.minor, currency)}, without ${counted(cost.unpriced, 'line')} of which no price is known`}
      </Words>
      <TakeOut eventId={event.id} lines={lines} />
      <Words look="quiet">
        What earlier events take is set aside first. Enter bags as they come in: the list grows shorter by itself.
      </Words>
    </View>
  );
}

/** Lines by where they are bought: by the shop they came from last, else by their maker's line. */
function byShop(lines: readonly SupplyLine[]): [string, SupplyLine[]][] {
  const shops = new Map<string, SupplyLine[]>();
  for (const line of lines) {
    const shop = line.stock?.shop || line.model?.line || 'Not chosen from the shelf yet';
    shops.set(shop, [...(shops.get(shop) ?? []), line]);
  }
  return [...shops];
}

function costOfBags(lines: readonly SupplyLine[]): { minor: number; unpriced: number } {
  const bought = chosen(lines).filter(({ bought: { bags } }) => bags > 0);
  const priced = bought.filter(({ stock }) => stock?.eachMinor != null);
  const minor = priced.reduce((sum, { stock, bought: { balloons } }) => sum + balloons * stock!.eachMinor!, 0);
  return { minor: Math.round(minor), unpriced: bought.length - priced.length };
}
