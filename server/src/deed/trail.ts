import { randomUUID } from 'node:crypto';

import { NOUNS, type NounName } from '@leggero/contract';
import { CREW_THINGS, MOST_TOLD } from '@leggero/contract/deed';

import { inserter } from '../db/insert';
import type { By, Scope } from '../db/records';
import { deeds } from '../db/tables';

type Fields = Record<string, unknown>;

/** A kind of what is done to: a noun, or one of the crew. */
export type Thing = NounName | (typeof CREW_THINGS)[number];

/** What became of a row: made where nothing was, taken away where nothing is, else the fields that changed. */
export interface Step {
  noun: Thing;
  id: string;
  was: Fields | null;
  is: Fields | null;
}

/** Characters and steps that it may take to take a deed back; beyond it, such as of an import, it is told and stays done. */
const MOST_KEPT = 4_000_000;
const MOST_STEPS = 10_000;
/** Characters of a field that is told, and of one by which a row that was made is known again. */
const MOST_FIELD = 400;
const MOST_COMPARED = 20_000;

const writeDeed = inserter(deeds);

/** What is done within one transaction, to be told and taken back later. */
export class Trail {
  readonly id = randomUUID();
  private readonly steps = new Map<string, Step>();
  private undoes: string | null = null;
  private by: By | null = null;

  /** Says who does it, where who asks was nobody yet. */
  isBy(by: By): void {
    this.by = by;
  }

  /** Says that this takes back another deed. */
  takesBack(id: string): void {
    this.undoes = id;
  }

  made(noun: Thing, row: Fields & { id: string }): void {
    this.add({ noun, id: row.id, was: null, is: shortened(row, MOST_COMPARED) });
  }

  /** A change of some fields; one that changes nothing is none. */
  changed(noun: Thing, id: string, { was, is }: { was: object; is: object }): void {
    const step = difference({ noun, id, was: was as Fields, is: is as Fields });
    if (step) this.add(step);
  }

  removed(noun: Thing, row: Fields & { id: string }): void {
    this.add({ noun, id: row.id, was: { ...row }, is: null });
  }

  /** Writes it down, under the revision that the transaction has; nothing where nothing was done. */
  async write({ database, studioId, ...scope }: Scope, revision: number): Promise<void> {
    const by = this.by ?? scope.by;
    const steps = forgetful([...this.steps.values()]);
    if (steps.length === 0) return;
    const shown = steps.filter(({ noun }) => !isPrivate(noun));
    await writeDeed(database, {
      ...{ id: this.id, studioId, revision, at: new Date().toISOString() },
      ...{ accountId: by?.id ?? null, name: by?.name ?? null },
      told: shown.slice(0, MOST_TOLD).map(told),
      kept: keptOf(steps),
      count: shown.length,
      isPrivate: shown.length === 0,
      undoes: this.undoes,
    });
  }

  /** Takes in a step; several to the same row are one. */
  private add(step: Step): void {
    const key = `${step.noun} ${step.id}`;
    const before = this.steps.get(key);
    const merged = before ? together(before, step) : step;
    if (merged) this.steps.set(key, merged);
    else this.steps.delete(key);
  }
}

/** A change with no more than the fields that differ; null where none does. */
function difference({ noun, id, was, is }: { noun: Thing; id: string; was: Fields; is: Fields }): Step | null {
  const fields = Object.keys(is).filter((field) => !same(was[field], is[field]));
  const only = (all: Fields) => Object.fromEntries(fields.map((field) => [field, all[field]]));
  return fields.length === 0 ? null : { noun, id, was: only(was), is: only(is) };
}

/** Two steps to the same row as one; null where nothing is left of them. */
function together({ noun, id, ...first }: Step, second: Step): Step | null {
  if (first.was === null) return second.is && { noun, id, was: null, is: { ...first.is, ...second.is } };
  const was = { ...second.was, ...first.was };
  return second.is ? difference({ noun, id, was, is: { ...first.is, ...second.is } }) : { noun, id, was, is: null };
}

/** Whether two values are the same once they are written down. */
export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** Whether somebody goes by these steps: then nothing of them is kept. */
const someoneGoes = (steps: readonly Step[]): boolean => steps.some(({ noun, is }) => noun === 'person' && is === null);

/** Steps without what is somebody's own, where they go: who they were, and all that went with them. */
function forgetful(steps: readonly Step[]): Step[] {
  const gone = (step: Step) => step.is === null && (step.noun === 'person' || step.noun === 'member');
  if (!someoneGoes(steps)) return [...steps];
  return steps.filter(gone).map((step) => ({ ...step, was: {} }));
}

const isPrivate = (noun: Thing): boolean => noun in NOUNS && NOUNS[noun as NounName].replica === 'never';

/** What it takes to take a deed back; null where it is too much, or who works here: that has ways of its own. */
function keptOf(steps: readonly Step[]): string | null {
  if (someoneGoes(steps) || steps.length > MOST_STEPS || steps.some(({ noun }) => !(noun in NOUNS))) return null;
  const kept = JSON.stringify(steps);
  return kept.length > MOST_KEPT ? null : kept;
}

const told = ({ noun, id, was, is }: Step): Step => ({
  ...{ noun, id },
  was: was && shortened(was, MOST_FIELD),
  is: is && shortened(is, MOST_FIELD),
});

/** A row without texts, pictures among them, that are longer than this. */
const shortened = (fields: Fields, most: number): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => lengthOf(value) <= most));

const lengthOf = (value: unknown): number =>
  typeof value === 'string' ? value.length : JSON.stringify(value ?? null).length;
