import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import net from 'node:net';

import { ROOT } from './paths.mjs';

/** Runs a command to its end; answers its exit code and, unless it writes to the terminal, its output. */
export function runCommand(command, args, { env = {}, quiet = false, cwd = ROOT } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', reject);
    child.on('close', (code, signal) => resolve({ code: code ?? 1, signal, output }));
  });
}

/** Whether a process of this number runs (a zombie does not). */
export function isAlive(pid) {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return error.code === 'EPERM';
  }
  return !/^State:\s+Z/m.test(readProc(pid, 'status'));
}

/** The command line of a process, as far as the system tells. */
export function commandLineOf(pid) {
  return readProc(pid, 'cmdline').replaceAll('\0', ' ');
}

function readProc(pid, file) {
  try {
    return readFileSync(`/proc/${pid}/${file}`, 'utf8');
  } catch {
    return '';
  }
}

/** Ends a process in order, and by force if it has not ended after `patience` ms. */
export async function endProcess(pid, { patience = 20_000 } = {}) {
  const until = Date.now() + patience;
  kill(pid, 'SIGTERM');
  while (isAlive(pid)) {
    if (Date.now() > until) kill(pid, 'SIGKILL');
    await pause(50);
  }
}

function kill(pid, signal) {
  try {
    process.kill(pid, signal);
  } catch (error) {
    if (error.code !== 'ESRCH') throw error;
  }
}

export function pause(ms) {
  return new Promise((resolve) => setTimeout(resolve, ms));
}

/** A port of loopback that nobody listens on just now, other than `not`, which is about to be taken. */
export async function freePort({ not } = {}) {
  const port = await anyPort();
  return port === not ? freePort({ not }) : port;
}

function anyPort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/** Whether nobody listens on this port of loopback. */
export function isFree(port) {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/**
 * Whether the server on this port of loopback speaks first, and says `word` in its greeting. That it can be connected
 * to is not enough: a port is open some time before the server behind it is ready, or may be somebody else's.
 */
export function greets(port, word, { patience = 1000 } = {}) {
  return new Promise((resolve) => {
    const socket = net.connect(port, '127.0.0.1');
    const end = (value) => {
      socket.destroy();
      resolve(value);
    };
    socket.setTimeout(patience, () => end(false));
    socket.once('data', (chunk) => end(chunk.includes(word)));
    socket.once('error', () => end(false));
    socket.once('close', () => end(false));
  });
}
