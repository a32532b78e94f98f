import { MODEL_DEFAULTS, type ModelDetail } from '@leggero/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { FinishPage } from '@/features/finish/FinishPage';
import { FoilPage } from '@/features/foil/FoilPage';
import { WithModel } from '@/parts/WithModel';
import { ModellingPage } from '@/features/modelling/ModellingPage';
import { ShelfList } from '@/features/shelf/ShelfList';

import { goTo } from './router';
import { FRESH_ID, lastDone, PUMP_ID, show, someRecords, namesDone } from './studio';

const inch = (inches: number) => inches * 25.4;
const LONG_ID = '00000000-0000-4000-8000-000000000701';
const FOIL_ID = '00000000-0000-4000-8000-000000000702';

const long: ModelDetail = {
  ...MODEL_DEFAULTS,
  id: LONG_ID,
  line: 'Ketteridge Long',
  kind: 'modelling',
  nominalMm: inch(2),
  lengthMm: inch(60),
  finish: 'matte',
  colourName: 'eelgrass',
  colourHex: '#5f8f3e',
  demo: false,
  calibrations: [],
  holdTests: [],
  uses: 0,
  targets: [],
  checks: [],
};
const foil: ModelDetail = {
  ...long,
  id: FOIL_ID,
  line: 'Tarn Foil',
  kind: 'foil',
  nominalMm: inch(18),
  lengthMm: null,
  finish: 'mirror',
  colourName: 'moon silver',
  stock: 6,
};

/** The usual studio with a modelling balloon and a foil. */
function withOthers() {
  const records = someRecords();
  records.models.push(long, foil);
  return records;
}

const shows = (part: string, more: Record<string, string> = {}) => {
  goTo(`/shelf/${LONG_ID}`, { for: part, ...more });
  show(<ModellingPage model={long} />, withOthers());
};
const retype = async (name: string, text: string) => {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  await userEvent.type(field, text);
};

describe('the shelf', () => {
  it('lists every kind with what it is measured by', async () => {
    show(<ShelfList />, withOthers());
    expect(await screen.findByText('Ketteridge Long 260')).toBeTruthy();
    expect(screen.getByText('2 in across, 5 ft long')).toBeTruthy();
    expect(screen.getByText('18 in flat')).toBeTruthy();
  });
});

