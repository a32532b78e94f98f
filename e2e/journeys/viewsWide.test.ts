import { faultsOfViews } from '../viewFaults';
import { WIDE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');

describe('every view on a wide window, gone to from another', () => {
  it('is accessible by WCAG 2.2 AA by day and in the evening, fits its width, and raises no error', async () => {
    expect(await faultsOfViews({ world, viewport: WIDE, way: 'follow' })).toEqual([]);
  });
});
