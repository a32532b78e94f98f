import { MOST_HANDS } from '@leggero/contract';
import { MOST_MARGIN } from '@leggero/core';
import { costOf, hoursFor, type Priced } from '@leggero/core/supply';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { MoneyField } from '@/parts/MoneyField';
import type { ShownEvent } from '@/parts/WithEvent';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { NumberField } from '@/ui/NumberField';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { moneyText } from '@/wording/money';
import { eachText, hoursText, workProblemText } from '@/wording/recipe';
import { counted } from '@/wording/trade';

import { CostLines } from './CostLines';
import { HourBars } from './HourBars';
import { usePlan } from './usePlan';
import type { EventWork } from './useEventWork';
import { WithEventWork } from './WithEventWork';

/** How long an event takes by how many, and what it comes to. */
export function MoneyPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork
      eventId={eventId}
      title="Hours and price"
      subtitle={({ counts }) => `${counted(counts.balloons, 'balloon')}, ${counted(counts.pieces, 'piece')}`}
    >
      {(shown) => <Money {...shown} />}
    </WithEventWork>
  );
}

const MARGIN = { least: 0, most: 100 * MOST_MARGIN, error: 'A margin from 0 to 90 % of the price.' };
const MOST_EXTRAS = 20;

function Money({ event, studio, work }: ShownEvent & { work: EventWork }) {
  const wide = useWide();
  const [plan, change] = usePlan(event);
  const { currency } = studio;
  const { counts, lines, basis } = work;
  const { people, stations, sized, extras } = plan;
  const hours = hoursFor({ counts, sized, people, stations, trade: basis.knowledge.trade });
  const goods = lines.map(({ balloon, take, count, stock }): Priced => {
    return { key: balloon, count: take, spare: take - count, eachMinor: stock?.eachMinor ?? null };
  });
  const { hourMinor, travelMinor, hireMinor, margin } = plan;
  const handHours = hours.ok ? hours.value.handHours : 0;
  const cost = costOf({ goods, handHours, hourMinor, travelMinor, hireMinor, extras, margin });
  return (
    <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <Card title="Hours">
          <View className="gap-4">
            {hours.ok ? (
              <>
                <View role="status">
                  <Words look="figure" className="text-[40px] leading-[48px]">
                    {hoursText(hours.value.hours)}
                  </Words>
                  <Words look="quiet">{`${hoursText(hours.value.handHours)} of hands in all`}</Words>
                </View>
                <HourBars hours={hours.value} />
              </>
            ) : (
              <Words look="error" role="alert">
                {workProblemText(hours.problem)}
              </Words>
            )}
            <Segmented
              label="How it is inflated"
              options={[
                { value: 'sized', title: 'With a sizer' },
                { value: 'eye', title: 'By eye' },
              ]}
              value={sized ? 'sized' : 'eye'}
              onChange={(how) => change({ sized: how === 'sized' })}
            />
            <Stepper
              label="people"
              value={people}
              shown={String(people)}
              {...{ step: 1, least: 0, most: MOST_HANDS }}
              onChange={(to) => change({ people: to })}
            />
            <Stepper
              label="stations to inflate at"
              value={stations}
              shown={String(stations)}
              {...{ step: 1, least: 0, most: MOST_HANDS }}
              onChange={(to) => change({ stations: to })}
            />
            <Words look="quiet">
              Paces are those of the trade until you set your own, under Numbers of the trade. One kind of work after
              another, as on an assembly line.
            </Words>
          </View>
        </Card>
      </View>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <Card title="What it comes to">
          {cost.ok ? (
            <CostLines cost={cost.value} currency={currency} handHours={handHours} />
          ) : (
            <Words look="error" role="alert">
              {workProblemText(cost.problem)}
            </Words>
          )}
        </Card>
        <Card title="Beside balloons">
          <View className="gap-3">
            <MoneyField
              label="An hour of work"
              value={hourMinor}
              currency={currency}
              onChange={(minor) => change({ hourMinor: minor ?? 0 })}
            />
            <MoneyField
              label="Travel"
              value={travelMinor}
              currency={currency}
              onChange={(minor) => change({ travelMinor: minor ?? 0 })}
            />
            <MoneyField
              label="Hire"
              hint="Frames, plinths, a van."
              value={hireMinor}
              currency={currency}
              onChange={(minor) => change({ hireMinor: minor ?? 0 })}
            />
            {extras.map((extra, i) => {
              const set = (by: Partial<typeof extra>) =>
                change({ extras: extras.map((each, j) => (i === j ? { ...each, ...by } : each)) });
              return (
                <View key={i} className="gap-2 rounded-card bg-sunk p-3">
                  <Field
                    label={`Extra ${i + 1}`}
                    value={extra.name}
                    error={extra.name.trim().length > MOST_NAME ? `At most ${MOST_NAME} characters.` : undefined}
                    onChangeText={(name) => set({ name })}
                  />
                  <MoneyField
                    label={`For extra ${i + 1}`}
                    value={extra.minor}
                    currency={currency}
                    onChange={(minor) => set({ minor: minor ?? 0 })}
                  />
                  <Button
                    title={`Take extra ${i + 1} away`}
                    look="plain"
                    onPress={() => change({ extras: extras.filter((_, j) => i !== j) })}
                  />
                </View>
              );
            })}
            {extras.length < MOST_EXTRAS ? (
              <Button
                title="Add an extra: leaves, mirror finish, stuffing"
                icon={Plus}
                onPress={() => change({ extras: [...extras, { name: '', minor: 0 }] })}
              />
            ) : null}
            <NumberField
              label="Margin, % of the price"
              value={100 * margin}
              range={MARGIN}
              onChange={(percent) => change({ margin: percent / 100 })}
            />
            <Words look="quiet">{`Money is in ${currency}: another one is chosen under Studio. What to charge is yours to say.`}</Words>
          </View>
        </Card>
        {cost.ok && counts.pieces > 0 ? (
          <Words look="quiet">{eachText(cost.value.priceMinor, counts, (minor) => moneyText(minor, currency))}</Words>
        ) : null}
      </View>
    </View>
  );
}

const MOST_NAME = 80;
