import {
  changedSince,
  KEPT_NOUNS,
  layChanges,
  layWrites,
  NO_ROWS,
  NOUN_NAMES,
  nounOf,
  NOUNS,
  type Changes,
  type NounName,
  type ProblemDocument,
  type Rows,
} from '@leggero/contract';
import { replaceEqualDeep } from '@tanstack/react-query';

import { beginAnew } from '@/device/begin';
import { whenIdle } from '@/device/idle';
import { pause } from '@/device/pause';
import { unkeptBy } from '@/device/storage';
import { GROUPED_AHEAD } from '@/views/ahead';
import type { Entry } from '@/views/entries';
import { readyToSort } from '@/views/rows';

import { Keep, MANY_ROWS } from './keep';
import { here, nameOf, type Place } from './place';
import { useRecords, type RecordsState, type Standing } from './state';
import { listenToTabs, openChannel, type Channel, type Message } from './tabs';

/** What this device keeps of the records, and which of its tabs know. One for the whole page. */
interface Replica {
  keep: Keep | null;
  channel: Channel | null;
  /** Rows could not be kept once: what is kept stays behind, and is caught up with at the next start. */
  behind: boolean;
}

let replica: Replica = { keep: null, channel: null, behind: false };
let opening: Promise<void> | null = null;
/** Steps are kept one after another. */
let lastStep: Promise<unknown> = Promise.resolve();

/** Opens what the device keeps, once. Where it keeps nothing the app works as long as the page is open. */
export function openReplica(): Promise<void> {
  if (typeof indexedDB === 'undefined') {
    if (useRecords.getState().unkept === null) useRecords.setState({ unkept: 'missing' });
    return Promise.resolve();
  }
  return (opening ??= open());
}

async function open(): Promise<void> {
  const keep = await Keep.open(nameOf(here()));
  if (!(keep instanceof Keep)) return useRecords.setState({ unkept: keep });
  // Listening first: what another tab writes while this one reads is heard of.
  listenToTabs(heard);
  replica = { keep, channel: openChannel(nameOf(here())), behind: false };
  // What is heard meanwhile waits until all is read.
  const reading = reload();
  lastStep = reading.then(() => keep.pack()).catch(() => undefined);
  await reading;
}

/** Takes away all that this device keeps: it is for someone else from now on, and the page is left. */
export async function forget(): Promise<void> {
  if (typeof indexedDB === 'undefined') return;
  // It may be just being opened.
  await opening;
  const { keep, channel } = replica;
  replica = { keep: null, channel: null, behind: false };
  await lastStep;
  keep?.close();
  await Keep.destroy(nameOf(here()));
  channel?.tell({ kind: 'left' });
}

/** Keeps what waits for a place that this device goes to: it is sent from there. */
export async function handOn(entries: readonly Entry[], to: Place): Promise<void> {
  const keep = await Keep.open(nameOf(to));
  if (keep instanceof Keep) await keep.add(entries);
}

/** Says how the way to the server is, in every tab. */
export function stand(now: Partial<Standing>): void {
  const { stuck, struggling, aside } = useRecords.getState();
  const standing = { stuck, struggling, aside, ...now };
  if (standing.stuck === stuck && standing.struggling === struggling && standing.aside === aside) return;
  useRecords.setState(standing);
  tell({ kind: 'standing', standing });
}

/** What tabs of one device lead alone by. */
export function kept(): Keep | null {
  return replica.keep;
}

/** Tells the other tabs. */
export const tell: Channel['tell'] = (message) => replica.channel?.tell(message);

/** How long the first rows are waited for to be drawn, before the many others come, ms. */
const DRAWN_MS = 400;

/** Everything as the device keeps it now. */
async function reload(): Promise<void> {
  const before = useRecords.getState();
  try {
    const loading = replica.keep!.load();
    readyToSort();
    const { rows, cursor, revision, filled, entries } = await loading;
    // The first time pages show what is there; later they show what they had until all is there.
    const show = (base: Rows, lacking: readonly NounName[]) =>
      useRecords.setState((state) => {
        const { waiting, refused } = asRead(state, { entries, before });
        const laid = filled ? sameWhereEqual(state.rows, layWrites(base, writesOf(waiting))) : state.rows;
        return { base, rows: laid, cursor, revision, filled, lacking, waiting, refused, settling: [] };
      });
    if (!before.filled) {
      show(rows, MANY_ROWS);
      // Pages draw these first: what comes now would come between.
      if (filled) await new Promise<void>((drawn) => whenIdle(drawn, DRAWN_MS));
    }
    const all = { ...rows, ...(await replica.keep!.loadMany()) };
    await groupAhead(all);
    show(all, []);
  } catch (error) {
    useRecords.setState({ unkept: unkeptBy(error) });
  }
}

/** Groups the nouns of many rows, each in a task of its own; what follows is in another. */
async function groupAhead(rows: Rows): Promise<void> {
  for (const group of GROUPED_AHEAD) {
    await pause(0);
    group(rows);
  }
  await pause(0);
}

