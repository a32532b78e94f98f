import { TRADE } from '@leggero/core';
import 'fake-indexeddb/auto';

import { PIECE_FORMS, type PieceDesign, type PieceForm } from '@leggero/contract';
import { waitFor } from '@testing-library/react';

import { firstDesign } from '@/features/builds/firstDesign';
import { PieceStill } from '@/parts/PieceStill';
import type { Material } from '@/parts/piece/material';
import { drawStill, frameOf, stillOf } from '@/parts/piece/still';
import type { StillQuestion } from '@/parts/piece/piece.worker';

import { show, someRecords } from './studio';

const INCH = 25.4;
const PX = 96;
const material: Material = {
  knowledge: { models: [], trade: TRADE },
  studio: { stepMm: INCH / 8 },
  chains: [],
  stacks: [],
  longs: [],
};
const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' as const };
const designOf = (form: PieceForm) => firstDesign(form, { part, stepMm: INCH / 8 });
const drawn = (design: PieceDesign) => stillOf(design, material)!;

describe('a still', () => {
  it.each(PIECE_FORMS)('of a %s holds it whole in its square, as large as it goes', (form) => {
    const still = drawn(designOf(form));
    const { scale, dx, dy } = frameOf(still, PX);
    const reach = still.balls.flatMap(({ x, y, r }) => [
      [dx + (x - r) * scale, dx + (x + r) * scale],
      [dy + (y - r) * scale, dy + (y + r) * scale],
    ]);
    const [least, most] = [Math.min(...reach.map(([low]) => low!)), Math.max(...reach.map(([, high]) => high!))];
    expect(least).toBeCloseTo(2, 6);
    expect(most).toBeCloseTo(PX - 2, 6);
  });

  it('has every balloon of the piece, in its colour', () => {
    const ring = { ...designOf('ring'), count: 7 } as PieceDesign;
    expect(drawn(ring).balls.map(({ hex }) => hex)).toEqual(Array.from({ length: 7 }, () => '#d2577e'));
    // A chain hangs straight down, its balloons one below the other.
    const chain = drawn(designOf('chain')).balls;
    expect(new Set(chain.map(({ x }) => x))).toEqual(new Set([0]));
    expect(chain.map(({ y }) => y)).toEqual(chain.map(({ y }) => y).sort((a, b) => a - b));
  });

  it('is none of a piece that cannot be worked out', () => {
    expect(stillOf({ ...designOf('basket'), count: 1 } as PieceDesign, material)).toBeNull();
  });

  it('is drawn from back to front, its handle around it', () => {
    const handle = { riseMm: 12 * INCH, part: { ...part, colourHex: '#3f7a4a' } };
    const still = drawn({ ...designOf('basket'), handle } as PieceDesign);
    const strokes: string[] = [];
    const context = {
      setTransform: () => undefined,
      createRadialGradient: () => ({ addColorStop: () => undefined }),
      beginPath: () => undefined,
      moveTo: () => undefined,
      lineTo: () => undefined,
      arc: () => undefined,
      fill: () => strokes.push('balloon'),
      stroke: () => strokes.push('handle'),
    };
    drawStill(context as unknown as OffscreenCanvasRenderingContext2D, still, PX);
    expect(strokes.slice(0, 3)).toEqual(['handle', 'handle', 'balloon']);
    expect(strokes.slice(-2)).toEqual(['handle', 'handle']);
    expect(strokes.filter((each) => each === 'balloon')).toHaveLength(still.balls.length);
  });
});

describe('stills of a list', () => {
  const asked: StillQuestion[] = [];
  beforeEach(() => {
    asked.length = 0;
    class Painter {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      terminate = () => undefined;
      postMessage(question: StillQuestion) {
        asked.push(question);
        const answer = question.jobs.map(({ design }) => ({
          ...{ wideMm: 1, highMm: 1, footMm: 0 },
          picture: `data:image/png;base64,${btoa(design.form)}`,
        }));
        setTimeout(() => this.onmessage?.({ data: { answer } }), 0);
      }
    }
    Object.assign(globalThis, { Worker: Painter, OffscreenCanvas: class {} });
  });
  afterEach(() => {
    Object.assign(globalThis, { Worker: undefined, OffscreenCanvas: undefined });
  });
  const picture = () => document.querySelector('img')?.getAttribute('src');

  it('are asked for once, kept, and drawn anew when what they are drawn from changes', async () => {
    const first = show(<PieceStill id="one" design={designOf('swag')} size={64} />);
    await waitFor(() => expect(picture()).toBe(`data:image/png;base64,${btoa('swag')}`));
    first.unmount();
    const again = show(<PieceStill id="one" design={designOf('swag')} size={64} />);
    await waitFor(() => expect(picture()).toBe(`data:image/png;base64,${btoa('swag')}`));
    again.unmount();
    expect(asked).toHaveLength(1);
    // Steps of an eighth become steps of a millimetre: sizes may change.
    const records = someRecords();
    records.studio.stepMm = 1;
    show(<PieceStill id="one" design={designOf('swag')} size={64} />, records);
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]!.jobs[0]!.material.studio.stepMm).toBe(1);
  });
});
