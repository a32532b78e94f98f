import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { notHandedOn } from '../lib/handedOn.mjs';

describe('the trade’s numbers are handed on', () => {
  it('so that nothing works with the table’s own whatever the studio has', () => {
    const { places, calls } = notHandedOn();
    expect(places).toEqual([]);
    expect(calls).toBeGreaterThan(300);
  });

  it('is seen where it is not so', () => {
    const root = mkdtempSync(path.join(os.tmpdir(), 'leggero-handed-on-'));
    try {
      mkdirSync(path.join(root, 'core/src'), { recursive: true });
      writeFileSync(path.join(root, 'core/tsconfig.json'), '{ "compilerOptions": { "strict": true } }');
      writeFileSync(path.join(root, 'core/src/widths.ts'), SLIPS);
      const { places, calls } = notHandedOn(root, 'core');
      expect(places).toEqual([
        'core/src/widths.ts:5 widthOf() without trade',
        'core/src/widths.ts:6 highOf() without trade',
        'core/src/widths.ts:7 widthOf as a value',
        'core/src/widths.ts:8 TRADE.share',
      ]);
      expect(calls).toBe(4);
    } finally {
      rmSync(root, { recursive: true });
    }
  });
});

const SLIPS = `export const TRADE = { share: 0.9 };
export const wide = widthOf(1, TRADE) + highOf({ widthMm: 1, trade: TRADE });
function widthOf(mm: number, trade = TRADE) { return mm * trade.share; }
function highOf({ widthMm, trade = TRADE }: { widthMm: number; trade?: typeof TRADE }) { return widthMm / trade.share; }
export const one = widthOf(1);
export const two = highOf({ widthMm: 1 });
export const three = [1].map(widthOf);
export const four = TRADE.share;
`;
