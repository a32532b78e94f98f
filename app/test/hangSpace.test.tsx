import { PIECE_DEFAULTS, type DesignOf, type PieceDesign } from '@leggero/contract';
import { TRADE, type SizeSpread } from '@leggero/core';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Svg from 'react-native-svg';

import { PiecePage } from '@/chunks/PiecePage';
import { firstDesign } from '@/features/builds/firstDesign';
import { hangScene, unevenChains } from '@/parts/piece/hangScene';
import type { Material } from '@/parts/piece/material';
import { viewChain, viewCurtain, viewSwag } from '@/parts/piece/viewHanging';
import type { Scene, SceneBalloon } from '@/parts/space/scene';
import { StillSpace } from '@/parts/space/StillSpace';
import { viewOf } from '@/parts/space/view';
import { hungStepText, onceHungText } from '@/wording/linking';

import { show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const material: Material = {
  knowledge: { models: [], trade: TRADE },
  studio: { stepMm: inch(1 / 8) },
  ...{ chains: [], stacks: [], longs: [] },
};
const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' as const };
const designOf = <Form extends PieceDesign['form']>(form: Form) =>
  firstDesign(form, { part, stepMm: inch(1 / 8) }) as DesignOf<Form>;
const valueOf = <Value,>(made: { ok: true; value: Value } | { ok: false }): Value => {
  if (!made.ok) throw new Error('cannot be worked out');
  return made.value;
};
const ROOM = { ceiling: null, unit: 'in' } as const;
const inSpace = (
  { chains, sizes }: Pick<ReturnType<typeof curtainView>, 'chains' | 'sizes'>,
  hungFrom: 'line' | 'fixings',
) => hangScene(chains, sizes, [], { hungFrom, room: ROOM });
const curtainView = (by: Partial<DesignOf<'curtain'>> = {}) =>
  valueOf(viewCurtain({ ...designOf('curtain'), ...by }, material));
const swagView = (by: Partial<DesignOf<'swag'>> = {}) => valueOf(viewSwag({ ...designOf('swag'), ...by }, material));

const along = (a: SceneBalloon, b: SceneBalloon) => [0, 1, 2].map((k) => b.at[k]! - a.at[k]!);

describe('a hanging piece in space', () => {
  it('has each knot at the tail before it', () => {
    const { chains, sizes } = swagView({ bays: 1, rows: 1 });
    const { balloons } = inSpace({ chains, sizes }, 'fixings');
    const [{ hangs }] = chains as [(typeof chains)[number]];
    for (let i = 1; i < balloons.length; i += 1) {
      const [before, own] = [balloons[i - 1]!, balloons[i]!];
      const back = along(own, before);
      const apart = Math.hypot(...back);
      // The chord turns a little from one balloon to the next; the neck points along it.
      const straight = back.reduce((sum, each, k) => sum + each * own.neck[k]!, 0) / apart;
      expect(straight).toBeGreaterThan(0.98);
      expect(apart).toBeLessThanOrEqual((before.widthMm + own.widthMm) / 2 + hangs.jointMm + 1e-6);
    }
  });

  it('hangs from its fixings, rows one behind the other, and a curtain from one line', () => {
    const swags = inSpace(swagView({ bays: 2, rows: 2, riseMm: 0 }), 'fixings');
    expect([swags.tubes.length, swags.discs.length]).toEqual([0, 3]);
    const deep = (step: number) => new Set(swags.balloons.filter((each) => each.step === step).map(({ at }) => at[1]));
    expect([deep(0), deep(1)]).toEqual([new Set([0]), new Set([0])]);
    expect([...deep(2)][0]).toBeGreaterThan(0);
    const { chains, sizes } = curtainView();
    const curtain = inSpace({ chains, sizes }, 'line');
    expect([curtain.tubes.length, curtain.discs.length]).toEqual([1, 0]);
    const [first, last] = [curtain.tubes[0]!.line[0]!, curtain.tubes[0]!.line.at(-1)!];
    // Its middle is where it is turned about.
    expect(first[0]).toBeCloseTo(-last[0], 6);
  });

  const LARGE: SizeSpread = { lean: 0.1, sd: 0 };

  it('of large balloons hangs lower by as much as its chain is longer', () => {
    const { chains } = valueOf(viewChain(designOf('chain'), material));
    const [drawn, large] = [chains[0]!, unevenChains(chains, LARGE, 1)[0]!];
    const bodiesMm = drawn.balloons.reduce((sum, { widthMm }) => sum + widthMm, 0);
    const footOf = ({ balloons }: typeof drawn) => balloons.at(-1)!.highMm - balloons.at(-1)!.widthMm / 2;
    expect(footOf(drawn) - footOf(large)).toBeCloseTo(0.1 * bodiesMm, 6);
    const swag = swagView({ bays: 1, rows: 1 }).chains;
    const lowest = (hung: typeof swag) => Math.min(...hung[0]!.balloons.map(({ highMm }) => highMm));
    // A string a tenth longer between the same fixings hangs lower by more than the tenth.
    expect(lowest(swag) - lowest(unevenChains(swag, LARGE, 1))).toBeGreaterThan(
      0.1 * (swag[0]!.hangs.from.highMm - lowest(swag)),
    );
  });

  it('that no longer reaches is drawn as it should be', () => {
    const { chains } = swagView({ bays: 1, rows: 1, dropMm: 60, spanMm: 3000 });
    expect(unevenChains(chains, { lean: -0.3, sd: 0 }, 1)).toEqual(chains);
  });

  it('is said in words', () => {
    const text = (mm: number) => `${mm} mm`;
    expect(onceHungText('chain', 2700, { lowestMm: 700, highestMm: 700 }, text)).toBe('it is 2000 mm long');
    expect(onceHungText('swag', 2700, { lowestMm: 1900, highestMm: 2000 }, text)).toBe(
      'it hangs down to 1900 mm above the floor',
    );
    expect(onceHungText('curtain', 2700, { lowestMm: 500, highestMm: 560 }, text)).toBe(
      'its chains end from 500 mm to 560 mm above the floor',
    );
    expect(hungStepText({ form: 'swag', step: 1, steps: 4, aside: null, balloons: 19 })).toBe(
      'Swag 2 of 4: 19 balloons',
    );
    expect(hungStepText({ form: 'curtain', step: 2, steps: 9, aside: '16 in', balloons: 1 })).toBe(
      'Chain 3 of 9, 16 in from the first: 1 balloon',
    );
  });
});

describe('a still of very many balloons', () => {
  const camera = { turn: 0.2, tilt: 0.1, zoom: 1, push: [0, 0] as const };
  const drawn = (scene: Scene, built = Infinity) => {
    const view = viewOf(scene, camera, 390, 330);
    const { container } = render(
      <Svg>
        <StillSpace scene={scene} view={view} built={built} outlineOf={() => 'none'} />
      </Svg>,
    );
    const places = [...container.querySelectorAll('path[stroke-width]')].flatMap((path) =>
      [...path.getAttribute('d')!.matchAll(/M([\d.-]+) ([\d.-]+)h0/g)].map(([, x, y]) => `${x} ${y}`),
    );
    return { view, places };
  };
  const many = inSpace(curtainView({ acrossMm: 4000, everyMm: 160, topMm: 2600, hemMm: 400 }), 'line');

  it('has each of them in its place, as an edge, a body and a light', () => {
    expect(many.balloons.length).toBeGreaterThan(250);
    const { view, places } = drawn(many);
    expect(places).toHaveLength(3 * many.balloons.length);
    const seen = many.balloons.map(({ at }) => {
      const { x, y } = view.project(at);
      return `${x.toFixed(1)} ${y.toFixed(1)}`;
    });
    expect([...new Set(places)].sort()).toEqual([...new Set(seen)].sort());
  });

  it('has those that are built so far', () => {
    expect(drawn(many, 1).places).toHaveLength(3 * many.balloons.filter(({ step }) => step === 0).length);
  });
});

describe('a page of a hanging piece', () => {
  it('says each step of it, and what there is in all', async () => {
    const records = someRecords();
    const id = '00000000-0000-4000-8000-000000001902';
    records.pieces = [
      {
        ...PIECE_DEFAULTS,
        ...{ id, name: 'Reef', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false },
        design: { ...designOf('swag'), bays: 2, rows: 1 },
      },
    ];
    show(<PiecePage pieceId={id} />, records);
    await waitFor(() => expect(screen.getByText('All 2 swags')).toBeTruthy());
    await userEvent.click(screen.getByRole('button', { name: 'One step back' }));
    await waitFor(() => expect(screen.getByText(/^Swag 2 of 2, .* from the first: \d+ balloons$/)).toBeTruthy());
  });
});
