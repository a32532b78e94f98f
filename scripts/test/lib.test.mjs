import { spawn } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';

import mysql from 'mysql2/promise';

import { ensureProgram, findProgram, placesOf } from '../lib/debian.mjs';
import { ensureFolder } from '../lib/folder.mjs';
import { startMariadb } from '../lib/mariadb.mjs';
import { own } from '../lib/owner.mjs';
import { endProcess, freePort, greets, isAlive, isFree, runCommand } from '../lib/processes.mjs';
import { Refusal } from '../lib/refusal.mjs';
import { ROOT } from '../lib/paths.mjs';
import { wantedPort } from '../lib/serve.mjs';
import { isBuiltFrom, putFile, sourcesHash } from '../lib/sources.mjs';

let folder;
beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'leggero-lib-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const listen = (onConnect) =>
  new Promise((resolve) => {
    const server = net.createServer(onConnect);
    server.listen(0, '127.0.0.1', () => resolve({ server, port: server.address().port }));
  });

describe('ports', () => {
  it('a free one is free, and never the one that is about to be taken', async () => {
    const port = await freePort();
    expect(await isFree(port)).toBe(true);
    expect(await freePort({ not: port })).not.toBe(port);
    const { server, port: taken } = await listen(() => {});
    expect(await isFree(taken)).toBe(false);
    server.close();
  });

  it('a server greets only when it says the word; one that is silent, or says another, does not', async () => {
    const polite = await listen((socket) => socket.end('5.5.5-10.11-MariaDB'));
    const silent = await listen(() => {});
    const other = await listen((socket) => socket.end('SSH-2.0'));
    expect(await greets(polite.port, 'MariaDB')).toBe(true);
    expect(await greets(silent.port, 'MariaDB', { patience: 100 })).toBe(false);
    expect(await greets(other.port, 'MariaDB')).toBe(false);
    expect(await greets(await freePort(), 'MariaDB')).toBe(false);
    for (const { server } of [polite, silent, other]) server.close();
  });

  it.each([
    [undefined, 8787],
    ['', 8787],
    ['9000', 9000],
  ])('PORT=%s is %d', (text, port) => expect(wantedPort(text)).toBe(port));

  it.each(['0', '70000', '80.5', 'tin'])('PORT=%s is refused', (text) =>
    expect(() => wantedPort(text)).toThrow(Refusal),
  );
});

describe('processes', () => {
  it('tells a command’s end and what it said', async () => {
    const { code, output } = await runCommand(process.execPath, ['-e', 'console.log("hi"); process.exit(3)'], {
      quiet: true,
    });
    expect([code, output.trim()]).toEqual([3, 'hi']);
  });

  it('ends one that does not listen to reason', async () => {
    const child = spawn(process.execPath, [
      '-e',
      'process.on("SIGTERM", () => {}); console.log("up"); setInterval(() => {}, 1000)',
    ]);
    await new Promise((resolve) => child.stdout.once('data', resolve));
    expect(isAlive(child.pid)).toBe(true);
    await endProcess(child.pid, { patience: 200 });
    expect(isAlive(child.pid)).toBe(false);
    await endProcess(child.pid);
  });
});

describe('programs', () => {
  it('are found where they can be executed', () => {
    const file = path.join(folder, 'tool');
    writeFileSync(file, '');
    chmodSync(file, 0o600);
    expect(findProgram([file, '/none'])).toBeNull();
    chmodSync(file, 0o700);
    expect(findProgram(['/none', file])).toBe(file);
    expect(placesOf('mariadbd')).toContain('/usr/sbin/mariadbd');
  });

  it('that are there are not installed', async () => {
    expect(await ensureProgram({ names: ['none-such', 'sh'], debianPackages: ['none'], title: 'A shell' })).toMatch(
      /\/sh$/,
    );
  });
});

describe('folders', () => {
  it('are made for this user alone, and a file in their place is refused', () => {
    const made = path.join(folder, 'a', 'b');
    ensureFolder(made);
    expect(statSync(made).mode & 0o777).toBe(0o700);
    const file = path.join(folder, 'file');
    writeFileSync(file, '');
    expect(() => ensureFolder(file)).toThrow(/should be a folder/);
    expect(() => ensureFolder(path.join(file, 'inner'))).toThrow(/should be a folder/);
  });

  it('have one owner, who gives them back', async () => {
    const giveBack = await own(folder);
    expect(readFileSync(path.join(folder, 'owner.pid'), 'utf8')).toBe(String(process.pid));
    giveBack();
    expect(existsSync(path.join(folder, 'owner.pid'))).toBe(false);
  });
});

describe('a private database server', () => {
  it('lets nobody in without the password, listens on loopback alone, and survives a deep folder', async () => {
    const deep = path.join(folder, 'd'.repeat(120));
    const database = await startMariadb({ folder: deep, name: 'leggero_test' });
    const url = new URL(database.url);
    const connect = (user, password) =>
      mysql.createConnection({
        host: '127.0.0.1',
        port: database.port,
        user,
        password,
        database: 'leggero_test',
      });
    const refused = async (user, password) =>
      connect(user, password).then(
        () => 'let in',
        (error) => error.code,
      );
    expect(await refused('leggero', 'wrong')).toMatch('ER_ACCESS_DENIED');
    expect(await refused('root', '')).toMatch(/ER_ACCESS_DENIED|ER_HOST_NOT_PRIVILEGED/);
    expect(await refused('', '')).toMatch(/ER_ACCESS_DENIED|ER_HOST_NOT_PRIVILEGED/);
    const connection = await connect(url.username, url.password);
    const [[{ address }]] = await connection.query('select @@bind_address as address');
    expect(address).toBe('127.0.0.1');
    await connection.end();
    expect(statSync(path.join(deep, 'secret')).mode & 0o777).toBe(0o600);
    await database.stop();
    expect(isAlive(database.pid)).toBe(false);
  });

  it('moves aside what is no database, and makes one', async () => {
    mkdirSync(path.join(folder, 'data'));
    writeFileSync(path.join(folder, 'data', 'half'), '');
    const database = await startMariadb({ folder, name: 'leggero_test' });
    const [aside] = readdirSync(folder).filter((name) => name.startsWith('data-aside-'));
    expect(existsSync(path.join(folder, aside, 'half'))).toBe(true);
    await database.stop();
  });
});

describe('what is built from sources', () => {
  it('is known by every name and byte of them, but for what no build takes', () => {
    const at = (...parts) => path.join(folder, ...parts);
    const hash = () => sourcesHash([path.relative(ROOT, folder)]);
    mkdirSync(at('inner'));
    writeFileSync(at('inner', 'one.ts'), 'kelp');
    const first = hash();
    mkdirSync(at('dist'));
    writeFileSync(at('dist', 'one.js'), 'built');
    expect(hash()).toBe(first);
    writeFileSync(at('inner', 'one.ts'), 'roe');
    const second = hash();
    writeFileSync(at('inner', 'two.ts'), '');
    expect(new Set([first, second, hash()]).size).toBe(3);
  });

  it('counts as built only from the very sources that are written beside it', () => {
    const stamp = path.join(folder, 'stamp');
    expect(isBuiltFrom(stamp, 'kelp')).toBe(false);
    putFile(stamp, 'kelp');
    expect([isBuiltFrom(stamp, 'kelp'), isBuiltFrom(stamp, 'roe')]).toEqual([true, false]);
  });
});
