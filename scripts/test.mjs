import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { launchChromium } from './lib/chromium.mjs';
import { inLanes } from './lib/lanes.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { CACHE, ROOT, STATE } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';
import { ensureServer } from './lib/server.mjs';
import { ensureWeb } from './lib/web.mjs';

const bin = (file) => path.join(ROOT, 'node_modules', file);
const cache = (name) => path.join(CACHE, name);
const TYPED = ['core', 'contract', 'server', 'app', 'e2e', 'speed'];
/** What each of Jest's projects needs beside its packages; `hard` is run when it is asked for alone. */
const PROJECTS = {
  core: [],
  contract: [],
  server: ['database', 'server'],
  scripts: ['web'],
  app: [],
  e2e: ['database', 'browser', 'web', 'server'],
  hard: ['database', 'browser', 'web', 'server'],
};

/** One tool that passes or fails as a whole; told once it has ended, so that two at once do not mix their words. */
async function tool(title, file, args) {
  const start = Date.now();
  const { code, output } = await runCommand(process.execPath, [bin(file), ...args], { quiet: true });
  const seconds = (Date.now() - start) / 1000;
  say(`${code === 0 ? 'passed' : 'FAILED'}: ${title}, ${seconds.toFixed(0)} s`);
  if (code !== 0) say(output.trim());
  return { title, passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1, seconds };
}

// Version 7 checks ten times as fast as the one that the linter's parser still needs.
const typed = (workspace) => () => tool(`types of ${workspace}`, 'tsc7/bin/tsc', ['-p', workspace]);

const TOOLS = {
  types: TYPED.map(typed),
  lint: [
    () =>
      tool('lint', 'eslint/bin/eslint.js', [
        ...['.', '--max-warnings=0', '--cache', '--cache-strategy', 'content'],
        ...['--cache-location', `${cache('lint')}/`],
      ]),
  ],
  unused: [() => tool('unused code and packages', 'knip/bin/knip.js', ['--no-progress', '--no-config-hints'])],
  docs: [() => tool('docs as the code has it', '../scripts/docs.mjs', ['--check'])],
  format: [
    () =>
      tool('format', 'prettier/bin/prettier.cjs', [
        ...['--check', '--log-level=warn', '.', '--cache', '--cache-strategy', 'content'],
        ...['--cache-location', cache('format.json')],
      ]),
  ],
};

/** Starts what some projects need; answers the environment that names it, and how it is ended. */
async function surroundings(needs) {
  const ends = [];
  const env = { NODE_ENV: 'test', LEGGERO_BLANK: cache('blank-database') };
  // The database server below copies the blank folder too.
  process.env.LEGGERO_BLANK = env.LEGGERO_BLANK;
  if (needs.has('server')) await ensureServer();
  if (needs.has('database')) {
    mkdirSync(STATE, { recursive: true });
    const folder = mkdtempSync(path.join(STATE, 'test-'));
    const database = await startMariadb({ folder, name: 'leggero_test', passing: true });
    env.LEGGERO_TEST_DATABASE = database.url;
    ends.push(async () => {
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    });
  }
  if (needs.has('browser')) {
    const browser = await launchChromium();
    env.LEGGERO_BROWSER = browser.wsEndpoint();
    ends.push(() => browser.close());
  }
  return { env, end: () => Promise.all(ends.map((end) => end())) };
}

/** Some of Jest's projects in one run, so that its workers are never idle; counts what each of them passed. */
async function jest(projects, more = []) {
  const needs = new Set(projects.flatMap((project) => PROJECTS[project]));
  if (needs.has('web')) await ensureWeb();
  const { env, end } = await surroundings(needs);
  const file = path.join(STATE, 'test-results.json');
  rmSync(file, { force: true });
  const args = [
    ...['--selectProjects', ...projects, '--json', `--outputFile=${file}`, '--ci', '--testLocationInResults'],
    ...['--cacheDirectory', cache('jest'), `--maxWorkers=${workers(projects)}`],
  ];
  const { code } = await runCommand(process.execPath, [bin('jest/bin/jest.js'), ...args, ...more], { env });
  await end();
  return counted(projects, file, code);
}

/** Journeys and starts wait for other processes half of their time: two more workers than there are cores. */
function workers(projects) {
  const cores = os.availableParallelism();
  return projects.includes('e2e') || projects.includes('scripts') ? cores + 2 : cores;
}

/** The project of a test file: its folder's, unless it is one of the long ones. */
function projectOf(file) {
  const [folder, inner] = path.relative(ROOT, file).split(path.sep);
  return inner === 'hard' ? inner : folder;
}

function counted(projects, file, code) {
  let suites;
  try {
    suites = JSON.parse(readFileSync(file, 'utf8')).testResults;
  } catch {
    return [{ title: 'tests', passed: 0, failed: 1, seconds: 0 }];
  }
  const results = projects.map((title) => {
    const own = suites.filter(({ name }) => projectOf(name) === title);
    const tests = own.flatMap(({ assertionResults }) => assertionResults);
    const passed = tests.filter(({ status }) => status === 'passed').length;
    // A suite that could not even run counts as a failure, and so does a test that was left out.
    const broken = own.filter(({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0);
    const seconds = own.reduce((sum, { startTime, endTime }) => sum + (endTime - startTime) / 1000, 0);
    return { title, passed, failed: tests.length - passed + broken.length, seconds };
  });
  const failed = results.some((result) => result.failed > 0);
  const none = results.every(({ passed }) => passed === 0);
  return (code !== 0 && !failed) || none
    ? [...results, { title: 'the run', passed: 0, failed: 1, seconds: 0 }]
    : results;
}

/** Types, lint and format beside the build of the app, then every test. */
async function everything() {
  const web = async () => {
    const start = Date.now();
    await ensureWeb();
    return { title: 'building the app', passed: 0, failed: 0, seconds: (Date.now() - start) / 1000 };
  };
  const first = await inLanes(2, [web, TOOLS.lint, TOOLS.types, TOOLS.unused, TOOLS.docs, TOOLS.format].flat());
  return [...first, ...(await jest(Object.keys(PROJECTS).filter((project) => project !== 'hard')))];
}

await run(async () => {
  const [part, ...more] = process.argv.slice(2);
  const parts = [...Object.keys(TOOLS), ...Object.keys(PROJECTS)];
  if (part !== undefined && !parts.includes(part)) {
    throw new Refusal(`There is no part "${part}": choose one of ${parts.join(', ')}.`);
  }
  const start = Date.now();
  await ensurePackages();
  mkdirSync(CACHE, { recursive: true });
  const results =
    part === undefined ? await everything() : part in TOOLS ? await inLanes(2, TOOLS[part]) : await jest([part], more);
  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  say('\nSeconds of each part (tests: of their files, which run side by side):');
  for (const { title, passed, failed, seconds } of results) {
    say(
      `${title.padEnd(20)} ${seconds.toFixed(0).padStart(5)} s  ${passed} passed${failed ? `, ${failed} FAILED` : ''}`,
    );
  }
  say(`${'all'.padEnd(20)} ${((Date.now() - start) / 1000).toFixed(0).padStart(5)} s`);
  say(`\n${sum('passed')} passed, ${sum('failed')} failed`);
  process.exitCode = sum('failed') === 0 ? 0 : 1;
});
