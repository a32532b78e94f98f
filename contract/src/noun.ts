import { z } from 'zod';

/** What becomes of a row when the one it points at goes: it goes too, lets go, or holds it back. The foreign key says the same. */
export type Gone = 'remove' | 'clear' | 'refuse';

/** A field that names a row of another noun. */
export interface Ref {
  to: string;
  gone: Gone;
}

/** A reference to another noun, for a noun's `refs`. */
export const to = (name: string, gone: Gone): Ref => ({ to: name, gone });

/** What must hold over several fields of a row: a message, and the field it is shown beside. */
export interface Rule<Row> {
  path: string;
  message: string;
  holds: (row: Row) => boolean;
}

/** Who works in a studio, by what they may do: each may do all that the one before may. */
export const ROLES = ['helper', 'maker', 'planner', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/**
 * What a helper of one event has of a noun: nothing, all of it to read, or what hangs on that event by a field (of the
 * event itself its id), which they may write where it is said. `shown`: a row without what is not theirs to know.
 */
export type ForHelper = 'none' | 'all' | { by: string; writes: boolean; shown?: (row: never) => unknown };

/** A kind of record, said once: all that is the same for all of them follows from it. */
export interface Noun<
  Name extends string = string,
  Row extends z.ZodObject = z.ZodObject,
  Given extends Partial<z.output<Row>> = Partial<z.output<Row>>,
  Change extends keyof z.output<Row> & string = keyof z.output<Row> & string,
> {
  name: Name;
  /** /api/<path>. */
  path: string;
  /** A row as it is kept and sent; flat, what older records lack filled in by defaults. */
  row: Row;
  /** What the server alone decides, and what it is until the server has. */
  given: Given;
  /** What may be changed afterwards; nothing for what was seen once. Of references only those that let go. */
  change: readonly Change[];
  refs: { readonly [Field in keyof z.output<Row>]?: Ref };
  rules: readonly Rule<z.output<Row>>[];
  /** Order of a list; `-` in front for the newest, or the largest, first. */
  order: readonly (keyof z.output<Row> | `-${keyof z.output<Row> & string}`)[];
  /** Kept on devices, or never (private). */
  replica: 'all' | 'never';
  /** The field that gives a row its number among those alike in some fields. */
  numbered: Numbered<z.output<Row>> | null;
  /** The least of those who may write it; what helpers have of it is said apart. */
  writtenBy: Exclude<Role, 'helper'>;
  forHelper: ForHelper;
}

/**
 * How rows are numbered where two devices may ask for the same: each with the `next` after the largest, or in the place
 * it asks for while that is `free`, in the lowest free one otherwise.
 */
export interface Numbered<Row> {
  field: keyof Row & string;
  among: readonly (keyof Row & string)[];
  by: 'next' | 'free';
}

/** Whoever works in the studio writes it, and no helper sees it. */
const ANYONE = { writtenBy: 'maker', forHelper: 'none' } as const;

/** Declares a noun; what it leaves out is empty, it is kept on devices whole, and whoever works in the studio writes it. */
export function noun<
  const Name extends string,
  Row extends z.ZodObject,
  const Given extends Partial<z.output<Row>> = Record<never, never>,
  const Change extends keyof z.output<Row> & string = never,
>(
  spec: Pick<Noun<Name, Row, Given, Change>, 'name' | 'path' | 'row' | 'order'> &
    Partial<Noun<Name, Row, Given, Change>>,
): Noun<Name, Row, Given, Change> {
  return { given: {} as Given, change: [], refs: {}, rules: [], replica: 'all', numbered: null, ...ANYONE, ...spec };
}

/** What a caller gives to make a row: what has a default may be left out, what the server decides is. */
export type MakeInput<N extends Pick<Noun, 'row' | 'given'>> = Omit<z.input<N['row']>, keyof N['given']>;
/** The same once it is parsed. */
export type Make<N extends Pick<Noun, 'row' | 'given'>> = Omit<z.output<N['row']>, keyof N['given']>;
/** What a caller gives to change a row: no more than it says. */
export type Change<N extends Pick<Noun, 'row' | 'change'>> = {
  [Field in N['change'][number] & keyof z.output<N['row']>]?: z.output<N['row']>[Field] | undefined;
};

type AnyNoun = Pick<Noun, 'row' | 'given' | 'change'> & { rules: readonly Rule<never>[] };

/** Checks what makes a row of a noun: each field, then the rules over several of them. */
export function makeSchema<N extends AnyNoun>({ row, given, rules }: N): z.ZodType<Make<N>, MakeInput<N>> {
  const own = row.omit(Object.fromEntries(Object.keys(given).map((field) => [field, true])) as never);
  const ruled = rules.reduce<z.ZodType>(
    (schema, { holds, path, message }) =>
      schema.refine((made) => (holds as (row: unknown) => boolean)({ ...given, ...(made as object) }), {
        path: path.split('.'),
        message,
      }),
    own,
  );
  return ruled as z.ZodType<Make<N>, MakeInput<N>>;
}

/** A field without what would be filled in for it. */
function bare(field: z.core.$ZodType): z.core.$ZodType {
  return field instanceof z.ZodDefault ? field.unwrap() : field;
}
type Bare<Field> = Field extends z.ZodDefault<infer Inner> ? Inner : Field;

/** A row in full, as a form holds it: nothing is filled in, and nothing there that the server decides. */
export function bareRow<N extends AnyNoun>({ row, given }: N) {
  const fields = Object.entries(row.shape).filter(([field]) => !(field in given));
  return z.object(Object.fromEntries(fields.map(([field, schema]) => [field, bare(schema)]))) as z.ZodObject<{
    [Field in Exclude<keyof N['row']['shape'], keyof N['given']>]: Bare<N['row']['shape'][Field]>;
  }>;
}

/** What may be changed of a row, each field optional: what is not named stays, so no default is filled in. */
export function changeFields<N extends AnyNoun>({ row, change }: N) {
  const fields = change.map((field) => [field, z.optional(bare(row.shape[field]!))]);
  return Object.fromEntries(fields) as {
    [Field in N['change'][number] & keyof N['row']['shape']]: z.ZodOptional<Bare<N['row']['shape'][Field]>>;
  };
}

/** Checks what changes a row. */
export function changeSchema<N extends AnyNoun>(noun: N) {
  return z.object(changeFields(noun));
}
