import { ROOT } from '../lib/paths.mjs';
import { runCommand } from '../lib/processes.mjs';

const bench = (...words) => runCommand(process.execPath, ['scripts/bench.mjs', ...words], { quiet: true, cwd: ROOT });

/** The lines of the closing table. */
const tableOf = (output) => output.split('\n').filter((line) => /^(kept|NOT KEPT|BROKEN) /.test(line));

describe('the bench', () => {
  it('measures one part alone, and knows its parts', async () => {
    const alone = await bench('--smoke', 'swags');
    expect([alone.code, tableOf(alone.output).length]).toEqual([0, 1]);
    const none = await bench('tin');
    expect([none.code, none.output]).toEqual([1, expect.stringMatching(/no part "tin": choose of fits, brackets/)]);
  });
});
