import { faultsOfViews } from '../viewFaults';
import { PHONE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');

describe('every view on a phone, opened by its address', () => {
  it('is accessible by WCAG 2.2 AA by day and in the evening, fits its width, and raises no error', async () => {
    expect(await faultsOfViews({ world, viewport: PHONE, way: 'goTo' })).toEqual([]);
  });
});