function heard(message: Message): void {
  // In turn with this tab's own steps, so that neither undoes what the other did.
  if (message.kind === 'standing') useRecords.setState(message.standing);
  else if (message.kind === 'left') beginAnew('/');
  else if (message.kind !== 'pull') lastStep = lastStep.then(() => hear(message)).catch(() => undefined);
}

async function hear(message: Exclude<Message, { kind: 'pull' | 'standing' | 'left' }>): Promise<void> {
  if (message.kind === 'private') return rereadPrivate();
  const { keep } = replica;
  if (!keep) return;
  const before = useRecords.getState();
  if (message.kind === 'much' || (message.kind === 'changes' && !before.filled)) return reload();
  const { entries, revision: kept } = await keep.entries();
  useRecords.setState((state) => {
    const { waiting, refused } = asRead(state, { entries, before });
    // What is no longer there arrived, unless it was taken back: the rows it made are still to be told of.
    const withdrawn = message.kind === 'outbox' ? (message.withdrawn ?? []) : [];
    const left = new Set([...entries, ...waiting].map(({ key }) => key).concat(withdrawn));
    const arrived = before.waiting.filter(({ key }) => !left.has(key));
    if (message.kind === 'changes') {
      const { cursor, revision } = message.changes;
      const base = layChanges(state.base, asShown(state.rows, message.changes));
      // The disk is further already: the message of that step comes after this one.
      const settling = kept > revision ? arrived : [];
      const rows = shown(state, { base, waiting, settling });
      return { base, cursor, revision, fresh: true, waiting, refused, settling, rows };
    }
    const settling = [...state.settling.filter(({ key }) => !left.has(key)), ...arrived];
    return { waiting, refused, settling, rows: shown(state, { base: state.base, waiting, settling }) };
  });
}

/** Entries as they were just read, with those of this tab that are not on the disk, or were not yet when it was read. */
function asRead(
  state: RecordsState,
  { entries, before }: { entries: readonly Entry[]; before: RecordsState },
): Pick<RecordsState, 'waiting' | 'refused'> {
  const known = new Set([...before.waiting, ...before.refused].map(({ key }) => key));
  const own = [...state.waiting, ...state.refused].filter(({ key, seq }) => seq === undefined || !known.has(key));
  return sorted(joined(entries, own));
}

function sorted(entries: readonly Entry[]): Pick<RecordsState, 'waiting' | 'refused'> {
  return {
    waiting: entries.filter(({ problem }) => problem === null),
    refused: entries.filter(({ problem }) => problem !== null),
  };
}

/** Entries of both, each once: one may have been heard of already. */
function joined(entries: readonly Entry[], more: readonly Entry[]): Entry[] {
  const known = new Set(entries.map(({ key }) => key));
  return [...entries, ...more.filter(({ key }) => !known.has(key))];
}

const writesOf = (entries: readonly Entry[]) => entries.flatMap(({ writes }) => writes);

/** Keeps entries and shows them: on the disk before they are on the page, where the device keeps anything. */
export async function enter(entries: readonly Entry[]): Promise<void> {
  useRecords.setState(({ entering }) => ({ entering: entering + 1 }));
  if (opening) await opening;
  let kept = entries;
  if (replica.keep) {
    try {
      kept = await replica.keep.add(entries);
    } catch (error) {
      // They wait in this tab alone, and the page says so.
      useRecords.setState({ unkept: unkeptBy(error) });
    }
  }
  useRecords.setState((state) => {
    const more = sorted(kept);
    return {
      entering: state.entering - 1,
      waiting: joined(state.waiting, more.waiting),
      refused: joined(state.refused, more.refused),
      rows: layWrites(state.rows, writesOf(more.waiting)),
    };
  });
  tell({ kind: 'outbox' });
}

/** Takes entries out, as if they had never been. */
export async function withdraw(entries: readonly Entry[]): Promise<void> {
  const gone = new Set(entries.map(({ key }) => key));
  await replica.keep?.remove(numbersOf(entries));
  useRecords.setState((state) => {
    const waiting = state.waiting.filter(({ key }) => !gone.has(key));
    const refused = state.refused.filter(({ key }) => !gone.has(key));
    return { waiting, refused, rows: shown(state, { base: state.base, waiting, settling: state.settling }) };
  });
  tell({ kind: 'outbox', withdrawn: [...gone] });
}

const numbersOf = (entries: readonly Entry[]) => entries.flatMap(({ seq }) => seq ?? []);

/** What a page of the feed, or an answer to what was sent, brings. */
export interface News {
  changes?: Changes | undefined;
  /** Entries that the server has. */
  done?: readonly Entry[];
  /** Entries that stand otherwise now. */
  changed?: readonly Entry[];
}

/** Takes news in: kept in one step, then shown, then told to the other tabs. */
export function take(news: News): Promise<void> {
  const step = lastStep.then(() => takeNow(news));
  lastStep = step.catch(() => undefined);
  return step;
}

