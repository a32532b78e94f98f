import path from 'node:path';

import { Linter } from 'eslint';

import { drawArchitecture } from '../lib/architecture.mjs';
import { inLanes } from '../lib/lanes.mjs';
import { ROOT } from '../lib/paths.mjs';
import { pause } from '../lib/processes.mjs';

describe('lanes', () => {
  it('work at so many tasks at once, begin them in order, and answer in that order', async () => {
    const begun = [];
    let now = 0;
    let most = 0;
    const task = (name, ms) => async () => {
      begun.push(name);
      most = Math.max(most, ++now);
      await pause(ms);
      now -= 1;
      return name;
    };
    const tasks = [task('long', 60), task('short', 5), task('next', 5), task('last', 5)];
    expect(await inLanes(2, tasks)).toEqual(['long', 'short', 'next', 'last']);
    expect([begun, most]).toEqual([['long', 'short', 'next', 'last'], 2]);
  });

  it('need no more of them than there are tasks, and pass on what goes wrong', async () => {
    expect(await inLanes(9, [async () => 1])).toEqual([1]);
    expect(await inLanes(2, [])).toEqual([]);
    await expect(inLanes(2, [async () => 1, () => Promise.reject(new Error('tin'))])).rejects.toThrow('tin');
  });
});

describe('the formatter has the last word', () => {
  const complaints = (code) => {
    const formatting = require('../lint/formatting.cjs');
    return new Linter()
      .verify(code, [{ plugins: { formatting }, rules: { 'formatting/no-exemption': 'error' } }])
      .map(({ line }) => line);
  };

  it('but over a table of numbers', () => {
    expect(complaints('// prettier-ignore\nconst TABLE = [[1, 2], [-3, 4.5]];')).toEqual([]);
    expect(complaints('// prettier-ignore\nexport const SIGNS = { a: { wide: 4, at: [[1, 0]] }, b: [] };')).toEqual([]);
  });

  it.each([
    ['a table of words', "// prettier-ignore\nconst WORDS = ['a', 'b'];"],
    ['a function', '// prettier-ignore\nfunction long() { return 1; }'],
    ['a call', '// prettier-ignore\nrun([1, 2]);'],
    ['a trailing one', 'const TABLE = [1]; // prettier-ignore'],
    ['one within a function', 'function f() {\n// prettier-ignore\nconst T = [1];\nreturn T; }'],
  ])('not over %s', (_, code) => {
    expect(complaints(code)).toHaveLength(1);
  });

  it('speaks of the comment, not of the word', () => {
    expect(complaints("/* about prettier-ignore */ const word = 'prettier-ignore';")).toEqual([]);
  });

  it.each(['core/src/x.ts', 'app/src/ui/x.tsx', 'scripts/x.mjs', 'e2e/x.ts'])('in the whole house: %s', (file) => {
    const long = `const words = '${'long '.repeat(40)}';\nexport default words; // prettier-ignore\n`;
    const rules = lintedAs(file, long);
    expect(rules).toContain('formatting/no-exemption');
    expect(rules).toContain('max-len');
  });
});

/** The rules that some code breaks as a file of the house. */
function lintedAs(file, code) {
  const filename = path.join(ROOT, file);
  const linter = new Linter({ cwd: ROOT });
  return linter.verify(code, require('../../eslint.config.cjs'), { filename }).map(({ ruleId }) => ruleId);
}

describe('imports point one way', () => {
  const refused = (file, code) => lintedAs(file, code).includes('no-restricted-imports');

  it.each([
    ['core/src/x.ts', "import '@leggero/contract';"],
    ['core/src/x.ts', "import 'zod';"],
    ['core/src/x.ts', "import 'node:fs';"],
    ['contract/src/x.ts', "import '@leggero/server';"],
    ['server/src/x.ts', "import '@leggero/app';"],
    ['app/src/ui/x.ts', "import '@/features/shelf/ShelfList';"],
    ['e2e/x.ts', "import '../scripts/world.mjs';"],
  ])('%s may not have %s', (file, code) => {
    expect(refused(file, code)).toBe(true);
  });

  it.each([
    ['contract/src/x.ts', "import '@leggero/core';"],
    ['app/src/features/x.ts', "import '@leggero/contract';"],
  ])('%s may have %s', (file, code) => {
    expect(refused(file, code)).toBe(false);
  });
});

describe('the drawing of the architecture', () => {
  const drawn = drawArchitecture();

  it('has every part of the house, and arrows as the imports are', () => {
    for (const name of ['core', 'contract', 'server', 'app/features', 'app/ui'])
      expect(drawn).toContain(`>${name}</text>`);
    expect(drawn).toMatch(/contract imports core in \d+ places/);
    expect(drawn).toMatch(/app\/features imports app\/ui in \d+ places/);
    expect(drawn).not.toMatch(/core imports /);
    expect(drawn).not.toMatch(/(server|contract) imports app/);
  });

  it('is the same each time, so that a stale one is noticed', () => {
    expect(drawArchitecture()).toBe(drawn);
  });
});
