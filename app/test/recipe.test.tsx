import {
  EVENT_DEFAULTS,
  PIECE_DEFAULTS,
  PLAN_DEFAULTS,
  type BagRecord,
  type DesignOf,
  type EventRecord,
  type PieceRecord,
  type WorkPlan,
} from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { firstDesign } from '@/features/builds/firstDesign';
import { MoneyPage } from '@/features/recipe/MoneyPage';
import { RecipePage } from '@/features/recipe/RecipePage';
import { ShoppingPage } from '@/features/recipe/ShoppingPage';
import { VersionsPage } from '@/features/recipe/VersionsPage';
import { ReadingPage } from '@/features/reading/ReadingPage';
import { StockPage } from '@/features/stock/StockPage';
import { WithModel } from '@/parts/WithModel';
import { moneyEntry, moneyText, readMoney } from '@/wording/money';
import { batchMark } from '@/wording/batchMark';
import { differenceText, perLengthText } from '@/wording/recipe';
import { versionRows } from '@/wording/versions';

import { withBenchWorkers } from './benchWorker';
import { COLUMN } from './designs';
import { goTo } from './router';
import { done, FRESH_ID, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

withBenchWorkers();

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000031${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const AT = '2026-11-20T10:00:00.000Z';

const event = (by: Partial<EventRecord> = {}): EventRecord => ({
  ...EVENT_DEFAULTS,
  ...{ id: EVENT_ID, name: 'Low Tide', daysStanding: 0, createdAt: AT, demo: false },
  ...by,
});
const piece = (n: number, by: Partial<PieceRecord> = {}): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(10 + n), name: `Kelp ${n}`, design: COLUMN, eventId: EVENT_ID, checks: [], createdAt: AT, demo: false },
  ...by,
});
const bag = (n: number, by: Partial<BagRecord> = {}): BagRecord => ({
  ...{ id: id(30 + n), modelId: MODEL_ID, count: 50, bags: 1, batch: '', shop: 'Quay Supplies', priceMinor: 1150 },
  ...{ currency: 'EUR', boughtAt: AT, demo: false },
  ...by,
});
const records = (by: Partial<Records> = {}): Records => ({
  ...someRecords(),
  events: [event()],
  pieces: [piece(1, { copies: 2 })],
  ...by,
});
const click = (name: string | RegExp, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const type = async (name: string, words: string) => {
  await userEvent.clear(screen.getByRole('textbox', { name }));
  await userEvent.type(screen.getByRole('textbox', { name }), words);
};
/** The plan that was kept last. */
const kept = (is: (plan: WorkPlan) => boolean) =>
  waitFor(() => {
    const last = lastDone();
    const plan = last && 'change' in last && last.change === 'event' ? last.by.plan : null;
    expect(plan && is(plan)).toBe(true);
  });

describe('the recipe of an event', () => {
  const batches = () =>
    screen.getAllByRole('listitem', { name: /^Batch/ }).map((row) => row.getAttribute('aria-label'));

  it('has what is inflated, tied, built and taken along', async () => {
    show(<RecipePage eventId={EVENT_ID} />, records());
    expect(await screen.findByText('80 balloons in 2 batches, 4 bags')).toBeTruthy();
    // Twice ten layers of three and one.
    expect(batches()).toEqual([
      'Batch A: 60 of Fennimore Standard 11, kelp green, 9½ in',
      'Batch B: 20 of Tarn Satin 11, tide blue, 9½ in',
    ]);
    expect(screen.getByText(/^2 poles, each [56] ft/)).toBeTruthy();
    expect(screen.getByText('2 base plates')).toBeTruthy();
    const tied = screen.getAllByText(/^Duplet of/).map((row) => row.textContent);
    expect(tied.sort()).toEqual(['Duplet of A + A', 'Duplet of A + B']);
    expect(screen.getAllByText('20 ×')).toHaveLength(2);
    expect(screen.getByRole('link', { name: /^2 × Kelp 1/ })).toBeTruthy();
  });

  it('is put in another order, which is kept, and can be given back', async () => {
    show(<RecipePage eventId={EVENT_ID} />, records());
    await screen.findByText('80 balloons in 2 batches, 4 bags');
    const [before] = batches();
    await click('Later: batch A');
    await waitFor(() => expect(batches()[1]).toBe(before!.replace('Batch A', 'Batch B')));
    await kept(({ order }) => order.length === 2);
    await click('Back to the usual order');
    await waitFor(() => expect(batches()[0]).toBe(before));
  });

  it('marks what looks alike', async () => {
    const other = { ...COLUMN, widthMm: inch(9.25) };
    show(<RecipePage eventId={EVENT_ID} />, records({ pieces: [piece(1), piece(2, { design: other })] }));
    await screen.findByText(/in 4 batches/);
    expect(screen.getAllByText(/^Looks like [A-D]$/)).toHaveLength(4);
    expect(screen.getByText(/^Write marks on the bags of A, B, C and D/)).toBeTruthy();
  });

  it('of an event without pieces says what to do first; a piece that cannot be worked out is named', async () => {
    const { unmount } = show(<RecipePage eventId={EVENT_ID} />, records({ pieces: [] }));
    expect(await screen.findByText(/^Nothing is drawn up for this event yet/)).toBeTruthy();
    unmount();
    const wrong = piece(2, { name: 'Broken', design: { ...COLUMN, pattern: { ...COLUMN.pattern, order: [0, 1] } } });
    show(<RecipePage eventId={EVENT_ID} />, records({ pieces: [piece(1), wrong] }));
    expect(await screen.findByText(/^Left out, for it cannot be worked out as it is drawn: Broken\./)).toBeTruthy();
    expect(screen.getByText(/^40 balloons/)).toBeTruthy();
  });

  it('pre-stretches what its readings were taken of, and says how many a bag takes', async () => {
    const { models } = someRecords();
    const stretched = models.map((model) => ({
      ...model,
      calibrations: model.calibrations.map((calibration) => ({ ...calibration, preStretched: true })),
    }));
    show(<RecipePage eventId={EVENT_ID} />, records({ models: stretched }));
    expect(await screen.findByText(/^Pre-stretch A: inflate once/)).toBeTruthy();
    expect(screen.getByText(/^Bags 1 to 3, 28 a bag · 2 × Kelp 1 60$/)).toBeTruthy();
    // How it is built stands with it: turned, locked, and on what.
    expect(screen.getByText(/^Push it on from above .* this one is locked\.$/)).toBeTruthy();
    expect(screen.getByText(/^With 1 pole, .* · 1 base plate · 1 weight, of /)).toBeTruthy();
  });

  it('of a balloon that was deleted is a colour without one, by its look', async () => {
    const models = someRecords().models.filter(({ id: own }) => own !== FRESH_ID);
    const first = show(<RecipePage eventId={EVENT_ID} />, records({ models }));
    expect(await screen.findByRole('listitem', { name: /: 20 of not chosen from the shelf, 9½ in$/ })).toBeTruthy();
    first.unmount();
    show(<ShoppingPage eventId={EVENT_ID} />, records({ models }));
    expect(await screen.findByText('A colour without a balloon')).toBeTruthy();
  });

  it('marks batches as bags are marked', () => {
    expect([0, 25, 26, 27, 52].map(batchMark)).toEqual(['A', 'Z', 'AA', 'AB', 'BA']);
  });
});

describe('the shopping list', () => {
  it('takes spares, looks at what is there, and buys whole bags', async () => {
    show(<ShoppingPage eventId={EVENT_ID} />, records({ bags: [bag(1)] }));
    // Sixty and twenty with spares, of which fifty of one are there.
    const own = await screen.findByRole('link', { name: /60 needed/ });
    expect(within(own).getByText('50 there')).toBeTruthy();
    expect(within(own).getByText('1 bag of 50 · €11.50')).toBeTruthy();
    const other = screen.getByRole('link', { name: /20 needed/ });
    expect(within(other).getByText('Nobody counted what is there')).toBeTruthy();
    expect(screen.getByText('2 bags to buy')).toBeTruthy();
    expect(screen.getByText('Quay Supplies')).toBeTruthy();
    expect(screen.getByText('€11.50, without 1 line of which no price is known')).toBeTruthy();
    const take = () => Number(/take (\d+)/.exec(own.textContent!)![1]);
    const before = take();
    await click('99 %', 'radio');
    await kept(({ sure }) => sure === 0.99);
    await waitFor(() => expect(take()).toBeGreaterThan(before));
  });

  it('takes what is there off the shelf for it, is asked for no more of that, and gives it back', async () => {
    const other = event({ id: id(2), name: 'Spring tide', opensAt: '2027-03-01T10:00:00.000Z' });
    show(
      <ShoppingPage eventId={EVENT_ID} />,
      records({ events: [event({ opensAt: '2027-02-01T10:00:00.000Z' }), other], bags: [bag(1, { bags: 2 })] }),
    );
    const own = await screen.findByRole('link', { name: /60 needed/ });
    const [, take] = /take (\d+)/.exec(own.textContent!)!;
    await click(`Take ${take} balloons off the shelf for it`);
    expect(lastDone()).toMatchObject({
      put: 'stockEntry',
      row: { modelId: MODEL_ID, eventId: EVENT_ID, change: 'out', count: Number(take) },
    });
    await waitFor(() => expect(own.textContent).toContain(`${take} out for it already`));
    expect(own.textContent).toContain(`${100 - Number(take)} there`);
    // What is out for it is lacked no more.
    expect(within(own).getByText('there')).toBeTruthy();
    await click('Undo');
    await waitFor(() => expect(own.textContent).toContain('100 there'));
  });

  it('sets aside first what an earlier event takes', async () => {
    const early = event({ id: id(2), name: 'Spring tide', opensAt: '2027-01-01T10:00:00.000Z' });
    const late = event({ opensAt: '2027-02-01T10:00:00.000Z' });
    show(
      <ShoppingPage eventId={EVENT_ID} />,
      records({
        events: [late, early],
        pieces: [piece(1), piece(2, { eventId: early.id })],
        bags: [bag(1), bag(2), bag(3)],
      }),
    );
    // Thirty with spares each, of a hundred and fifty.
    const own = await screen.findByRole('link', { name: /30 needed/ });
    const [, promised] = /150 there, (\d+) promised to earlier events/.exec(own.textContent!)!;
    expect(Number(promised)).toBeGreaterThan(30);
  });

  it('names a colour that no balloon was chosen for, and what is lost altogether', async () => {
    const [first, second] = COLUMN.colours;
    const design = { ...COLUMN, colours: [first!, { ...second!, modelId: null }] };
    const gone = {
      id: id(50),
      modelId: MODEL_ID,
      bagId: null,
      work: 'inflate' as const,
      used: 9000,
      lost: 9000,
      at: AT,
    };
    show(<ShoppingPage eventId={EVENT_ID} />, records({ pieces: [piece(1, { design })], losses: [gone] }));
    expect(await screen.findByText('A colour without a balloon')).toBeTruthy();
    expect(screen.getByText('Tap to choose one for it, in every piece.')).toBeTruthy();
    expect(screen.getByText(/^All but everything of it was lost so far/)).toBeTruthy();
  });
});

describe('hours and price', () => {
  const plan = { ...PLAN_DEFAULTS, people: 2, stations: 1, hourMinor: 2000 };

  it('follow from who is there, and are kept', async () => {
    show(<MoneyPage eventId={EVENT_ID} />, records({ events: [event({ plan })], bags: [bag(1)] }));
    // Eighty with a sizer at eighteen seconds each, one at a time.
    expect(await screen.findByRole('listitem', { name: /^Inflate: 24 min, held by the stations/ })).toBeTruthy();
    await click('More: stations to inflate at');
    expect(await screen.findByRole('listitem', { name: 'Inflate: 12 min' })).toBeTruthy();
    await kept(({ stations }) => stations === 2);
    await click('By eye', 'radio');
    expect(await screen.findByRole('listitem', { name: 'Inflate: 6 min' })).toBeTruthy();
    await click('Fewer: people');
    await click('Fewer: people');
    expect(await screen.findByText('Nobody is there to do the work: how many people are?')).toBeTruthy();
  });

  it('add up, with margin on the price; money that is none stays in its field', async () => {
    show(
      <MoneyPage eventId={EVENT_ID} />,
      records({ events: [event({ plan: { ...plan, hourMinor: 0 } })], bags: [bag(1)] }),
    );
    await screen.findByText('What it comes to');
    await type('Travel, EUR', '45.5');
    await type('Margin, % of the price', '50');
    await kept(({ travelMinor, margin }) => travelMinor === 4550 && margin === 0.5);
    const line = (title: string) => screen.getByText(title).parentElement!.textContent!.replace(title, '');
    const minor = (title: string) => Math.round(100 * Number(line(title).slice(1)));
    expect(minor('Cost')).toBe(minor('Balloons') + minor('Spares') + minor('Travel'));
    expect(minor('Balloons')).toBe(60 * 23);
    expect(minor('Margin')).toBe(minor('Cost'));
    expect(screen.getByText(/^1 balloon without a price/)).toBeTruthy();
    await type('Hire, EUR', '-1');
    expect(screen.getByText('Money from 0 up, in EUR, please.')).toBeTruthy();
    expect((screen.getByRole('textbox', { name: 'Hire, EUR' }) as HTMLInputElement).value).toBe('-1');
    await kept(({ hireMinor }) => hireMinor === 0);
  });

  it('has extras by name, added and taken away', async () => {
    show(<MoneyPage eventId={EVENT_ID} />, records({ events: [event({ plan })] }));
    await click(await screen.findByRole('button', { name: /^Add an extra/ }).then(() => /^Add an extra/));
    await type('Extra 1', 'Leaves');
    await type('For extra 1, EUR', '32');
    await kept(({ extras }) => extras[0]?.name === 'Leaves' && extras[0].minor === 3200);
    await click('Take extra 1 away');
    await kept(({ extras }) => extras.length === 0);
  });

  it('reads and writes money of any currency', () => {
    expect([moneyText(123_456, 'EUR'), moneyText(500, 'JPY')]).toEqual(['€1,234.56', '¥500']);
    expect([moneyEntry(1250, 'EUR'), moneyEntry(1200, 'EUR')]).toEqual(['12.50', '12']);
    expect([readMoney('12.5', 'EUR'), readMoney('12,50', 'EUR'), readMoney('0.29', 'EUR')]).toEqual([1250, 1250, 29]);
    expect([readMoney('12.505', 'EUR'), readMoney('1.5', 'JPY'), readMoney('much', 'EUR')]).toEqual([NaN, NaN, NaN]);
  });
});

describe('the stock of a balloon', () => {
  const open = async (by: Partial<Records> = {}) => {
    show(<StockPage modelId={MODEL_ID} />, records(by));
    await screen.findByText(/^Stock: /);
  };
  const figure = () => within(screen.getAllByRole('status')[0]!).getAllByText(/./)[0]!.textContent;

  it('is what was bought, taken and counted', async () => {
    await open();
    expect(figure()).toBe('–');
    await type('Balloons in each', '100');
    await type('Price of a bag, EUR', '8.90');
    await type('From which shop', 'Quay Supplies');
    await click('Put them on the shelf');
    await waitFor(() => expect(figure()).toBe('100'));
    expect(lastDone()).toMatchObject({
      put: 'bag',
      row: { count: 100, bags: 1, priceMinor: 890, shop: 'Quay Supplies' },
    });
    expect(screen.getByText('1 bag of 100, from Quay Supplies, €8.90 each')).toBeTruthy();
    // The very same once more is asked about, not refused.
    expect(screen.getByText(/came in today already: is this another\?$/)).toBeTruthy();
    await click('Out', 'radio');
    await type('How many went out', '130');
    await click('Write it down');
    await waitFor(() => expect(figure()).toBe('-30'));
    expect(screen.getByText(/^30 more went out than came in/)).toBeTruthy();
    await click('Counted', 'radio');
    await type('How many are there', '12');
    await click('Write it down');
    await waitFor(() => expect(figure()).toBe('12'));
    await userEvent.click(screen.getAllByRole('button', { name: 'Take back' })[0]!);
    await waitFor(() => expect(figure()).toBe('-30'));
    expect(screen.getByText('Taken back: 12 counted.')).toBeTruthy();
    await click('Undo');
    await waitFor(() => expect(figure()).toBe('12'));
  });

  it('keeps losses, no more than were used, and learns from them', async () => {
    await open();
    expect(screen.getByText(/^About 6 in 100 .* as is usual/)).toBeTruthy();
    await type('Used', '90');
    await type('Lost', '91');
    expect(screen.getByText('No more are lost than were used.')).toBeTruthy();
    await type('Lost', '30');
    await click('Add losses');
    expect(lastDone()).toMatchObject({ put: 'loss', row: { modelId: MODEL_ID, work: 'inflate', used: 90, lost: 30 } });
    expect(await screen.findByText(/^About (2[5-9]|3[0-3]) in 100 .* learned from 90 of yours/)).toBeTruthy();
    expect(screen.getByText('30 of 90 lost in filling')).toBeTruthy();
  });

  it('says which events it is promised to, and the list by when it is needed', async () => {
    const dated = event({ opensAt: '2027-02-01T18:00:00.000Z', hoursBefore: 6 });
    const first = show(<StockPage modelId={MODEL_ID} />, records({ events: [dated] }));
    const promised = await screen.findByText(/^Promised to Low Tide \d+\.$/);
    expect(Number(/\d+/.exec(promised.textContent!)![0])).toBeGreaterThan(60);
    first.unmount();
    show(<ShoppingPage eventId={EVENT_ID} />, records({ events: [dated] }));
    expect(await screen.findByText(/^It is made from .* on: have all of it a day before/)).toBeTruthy();
  });

  it('says of a bag in other money that it is not added up', async () => {
    await open({ bags: [bag(1, { currency: 'USD' })] });
    expect(screen.getByText(/\$11\.50 each, not in the studio’s money, so not added up$/)).toBeTruthy();
  });

  it('refuses what is no count and no money, and keeps nothing of it', async () => {
    await open();
    const before = done().length;
    await type('Bags', '0');
    expect(screen.getByText('From 1 to 1,000 bags.')).toBeTruthy();
    await type('Price of a bag, EUR', '-1');
    expect(screen.getByText('Money from 0 up, in EUR, please.')).toBeTruthy();
    await type('How many are there', '1.5');
    expect(screen.getByText('A whole number, from 0 up.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Write it down' }).getAttribute('aria-disabled')).toBe('true');
    expect(done()).toHaveLength(before);
  });
});