describe('a modelling balloon', () => {
  it('explains its code, and the tail to leave for so many twists', async () => {
    shows('length');
    expect(screen.getByText(/260: 2 in across, 5 ft long when full/)).toBeTruthy();
    expect(await screen.findByRole('img', { name: 'Filled to 4 ft 11 in of 5 ft, 1 in empty' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'More: twists' }));
    expect(screen.getByRole('img', { name: 'Filled to 4 ft 10 in of 5 ft, 2 in empty' })).toBeTruthy();
  });

  it('learns length from readings, which start a calibration of their own', async () => {
    shows('length', { pump: PUMP_ID });
    await screen.findByRole('textbox', { name: 'Inflated length' });
    await retype('Inflated length', '90');
    expect(screen.getByRole('alert').textContent).toMatch(/never longer than 5 ft 9 in/);
    await retype('Inflated length', '24 1/2');
    await userEvent.click(screen.getByRole('button', { name: 'Add this length' }));
    expect(namesDone()).toEqual(['put calibration', 'put reading']);
    expect(lastDone()).toMatchObject({
      row: { dose: 6, heightMm: expect.closeTo(inch(24.5), 6), widthMm: inch(2) },
    });
  });

  it('refuses a leaf longer than the balloon beside its field, and says the longest', async () => {
    shows('shapes');
    expect(screen.getByText(/Fill 23⅛ in, leave 1 in empty: 12 in long/)).toBeTruthy();
    await retype('Leaf, stem to tip', '40');
    expect(screen.getByRole('alert').textContent).toMatch(/Longer than one balloon gives\. The most is 2 ft 5⅞ in/);
    await userEvent.click(screen.getByRole('radio', { name: 'Spray' }));
    expect(screen.getByText(/12 rays of 2 ft 5½ in: 4 ft 11 in across/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Curl' }));
    expect(screen.getByText(/turns, 6 in across/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Loop' }));
    expect(screen.getByText(/8 in clear inside/)).toBeTruthy();
  });

  it('counts joiners whole and in halves', async () => {
    shows('join');
    expect(screen.getByText('6 balloons for 11 joins: each does 2 of them.')).toBeTruthy();
    await userEvent.click(screen.getByRole('switch', { name: 'Cut in halves: often enough' }));
    expect(screen.getByText('6 balloons for 11 joins: 11 halves, each does one.')).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Figure eight' }));
    expect(screen.getByRole('alert').textContent).toMatch(/does not do one join/);
  });

  it('wraps a pole, and refuses one of no width', async () => {
    shows('pole');
    expect(screen.getByRole('img', { name: /28 balloons: 173 turns/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Fewer: each turn over the last' }));
    expect(screen.queryByRole('img', { name: /28 balloons/ })).toBeNull();
    await retype('Pole across, inches', '0');
    expect(screen.getByRole('alert').textContent).toMatch(/no pole thinner than ¼ in/);
    expect(screen.getByRole('button', { name: 'Ladders, wind and hanging' })).toBeTruthy();
  });
});

describe('a foil', () => {
  it('tells its full size, when to stop, and the room for heat', async () => {
    goTo(`/shelf/${FOIL_ID}`, { temp: '40' });
    show(<FoilPage model={foil} />, withOthers());
    // 18 in flat is 18 x 0.7628 full, and 18 x 0.457 deep.
    expect(await screen.findByRole('img', { name: /13¾ in wide, 13¾ in high, 8¼ in deep/ })).toBeTruthy();
    expect(screen.getByText(/Run a finger along the seam/)).toBeTruthy();
    expect(screen.getByText(/Fill it to 91 % of its volume here/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Foil and power lines' })).toBeTruthy();
    await retype('At the venue, °C', '5');
    expect(screen.getByText(/It goes slack at the venue/)).toBeTruthy();
  });

  it('of the stretchy kind fills by hand to its last wrinkle', async () => {
    show(<FoilPage model={{ ...foil, kind: 'stretch-foil', nominalMm: inch(15) }} />, withOthers());
    expect(await screen.findByText(/Fill until the last wrinkle goes/)).toBeTruthy();
    expect(screen.getByText(/an automatic shut-off stops too soon/)).toBeTruthy();
    expect(screen.getByText('Put it in clear latex')).toBeTruthy();
  });
});

describe('colour and shine', () => {
  const finish = (more: Partial<ModelDetail>) => {
    goTo(`/shelf/${FRESH_ID}/finish`);
    const records = someRecords();
    Object.assign(records.models[1]!, more);
    show(<WithModel modelId={FRESH_ID}>{(shown) => <FinishPage {...shown} />}</WithModel>, records);
  };

  it('of a mirror: the smallest that shines, the neck to squeeze, two bubbles of one', async () => {
    finish({ finish: 'mirror' });
    expect(
      await screen.findByText(/Below 6⅞ in it dulls\. Hold the neck low.*leave about 21 % of the skin/),
    ).toBeTruthy();
    expect(
      screen.getByText('Two bubbles of 4¾ in and 4¾ in. Together their skin is stretched 12 % further than as one.'),
    ).toBeTruthy();
    await retype('Width wanted, inches', '8');
    await waitFor(() => expect(screen.getByText(/It shines by itself/)).toBeTruthy());
  });

  it('of a print and of confetti: what the recipe must say', async () => {
    finish({ decor: 'confetti' });
    expect(await screen.findByText(/Static bursts it in dry rooms/)).toBeTruthy();
    expect(screen.getByText(/Flecks scratch the skin/)).toBeTruthy();
  });

  it('of a print: how rounding off moves it', async () => {
    finish({ decor: 'print' });
    expect(await screen.findByText(/Rounded off, the print grows|It is round already/)).toBeTruthy();
    expect(screen.getByText(/No two prints side by side/)).toBeTruthy();
  });
});
