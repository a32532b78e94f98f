import { linkSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { ensureFolder } from './folder.mjs';
import { commandLineOf, isAlive, pause } from './processes.mjs';
import { Refusal } from './refusal.mjs';

/** Whoever puts a dead owner's file away needs a moment for it; longer means that it died meanwhile. */
const CLEARING_MS = 5000;

/**
 * Takes a state folder for this process, so that two starts do not share one; answers a function that gives it back.
 * Refuses where another one has it.
 */
export async function own(folder) {
  ensureFolder(folder);
  const file = path.join(folder, 'owner.pid');
  await taken(file, (other) => {
    throw new Refusal(
      `Leggero already runs from this folder (process ${other}): stop it with Ctrl-C in its terminal first.`,
    );
  });
  return () => giveBack(file);
}

/** Does some work while no other process does the same: `file` names it. One that comes second waits. */
export async function inTurn(file, work, onWait = () => {}) {
  ensureFolder(path.dirname(file));
  let waited = false;
  await taken(file, async () => {
    if (!waited) onWait();
    waited = true;
    await pause(300);
  });
  try {
    return await work();
  } finally {
    giveBack(file);
  }
}

/** Takes a file for this process, as often as it takes; `onOther` is told who has it, and may refuse. */
async function taken(file, onOther) {
  for (let other = take(file); other !== null; other = take(file)) {
    if (other === 'gone') await pause(20);
    else await onOther(other);
  }
}

/**
 * Makes a file with this process's number in one step, unless a living process has it: then answers that one's number,
 * or 'gone' where its file was just put away.
 */
function take(file) {
  const mine = `${file}.${process.pid}`;
  writeFileSync(mine, String(process.pid));
  try {
    linkSync(mine, file);
    return null;
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
  } finally {
    rmSync(mine, { force: true });
  }
  const other = numberIn(file);
  if (other !== process.pid && runs(other)) return other;
  clear(file);
  return 'gone';
}

function runs(pid) {
  return pid > 1 && isAlive(pid) && /scripts\/|jest/.test(commandLineOf(pid));
}

/** Puts a dead owner's file away; one process at a time, so that nobody puts away the file of a living one. */
function clear(file) {
  const clearing = `${file}.clearing`;
  try {
    writeFileSync(clearing, '', { flag: 'wx' });
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    if (ageMs(clearing) > CLEARING_MS) rmSync(clearing, { force: true });
    return;
  }
  const other = numberIn(file);
  if (other === process.pid || !runs(other)) rmSync(file, { force: true });
  rmSync(clearing, { force: true });
}

function giveBack(file) {
  if (numberIn(file) === process.pid) rmSync(file, { force: true });
}

function numberIn(file) {
  try {
    return Number(readFileSync(file, 'utf8'));
  } catch {
    return 0;
  }
}

function ageMs(file) {
  try {
    return Date.now() - statSync(file).mtimeMs;
  } catch {
    return 0;
  }
}