describe('two versions of an event', () => {
  it('stand side by side, with how far they are apart', async () => {
    const copy = event({ id: id(2), name: 'Low Tide, once more' });
    goTo(`/builds/events/${EVENT_ID}/versions`);
    show(
      <VersionsPage eventId={EVENT_ID} />,
      records({
        events: [event(), copy],
        pieces: [piece(1), piece(2, { eventId: copy.id, copies: 2 })],
        bags: [bag(1), bag(2, { modelId: FRESH_ID })],
      }),
    );
    await userEvent.click(await screen.findByRole('radio', { name: 'Low Tide, once more' }));
    await screen.findByRole('table', { name: 'Side by side' });
    const cells = (title: string) =>
      within(screen.getByRole('rowheader', { name: title }).parentElement!)
        .getAllByRole('cell')
        .map((cell) => cell.textContent);
    expect(cells('Balloons')).toEqual(['40', '80', '+40']);
    expect(cells('Batches')).toEqual(['2', '2', 'same']);
    expect(cells('Length')).toEqual(['–', '–', '–']);
    const [one, other, apart] = cells('Cost').map((cell) => Number(cell!.replace(/[^\d.]/g, '')));
    expect(apart).toBeCloseTo(other! - one!, 2);
  });

  it('of one event alone says how to make another', async () => {
    show(<VersionsPage eventId={EVENT_ID} />, records());
    expect(await screen.findByText(/^There is no other event\. Copy this one/)).toBeTruthy();
  });

  it('are more or less by sign, in their own units', () => {
    const none = { pieces: 1, balloons: 4, batches: 1, bags: 1, lengthMm: 3048, handHours: 1, hours: 1 };
    const one = { ...none, costMinor: 500, priceMinor: null };
    const rows = versionRows(
      one,
      { ...one, lengthMm: 1524, hours: 1.5, costMinor: 650 },
      { currency: 'EUR', text: String },
    );
    const cellsOf = (title: string) => rows.find((row) => row.title === title)!.cells;
    expect(cellsOf('Length')).toEqual(['3048', '1524', '−1524']);
    expect(cellsOf('From start to end')).toEqual(['1 h', '1 h 30 min', '+30 min']);
    expect(cellsOf('Cost')).toEqual(['€5.00', '€6.50', '+€1.50']);
    expect(cellsOf('Price')).toEqual(['–', '–', '–']);
  });
});

