import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';

import { ensureChromium } from './lib/chromium.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT, STATE } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';
import { ensureWeb } from './lib/web.mjs';

const bin = (file) => path.join(ROOT, 'node_modules', file);
const TYPED = ['core', 'contract', 'server', 'app', 'e2e', 'bench'];

/** One tool that passes or fails as a whole. */
async function tool(title, file, args) {
  const { code } = await runCommand(process.execPath, [bin(file), ...args]);
  say(`${code === 0 ? 'passed' : 'FAILED'}: ${title}`);
  return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

/** One of Jest's projects; counts its tests. A suite that could not even run counts as a failure. */
async function jest(project, env = {}) {
  const folder = path.join(STATE, 'test-results');
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, `${project}.json`);
  rmSync(file, { force: true });
  const args = ['--selectProjects', project, '--json', `--outputFile=${file}`, '--ci', '--testLocationInResults'];
  const inBand = ['server', 'e2e', 'scripts'].includes(project) ? ['--runInBand'] : [];
  say(`\n— ${project} —`);
  const { code, output } = await runCommand(
    process.execPath,
    [bin('jest/bin/jest.js'), ...args, ...inBand, ...process.argv.slice(3)],
    {
      quiet: true,
      env: { NODE_ENV: 'test', ...env },
    },
  );
  say(output.replace(/^\{"numFailed.*$/m, '').trim());
  try {
    const result = JSON.parse(readFileSync(file, 'utf8'));
    const failed = result.numFailedTests + result.numRuntimeErrorTestSuites + result.numPendingTests;
    return {
      passed: result.numPassedTests,
      failed: failed || (code === 0 && result.numPassedTests > 0 ? 0 : 1),
    };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function withDatabase(use) {
  mkdirSync(STATE, { recursive: true });
  const folder = mkdtempSync(path.join(STATE, 'test-'));
  const database = await startMariadb({ folder, name: 'leggero_test' });
  try {
    return await use(database.url);
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const PARTS = {
  lint: () => tool('lint', 'eslint/bin/eslint.js', ['.', '--max-warnings=0']),
  format: () => tool('format', 'prettier/bin/prettier.cjs', ['--check', '--log-level=warn', '.']),
  async types() {
    const results = [];
    for (const workspace of TYPED)
      results.push(await tool(`types of ${workspace}`, 'typescript/bin/tsc', ['-p', workspace]));
    return total(results);
  },
  core: () => jest('core'),
  contract: () => jest('contract'),
  app: () => jest('app'),
  server: () => withDatabase((url) => jest('server', { LEGGERO_TEST_DATABASE: url })),
  scripts: () => jest('scripts'),
  async e2e() {
    const chromium = await ensureChromium();
    await ensureWeb();
    return jest('e2e', { LEGGERO_CHROMIUM: chromium });
  },
};

function total(results) {
  return results.reduce((sum, { passed, failed }) => ({ passed: sum.passed + passed, failed: sum.failed + failed }), {
    passed: 0,
    failed: 0,
  });
}

await run(async () => {
  const part = process.argv[2];
  if (part !== undefined && !(part in PARTS)) {
    throw new Refusal(`There is no part "${part}": choose one of ${Object.keys(PARTS).join(', ')}.`);
  }
  await ensurePackages();
  const results = [];
  for (const name of part ? [part] : Object.keys(PARTS)) results.push(await PARTS[name]());
  const { passed, failed } = total(results);
  say(`\n${passed} passed, ${failed} failed`);
  process.exitCode = failed === 0 ? 0 : 1;
});
