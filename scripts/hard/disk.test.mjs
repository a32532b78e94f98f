import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { ROOT } from '../lib/paths.mjs';
import { freePort, pause } from '../lib/processes.mjs';

/** A disk of its own for one start, gone with it; filled and emptied as files beside it say. */
const SCRIPT = `
set -e
mount -t tmpfs -o size=320m none "$DISK/state"
node "$ROOT/scripts/start.mjs" & child=$!
trap 'kill -INT $child' TERM
(while [ -e "$DISK/on" ]; do
  if [ -e "$DISK/fill" ]; then rm "$DISK/fill"; dd if=/dev/zero of="$DISK/state/filler" bs=64k 2>/dev/null || true; touch "$DISK/filled"; fi
  if [ -e "$DISK/empty" ]; then rm "$DISK/empty"; rm -f "$DISK/state/filler"; touch "$DISK/emptied"; fi
  sleep 0.1
done) & 
set +e
while kill -0 $child 2>/dev/null; do wait $child; done
`;

let disk;
beforeEach(() => {
  disk = mkdtempSync(path.join(os.tmpdir(), 'leggero-disk-'));
  mkdirSync(path.join(disk, 'state'));
  writeFileSync(path.join(disk, 'on'), '');
});
afterEach(() => rmSync(disk, { recursive: true, force: true }));

async function until(condition) {
  for (let tries = 0; !(await condition()); tries += 1) {
    if (tries > 600) throw new Error('it did not come');
    await pause(100);
  }
}

it('a full disk is told by health, refuses writes in words, loses nothing, and lets Ctrl-C through', async () => {
  const port = await freePort();
  const mapped = process.getuid() === 0 ? [] : ['--map-root-user'];
  const child = spawn('unshare', ['--mount', ...mapped, 'sh', '-c', SCRIPT], {
    env: { ...process.env, ROOT, DISK: disk, LEGGERO_STATE: path.join(disk, 'state'), PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk));
  const api = (route, init) => fetch(`http://127.0.0.1:${port}/api/${route}`, init);
  const add = async () => {
    const body = JSON.stringify({ id: crypto.randomUUID(), name: 'Ebb' });
    const answer = await api('people', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
    return [answer.status, (await answer.json()).title];
  };
  const mark = async (name, done) => {
    writeFileSync(path.join(disk, name), '');
    await until(() => existsSync(path.join(disk, done)));
    await pause(1500);
  };
  try {
    await until(() => output.includes('is open at') || child.exitCode !== null);
    expect(output).toMatch('is open at');
    expect((await add())[0]).toBe(201);
    await mark('fill', 'filled');
    expect((await api('health')).status).toBe(507);
    expect(await add()).toEqual([507, expect.stringMatching('disk with the records is full')]);
    expect((await (await api('people')).json()).length).toBe(2);
    await mark('empty', 'emptied');
    expect((await api('health')).status).toBe(200);
    expect((await add())[0]).toBe(201);
    rmSync(path.join(disk, 'emptied'));
    rmSync(path.join(disk, 'filled'));
    await mark('fill', 'filled');
    const asked = Date.now();
    child.kill('SIGTERM');
    await ended;
    expect(Date.now() - asked).toBeLessThan(10_000);
    expect(output).toMatch('Stopping…');
  } finally {
    rmSync(path.join(disk, 'on'), { force: true });
    child.kill('SIGTERM');
    await ended;
  }
});