describe('the price of a garland', () => {
  const garland = firstDesign('garland', {
    ...{ part: COLUMN.colours[0]!, other: COLUMN.colours[1]!, nominalMm: inch(11), stepMm: 3.175, trade: TRADE },
  }) as DesignOf<'garland'>;
  const plan = { ...PLAN_DEFAULTS, hourMinor: 2000, margin: 0.2 };

  it('is told by the foot, with its fill counted too, and thinner or longer', async () => {
    show(
      <MoneyPage eventId={EVENT_ID} />,
      records({
        events: [event({ plan })],
        pieces: [piece(1), piece(2, { name: 'Reef', design: { ...garland, fullness: [2, 2, 2, 2, 2] } })],
        bags: [bag(1), bag(2, { modelId: FRESH_ID })],
      }),
    );
    await screen.findByText('By piece');
    // Twelve clusters of the trade's foot, and as many over them.
    expect(screen.getByText(/^12\.0 ft: €[\d.]+ a foot; with its fill 24\.0 ft, €[\d.]+ each$/)).toBeTruthy();
    const priceOf = (title: string) =>
      Number(screen.getByText(title).parentElement!.textContent!.replace(/^.*€/, '').replace(',', ''));
    const price = Number(screen.getByText('Price').parentElement!.textContent!.replace(/^.*€/, '').replace(',', ''));
    expect(priceOf('Kelp 1') + priceOf('Reef')).toBeCloseTo(price, 2);
    await screen.findByText('Reef, half a layer thinner');
    expect(screen.getByText(/^\d+ balloons fewer, €[\d.]+ less$/)).toBeTruthy();
    expect(screen.getByText('Reef, a cluster longer')).toBeTruthy();
    expect(screen.getByText(/^\d+ balloons more, €[\d.]+ more$/)).toBeTruthy();
  });

  it('is told by the metre where lengths are metric', () => {
    const money = (minor: number) => moneyText(minor, 'EUR');
    expect(perLengthText(12_000, { alongMm: 3000, filledMm: 3000 }, { unit: 'cm', money })).toBe(
      '3.0 m: €40.00 a metre',
    );
    expect(differenceText({ balloons: 0, priceMinor: 0 }, money)).toBe('as many balloons, the same price');
  });
});

