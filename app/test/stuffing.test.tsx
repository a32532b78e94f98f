import { MODEL_DEFAULTS, type ModelDetail } from '@leggero/contract';
import { assumedOpacities, TRADE } from '@leggero/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { dresserOf, expectedColour, opacitiesOf, partsOf } from '@/views/pairs';
import { viewModel } from '@/views/modelView';
import { knowledgeOf } from '@/views/knowledge';
import { BubblePage } from '@/features/bubble/BubblePage';
import { OrbPage } from '@/features/bubble/OrbPage';
import { ModelPage } from '@/features/model/ModelPage';
import { WithModel } from '@/parts/WithModel';
import { ModelForm } from '@/features/shelf/ModelForm';
import { PairPage } from '@/features/stuffing/PairPage';
import { StuffingPage } from '@/features/stuffing/StuffingPage';
import { Cautions } from '@/parts/Cautions';
import { useSessionState } from '@/ui/session';

import { goTo, visited } from './router';
import { done, FRESH_ID, lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000006${String(n).padStart(2, '0')}`;
const LINK_ID = id(1);
const FIVE_ID = id(2);
const PAIR_ID = id(3);

/** The usual studio with a linking balloon, a 5 in one and, where asked, the two as a pair. */
function withPair({ paired = true, bags = 0, stock = 40 as number | null, seenHex = null as string | null } = {}) {
  const records = someRecords();
  const plain = records.models[1]!;
  const link: ModelDetail = {
    ...plain,
    id: LINK_ID,
    line: 'Ketteridge Link',
    kind: 'linking',
    nominalMm: inch(6),
    finish: 'matte',
    colourName: 'anemone pink',
    colourHex: '#d2577e',
    stock,
  };
  const five: ModelDetail = {
    ...plain,
    id: FIVE_ID,
    line: 'Fennimore Standard',
    nominalMm: inch(5),
    finish: 'matte',
    colourName: 'slate black',
    colourHex: '#33322f',
    stock,
  };
  const pair: ModelDetail = {
    ...link,
    ...MODEL_DEFAULTS,
    id: PAIR_ID,
    line: 'Link over five',
    outerId: LINK_ID,
    innerId: FIVE_ID,
    seenHex,
  };
  records.models.push(link, five, ...(paired ? [pair] : []));
  const bag = {
    batch: '',
    shop: '',
    priceMinor: null,
    boughtAt: '2026-11-20T10:00:00.000Z',
    currency: 'EUR',
    demo: false,
    count: 10,
  };
  const bought = [LINK_ID, FIVE_ID].map((modelId, i) => ({ ...bag, id: id(10 + i), modelId, bags }));
  return bags > 0 ? { ...records, bags: bought } : records;
}

beforeEach(() => {
  goTo('/shelf');
  useSessionState.setState({ folded: [] });
});

describe('pairing two balloons', () => {
  it('says which governs, the target, how to stuff it, the stock, and puts the pair on the shelf', async () => {
    goTo('/shelf/pair', { outer: LINK_ID, inner: FIVE_ID });
    show(<PairPage />, withPair({ paired: false, bags: 2 }));
    expect(await screen.findByText('works')).toBeTruthy();
    expect(screen.getByText(/the inner governs/)).toBeTruthy();
    expect(
      screen.getByText(/A hand pump passes the start; a timed inflator or a two-nozzle inflator does not/),
    ).toBeTruthy();
    // 40 at first and two bags of ten since.
    expect(screen.getByText('The stock makes 60 pieces.')).toBeTruthy();
    const status = screen.getByRole('status', { name: /Supple: fill to/ });
    expect(status.getAttribute('aria-label')).toMatch(/^Supple: fill to 4 in, ±⅛$/);
    await userEvent.click(screen.getByRole('button', { name: 'Put the pair on the shelf' }));
    expect(lastDone()).toMatchObject({
      put: 'model',
      row: {
        outerId: LINK_ID,
        innerId: FIVE_ID,
        kind: 'linking',
        line: 'Ketteridge Link 6 over Fennimore Standard 5',
      },
    });
    expect(visited[0]).toMatch(/^\/shelf\/[0-9a-f-]{36}$/);
  });

  it('changes with the tier, and opens a pair that is there already', async () => {
    goTo('/shelf/pair', { outer: LINK_ID, inner: FIVE_ID });
    show(<PairPage />, withPair());
    await userEvent.click(await screen.findByRole('radio', { name: 'Classic' }));
    expect(screen.getByRole('status', { name: /Classic: fill to 4½ in/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Open this pair' }));
    expect(visited).toEqual([`/shelf/${PAIR_ID}`]);
    expect(done()).toEqual([]);
  });

  it('refuses an inner larger than its outer, names what goes in, and keeps the choice', async () => {
    goTo('/shelf/pair', { outer: FIVE_ID, inner: MODEL_ID });
    show(<PairPage />, withPair());
    expect((await screen.findByRole('alert')).textContent).toMatch(
      /larger than its outer of 5 in\. At most 5 in goes in/,
    );
    expect(screen.getByRole('button', { name: 'Put the pair on the shelf' })).toHaveProperty('disabled', true);
    expect(
      screen.getByRole('button', { name: /Fennimore Standard 11, kelp green: change the inner balloon/ }),
    ).toBeTruthy();
  });

  it('takes another balloon from the sheet of all single ones', async () => {
    goTo('/shelf/pair', { outer: MODEL_ID, inner: FIVE_ID });
    show(<PairPage />, withPair());
    await userEvent.click(await screen.findByRole('button', { name: /change the inner balloon/ }));
    const choices = screen.getAllByRole('radiogroup', { name: 'Inner balloon' }).at(-1)!;
    expect(within(choices).queryByRole('radio', { name: /Link over five/ })).toBeNull();
    await userEvent.click(within(choices).getByRole('radio', { name: /Tarn Satin 11/ }));
    expect(await screen.findByText('Both are of one nominal: they fill as one.')).toBeTruthy();
  });

  it('says when there is no stock for two', async () => {
    goTo('/shelf/pair', { outer: FIVE_ID, inner: FIVE_ID });
    show(<PairPage />, withPair({ stock: 1 }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/one piece takes two of this balloon/);
  });

  it('with nothing on the shelf teaches the first step', async () => {
    show(<PairPage />, { ...someRecords(), models: [] });
    expect(await screen.findByText(/A pair takes balloons that are filled to a width/)).toBeTruthy();
  });
});

describe('a pair on the shelf', () => {
  it('has the target of the smaller balloon, says whose limit holds it, and leads to its stuffing', async () => {
    const records = withPair();
    goTo(`/shelf/${PAIR_ID}`, { tier: records.tiers[0]!.id });
    show(<ModelPage modelId={PAIR_ID} />, records);
    expect(await screen.findByRole('heading', { name: 'Link over five' })).toBeTruthy();
    expect(screen.getByText(/Held (so that the inner stands|at the inner’s round limit)/)).toBeTruthy();
    expect(screen.getByText('How to stuff it')).toBeTruthy();
  });

  it('takes its colour from both, and from what was saved once it was', () => {
    const { models } = withPair();
    const pair = models.find((model) => model.id === PAIR_ID)!;
    const estimated = dresserOf(models, TRADE)(pair).colourHex;
    expect(estimated).toBe(expectedColour(partsOf(pair, models)!, assumedOpacities(), TRADE).colourHex);
    expect(estimated).not.toBe(pair.colourHex);
    const saved = withPair({ seenHex: '#112233' }).models;
    expect(dresserOf(saved, TRADE)(saved.find((model) => model.id === PAIR_ID)!).colourHex).toBe('#112233');
    expect(opacitiesOf(saved, TRADE).matte.learnedFrom).toBe(1);
    const single = models[0]!;
    expect(dresserOf(models, TRADE)(single)).toBe(single);
  });

  it('does not teach its line: a stuffed balloon fills unlike the others', () => {
    const records = withPair();
    const taught = records.models[0]!.calibrations;
    const pair = {
      ...records.models.find((model) => model.id === PAIR_ID)!,
      line: 'Ketteridge Link',
      calibrations: taught,
    };
    const models = [...records.models.filter((model) => model.id !== PAIR_ID), pair];
    const knowledge = knowledgeOf(models, records.pumps);
    const link = models.find((model) => model.id === LINK_ID)!;
    const view = viewModel({ model: link, knowledge, tiers: records.tiers, studio: records.studio });
    expect(view.estimate?.dosesFrom).not.toBe('line');
  });

  it('is read no further than its smaller balloon bears: the tiers are shares of that one', () => {
    const records = withPair();
    const knowledge = knowledgeOf(records.models, records.pumps);
    const pair = records.models.find((model) => model.id === PAIR_ID)!;
    const view = viewModel({ model: pair, knowledge, tiers: records.tiers, studio: records.studio });
    expect(view.governingMm).toBe(inch(5));
    for (const { target } of view.targets) expect(target.widthMm).toBeLessThanOrEqual(0.92 * inch(5));
  });

  it('saves what it really looks like, nudged until it matches', async () => {
    show(<WithModel modelId={PAIR_ID}>{(shown) => <StuffingPage {...shown} />}</WithModel>, withPair());
    await userEvent.click(await screen.findByRole('button', { name: 'Darker' }));
    await userEvent.click(screen.getByRole('button', { name: 'Warmer' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save this colour' }));
    expect(lastDone()).toMatchObject({
      change: 'model',
      id: PAIR_ID,
      by: { seenHex: expect.stringMatching(/^#[0-9a-f]{6}$/) },
    });
    await waitFor(() => expect(screen.getByText(/This is the colour you saved/)).toBeTruthy());
    await userEvent.click(screen.getByRole('button', { name: 'Use the estimate' }));
    expect(lastDone()).toMatchObject({ by: { seenHex: null } });
  });

  it('of a single balloon there is none', async () => {
    show(<WithModel modelId={FRESH_ID}>{(shown) => <StuffingPage {...shown} />}</WithModel>);
    expect(await screen.findByText(/pair it with another first/)).toBeTruthy();
  });
});

describe('a bubble', () => {
  const type = async (name: string, text: string) => {
    const field = screen.getByRole('textbox', { name });
    await userEvent.clear(field);
    await userEvent.type(field, text);
  };

  it('of 14 in and an 11 in inner is 16 in, and goes back again', async () => {
    goTo('/shelf/bubble');
    show(<BubblePage />);
    await screen.findByRole('textbox', { name: 'Outer first, inches' });
    const found = () => screen.getAllByRole('status')[0]!.textContent;
    expect(found()).toMatch(/^Outside16in$/);
    await userEvent.click(screen.getByRole('radio', { name: 'Inner' }));
    // 16^3 - 14^3 = 1352, whose cube root is 11.06.
    expect(found()).toMatch(/^Inner11in$/);
    await userEvent.click(screen.getByRole('radio', { name: 'Outer first' }));
    await type('Inner, inches', '10');
    // 16^3 - 10^3 = 3096, whose cube root is 14.57.
    expect(found()).toMatch(/^Outer first14⅝in$/);
  });

  it('says the steps at the sizer, by tape where no hole is large enough', async () => {
    show(<BubblePage />);
    // The studio's largest hole is 11 in: 14 in does not pass it, and 11 in first would want an inner of 14.
    expect(await screen.findByText('No pair of widths fits the sizer: go by tape.')).toBeTruthy();
    expect(screen.getByText(/Size one inner alone to 11 in, at the 11 hole/)).toBeTruthy();
    expect(screen.getByText(/Fill the outer through the gap to 14 in, by tape/)).toBeTruthy();
    expect(screen.getByText(/24 L in the gap and 11 L in the inner; 2½ in of gap all around/)).toBeTruthy();
  });

  it('refuses a final width below the first beside its field, and keeps what was typed', async () => {
    goTo('/shelf/bubble', { find: 'innerMm' });
    show(<BubblePage />);
    await screen.findByRole('textbox', { name: 'Outside, inches' });
    await type('Outside, inches', '12');
    expect(screen.getByRole('alert').textContent).toMatch(
      /must end above the first width of 14 in\. The least is 14⅝ in/,
    );
    expect((screen.getByRole('textbox', { name: 'Outside, inches' }) as HTMLInputElement).value).toBe('12');
  });

  it('keeps to what the chosen balloons bear', async () => {
    goTo('/shelf/bubble', { outer: MODEL_ID });
    show(<BubblePage />);
    expect((await screen.findByRole('alert')).textContent).toMatch(/The outer would come to 16 in and bears/);
  });

  it('tells what it lifts, or that it cannot', async () => {
    // 35 L at 1.034 g a litre (21 °C, sea level) less 12 g of latex: 24 g, held by twice that.
    show(<BubblePage />);
    await screen.findByText('If it is to float');
    expect(screen.getByText(/Hold it with 48 g, twice that/)).toBeTruthy();
    await type('Balloon’s mass, g', '500');
    expect(screen.getByRole('alert').textContent).toMatch(/It cannot lift itself: 4\d\d g too heavy/);
  });
});

describe('a foil sphere in clear latex', () => {
  it('tells when to let air out, and refuses sizes that do not match', async () => {
    goTo('/shelf/orb');
    show(<OrbPage />);
    expect(screen.getByText(/let latex air out to 13⅞ in \(time 1 of 2\)/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Three times' }));
    expect(screen.getByText(/\(time 3 of 3\)/)).toBeTruthy();
    const latex = screen.getByRole('textbox', { name: 'Clear latex, inches' });
    await userEvent.clear(latex);
    await userEvent.type(latex, '11');
    expect(screen.getByRole('alert').textContent).toMatch(/too small for that sphere/);
  });
});

describe('cautions', () => {
  it('can be folded away, stay by name, and open again', async () => {
    show(<Cautions names={['latex', 'helium']} />);
    const latex = screen.getByRole('button', { name: 'Latex allergy' });
    expect(screen.getByText(/never bring it into a hospital/)).toBeTruthy();
    await userEvent.click(latex);
    expect(screen.queryByText(/never bring it into a hospital/)).toBeNull();
    expect(screen.getByText(/Never breathe it/)).toBeTruthy();
    expect(sessionStorage.getItem('leggero-session')).toContain('latex');
    await userEvent.click(screen.getByRole('button', { name: 'Latex allergy' }));
    expect(screen.getByText(/never bring it into a hospital/)).toBeTruthy();
  });
});

describe('a new modelling balloon', () => {
  it('reads the code on the bag, and is not saved while it cannot be read', async () => {
    show(<ModelForm />);
    await userEvent.click(screen.getByRole('radio', { name: 'Modelling' }));
    const code = screen.getByRole('textbox', { name: 'Code on the bag' });
    expect(screen.getByText(/260: 2 in across, 5 ft long/)).toBeTruthy();
    for (const wrong of ['26', '2600']) {
      await userEvent.clear(code);
      await userEvent.type(code, wrong);
      expect(screen.getByRole('alert').textContent).toMatch(/three digits.*Is it 260\?/);
    }
    await userEvent.type(screen.getByRole('textbox', { name: 'Maker’s line' }), 'Ketteridge Long');
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(done()).toEqual([]);
    await userEvent.clear(code);
    await userEvent.type(code, '350');
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() =>
      expect(lastDone()).toMatchObject({
        put: 'model',
        row: {
          kind: 'modelling',
          nominalMm: expect.closeTo(inch(3), 6),
          lengthMm: expect.closeTo(inch(50), 6),
        },
      }),
    );
  });
});