async function takeNow({ changes, done = [], changed = [] }: News): Promise<void> {
  if (done.some(isPrivate)) {
    tell({ kind: 'private' });
    await rereadPrivate();
  }
  const before = useRecords.getState();
  const next = changes ? withChanges(before, changes) : before;
  const { base, cursor, revision, filled } = next;
  const known = studioOf(before.rows);
  if (filled && known !== null && known !== studioOf(base))
    changed = [...changed, ...before.waiting.map((entry) => ({ ...entry, problem: ELSEWHERE }))];
  await keepStep({ before: before.base, after: base, cursor, revision, filled, done: numbersOf(done), changed });
  const gone = new Set([...done, ...changed].map(({ key }) => key));
  useRecords.setState((state) => {
    const { waiting, refused } = sorted([
      ...[...state.waiting, ...state.refused].filter(({ key }) => !gone.has(key)),
      ...changed,
    ]);
    const settling = changes && !changes.more ? [] : [...state.settling, ...done];
    const come = changes && !filled ? state.come + countOf(changes) : state.come;
    // The first time pages draw what they can of few rows, then what takes many.
    const lacking = filled && !state.filled ? MANY_ROWS : state.lacking;
    const rows = shown(state, { base, filled, waiting, settling });
    return { ...next, waiting, refused, settling, come, lacking, rows };
  });
  if (!changes) tell({ kind: 'outbox' });
  else tell(changes.anew || changes.more ? { kind: 'much' } : { kind: 'changes', changes });
  if (!filled) await groupAhead(base);
  else if (!before.filled) {
    await pause(0);
    useRecords.setState({ lacking: [] });
  }
}

/** At this address is another studio by now, such as the demo: what was meant for the one before is not for this one. */
const ELSEWHERE: ProblemDocument = {
  type: 'about:blank',
  title: 'It was entered while another studio was open at this address.',
  status: 409,
};

function studioOf({ studio }: Rows): string | null {
  const [id] = studio.keys();
  return id ?? null;
}

type At = Pick<RecordsState, 'base' | 'cursor' | 'revision' | 'filled' | 'fresh'>;

function withChanges(state: RecordsState, changes: Changes): At {
  const { cursor, revision, more, anew } = changes;
  if (anew) return { base: NO_ROWS, cursor: '', revision: 0, filled: false, fresh: state.fresh };
  const base = layChanges(state.base, asShown(state.rows, changes));
  return { base, cursor, revision, filled: state.filled || !more, fresh: state.fresh || !more };
}

async function keepStep(step: Parameters<Keep['step']>[0]): Promise<void> {
  const { keep } = replica;
  if (!keep) return;
  try {
    if (replica.behind) await keep.remove(step.done);
    else await keep.step(step);
  } catch (error) {
    replica.behind = true;
    useRecords.setState({ unkept: unkeptBy(error) });
    await keep.remove(step.done).catch(() => undefined);
  }
}

interface Laid {
  base: Rows;
  filled?: boolean;
  waiting: readonly Entry[];
  settling: readonly Entry[];
}

/** What pages show of all that; until the first rows have come, what they showed. */
function shown(state: RecordsState, { base, filled = state.filled, waiting, settling }: Laid): Rows {
  if (!filled) return state.rows;
  return sameWhereEqual(state.rows, layWrites(base, writesOf([...settling, ...waiting])));
}

/** Rows that a page of the feed brings; those that are shown already, word for word, are the very same. */
function asShown(rows: Rows, { rows: newer, gone }: Changes): Pick<Changes, 'rows' | 'gone'> {
  const known = (name: NounName, row: { id: string }) => replaceEqualDeep(rows[name].get(row.id), row);
  const same = Object.entries(newer).map(([name, all]) => [name, all.map((row) => known(name as NounName, row))]);
  return { rows: Object.fromEntries(same), gone };
}

/** The later rows, with the very map of before for each noun whose rows are the very same. */
function sameWhereEqual(before: Rows, after: Rows): Rows {
  const all = NOUN_NAMES.map((name) => [name, isSame(before[name], after[name]) ? before[name] : after[name]] as const);
  return all.every(([name, rows]) => rows === before[name]) ? before : (Object.fromEntries(all) as unknown as Rows);
}

function isSame(before: ReadonlyMap<string, unknown>, after: ReadonlyMap<string, unknown>): boolean {
  if (before === after) return true;
  if (before.size !== after.size) return false;
  const changed = changedSince(before, after);
  if (changed) return changed.size === 0;
  for (const [id, row] of after) if (before.get(id) !== row) return false;
  return true;
}

function countOf({ rows }: Changes): number {
  return KEPT_NOUNS.reduce((sum, noun) => sum + (rows[noun]?.length ?? 0), 0);
}

/** Whether a command writes what the feed never tells of. */
function isPrivate({ writes }: Entry): boolean {
  return writes.some((write) => NOUNS[nounOf(write)].replica === 'never');
}

/** Reads anew what the feed never tells of; set by whoever shows it. */
let rereadPrivate = async (): Promise<void> => {};

/** Says how private records are read anew. */
export function onPrivate(reread: () => Promise<void>): void {
  rereadPrivate = reread;
}
