import { ROOT } from '../lib/paths.mjs';
import { runCommand } from '../lib/processes.mjs';

const bench = (...words) => runCommand(process.execPath, ['scripts/bench.mjs', ...words], { quiet: true, cwd: ROOT });

/** The lines of the closing table. */
const tableOf = (output) => output.split('\n').filter((line) => /^(kept|NOT KEPT|BROKEN) /.test(line));

/** What could not be measured, and why. */
const whatBroke = (output) => output.match(/^.*could not be measured\n.*$/gm) ?? [];

describe('the bench', () => {
  it('measures every part in a smoke, and ends with a table of all figures', async () => {
    const { code, output } = await bench('--smoke');
    expect(whatBroke(output)).toEqual([]);
    expect(code).toBe(0);
    expect(output).toContain('A smoke: the figures say nothing.');
    // Computing, a page that is drawn anew, the server, the files and the size: each is there.
    for (const what of ['calibrations of 12', 'box at another', 'over HTTP', 'CSV of 500 lines', 'first load, gzip']) {
      expect(tableOf(output).some((line) => line.includes(what))).toBe(true);
    }
  });
});