describe('batches of one balloon', () => {
  const bags = [bag(1, { batch: 'K7' }), bag(2, { batch: 'K8' }), bag(3, { modelId: FRESH_ID, batch: 'S4' })];
  const loss = (n: number, bagId: string, lost: number) => ({
    ...{ id: id(50 + n), modelId: MODEL_ID, bagId, work: 'inflate' as const, used: 40, lost, at: AT },
  });

  it('lose more or less, each by itself', async () => {
    show(<StockPage modelId={MODEL_ID} />, records({ bags, losses: [loss(1, id(31), 2), loss(2, id(31), 3)] }));
    expect(await screen.findByText('Batch K7: 5 of 80 lost.')).toBeTruthy();
    await click('K8', 'radio');
    await type('Used', '10');
    await type('Lost', '1');
    await click('Add losses');
    expect(lastDone()).toMatchObject({ put: 'loss', row: { bagId: id(32), used: 10, lost: 1 } });
    expect(await screen.findByText('Batch K8: 1 of 10 lost.')).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'S4' })).toBeNull();
  });

  it('are read by themselves', async () => {
    show(<WithModel modelId={FRESH_ID}>{(shown) => <ReadingPage {...shown} />}</WithModel>, records({ bags }));
    await click(await screen.findByRole('radio', { name: 'S4' }).then(() => 'S4'), 'radio');
    await click('Add reading');
    const made = done()
      .flat()
      .find((write) => 'put' in write && write.put === 'calibration');
    expect(made).toMatchObject({ row: { modelId: FRESH_ID, bagId: id(33) } });
  });
});
