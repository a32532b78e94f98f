import type { EventRecord, ModelRecord, PieceRecord, PumpRecord, SizerRecord, StudyRecord } from '@leggero/contract';
import { isWidthKind, MM_PER_INCH, parseLength, type LengthUnit } from '@leggero/core';
import MiniSearch from 'minisearch';

import { modelName } from '@/views/modelView';

import { ONE_SIZER_TOOLS, PUMP_TOOLS } from './oneGauge';
import { BALLOON_TOOLS, type ThingTool } from './thingTools';
import { pageHit, PAGES } from './pages';
import { momentText } from './day';
import { FORM_WORDS } from './pieces';
import { SYNONYMS } from './synonyms';
import { counted, DECOR_WORDS, FINISH_WORDS, INFLATOR_WORDS, KIND_WORDS } from './trade';

/** The records that can be found. */
export interface Findable {
  models: readonly ModelRecord[];
  sizers: readonly SizerRecord[];
  pumps: readonly PumpRecord[];
  studies: readonly StudyRecord[];
  pieces: readonly PieceRecord[];
  events: readonly EventRecord[];
}

/** Something that was found, with the record it is about. */
export type Hit = { id: string; href: string; title: string; note: string } & (
  | { kind: 'balloon'; model: ModelRecord }
  | { kind: 'sizer'; sizer: SizerRecord }
  | { kind: 'pump' | 'study' | 'event' | 'page' }
  // What can be done, and with what; of nothing yet where only a width is named.
  | { kind: 'tool'; of: Hit | null }
  | { kind: 'piece'; piece: PieceRecord }
);

/** An entry of the index: what is shown, and what it is found by beside its title. */
interface Entry {
  hit: Hit;
  words: string;
}

/** Words that tell nothing apart. */
const EMPTY_WORDS = new Set([
  'a',
  'an',
  'and',
  'for',
  'in',
  'inch',
  'inches',
  'my',
  'of',
  'on',
  'or',
  'the',
  'to',
  'with',
]);
/** Shorter words are not guessed at. */
const GUESSED_FROM = 5;
const MOST_OFF = 0.2;
const PAGE_WEIGHT = 0.4;
/** Of one tool and many things that it works on. */
const MOST_THINGS = 5;
/** A part of a word that stands for it. */
const SHORTEST_PART = 3;

/** Without accents and case. */
const folded = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** One of several is called like several. */
const singular = (word: string) => word.replace(/(?<=[a-z]{3}[^s])s$/, '');

/** The words of a text, "28 cm" as one, "quads" as "quad"; those that tell nothing apart left out. */
export function wordsOf(text: string): string[] {
  const words = folded(text)
    .replace(/(\d)\s*cm\b/g, '$1cm')
    .replace(/(\d)(in|inch|inches)\b/g, '$1')
    .match(/[\p{L}\p{N}]+/gu);
  return (words ?? []).filter((word) => !EMPTY_WORDS.has(word)).map(singular);
}

const PHRASES = SYNONYMS.map((group) => group.map((phrase) => ` ${wordsOf(phrase).join(' ')} `));

/** What a text's words are also called. */
function alsoCalled(text: string): string {
  const spoken = ` ${wordsOf(text).join(' ')} `;
  return PHRASES.filter((group) => group.some((phrase) => spoken.includes(phrase)))
    .flat()
    .join(' ');
}

function entriesOf({ models, sizers, pumps, studies, pieces, events }: Findable): Entry[] {
  return [
    ...models.map((model): Entry => {
      const { id, colourName, finish, kind, decor, outerId, nominalMm } = model;
      const looks = [
        ...(outerId === null ? [] : ['Pair']),
        KIND_WORDS[kind],
        FINISH_WORDS[finish],
        ...(decor === 'none' ? [] : [DECOR_WORDS[decor]]),
      ];
      return {
        hit: {
          kind: 'balloon',
          id,
          href: `/shelf/${id}`,
          title: `${modelName(model)}, ${colourName}`,
          note: looks.join(', ').toLowerCase(),
          model,
        },
        words: `${looks.join(' ')} ${outerId === null ? '' : 'stuffed'} ${Math.round(nominalMm / 10)} cm balloon`,
      };
    }),
    ...sizers.map((sizer): Entry => {
      const { id, name, keeper, holes } = sizer;
      return {
        hit: {
          kind: 'sizer',
          id,
          href: `/gauges/sizers/${id}`,
          title: keeper ? `${name} (${keeper})` : name,
          note: `sizer, ${counted(holes.length, 'hole')}`,
          sizer,
        },
        words: 'sizer',
      };
    }),
    ...pumps.map(({ id, name, kind }): Entry => {
      const { title, means } = INFLATOR_WORDS[kind];
      return {
        hit: { kind: 'pump', id, href: `/gauges/pumps/${id}`, title: name, note: means },
        words: `${title} ${means} pump`,
      };
    }),
    ...studies.map(({ id, subject }): Entry => ({
      hit: { kind: 'study', id, href: `/gauges/studies/${id}`, title: subject, note: 'study of the sizing' },
      words: 'study sizing',
    })),
    ...pieces.map((piece): Entry => {
      const { id, name, design } = piece;
      const { title, note } = FORM_WORDS[design.form];
      return {
        hit: { kind: 'piece', id, href: `/builds/${id}`, title: name, note: title, piece },
        words: `${title} ${note}`,
      };
    }),
    ...events.map(({ id, name, client, place, opensAt, timeZone }): Entry => {
      const note = [opensAt === null ? 'event' : momentText(opensAt, timeZone), place]
        .filter((part) => part !== '')
        .join(' · ');
      return {
        hit: { kind: 'event', id, href: `/builds/events/${id}`, title: name, note },
        words: `${client} event build job`,
      };
    }),
    ...PAGES.map((page): Entry => ({ hit: pageHit(page), words: page.called })),
  ];
}

const ALL_PAGES = PAGES.map(pageHit);

/** Answers what a text finds, the best first: every page before anything is sought, nothing for a text without words. */
export type Search = (text: string) => Hit[];

/**
 * Makes a search over some records and every page. All words of a text must be found, each as the beginning of a word
 * or almost as it is written, also by what the trade calls it; a length offers what it may be wanted for; a tool's
 * words beside those of a thing offer the one for the other.
 *
 * Made in pieces, so that nothing waits for it.
 */
export async function searchOver(records: Findable, unit: LengthUnit): Promise<Search> {
  const entries = entriesOf(records);
  const index = new MiniSearch<{ id: number; title: string; words: string; called: string }>({
    fields: ['title', 'words', 'called'],
    tokenize: wordsOf,
    // Folded already.
    processTerm: (term) => term,
    searchOptions: {
      boost: { title: 3, words: 2 },
      // What a studio has before what the app has.
      boostDocument: (id) => (entries[Number(id)]!.hit.kind === 'page' ? PAGE_WEIGHT : 1),
      prefix: true,
      fuzzy: (term) => (term.length >= GUESSED_FROM && !/\d/.test(term) ? MOST_OFF : false),
      combineWith: 'AND',
    },
  });
  await index.addAllAsync(
    entries.map(({ hit: { title, note }, words }, id) => ({
      id,
      title,
      words: `${note} ${words}`,
      called: alsoCalled(`${title} ${note} ${words}`),
    })),
    { chunkSize: 100 },
  );
  const found = (words: readonly string[]) => index.search(words.join(' ')).map(({ id }) => entries[Number(id)]!.hit);
  return (text) => {
    if (text.trim() === '') return ALL_PAGES;
    const words = wordsOf(text);
    if (words.length === 0) return [];
    const tools = toolHits(words, found, entries);
    const named = found(words);
    const lengths = lengthHits(text, unit);
    // "11" is a balloon first, "9 3/4" a width.
    const first = named.length === 0 || /\D/.test(text.trim());
    return [...(first ? lengths : []), ...tools.named, ...named, ...(first ? [] : lengths), ...tools.alone];
  };
}

/** A length: what suits it. */
function lengthHits(text: string, unit: LengthUnit): Hit[] {
  const length = parseLength({ text, unit });
  if (!length.ok || length.value < MM_PER_INCH || length.value > 36 * MM_PER_INCH) return [];
  const said = text.trim();
  return [
    { href: '/shelf/find', title: `Find a balloon for ${said}`, note: 'Which nominal suits, and which does not' },
    { href: '/gauges/holes', title: `Find the hole for ${said}`, note: 'And the gap to leave where there is none' },
  ].map(({ href, ...words }) => ({
    ...words,
    kind: 'tool',
    of: null,
    id: `${href} ${said}`,
    href: `${href}?width=${length.value.toFixed(3)}`,
  }));
}

const THINGS: readonly { tools: readonly ThingTool[]; has: (hit: Hit) => boolean }[] = [
  { tools: Object.values(BALLOON_TOOLS), has: (hit) => hit.kind === 'balloon' && isWidthKind(hit.model.kind) },
  { tools: Object.values(ONE_SIZER_TOOLS), has: ({ kind }) => kind === 'sizer' },
  { tools: Object.values(PUMP_TOOLS), has: ({ kind }) => kind === 'pump' },
];

/**
 * What some of the words ask for: with the things that the others name ("hold Tarn Satin"), or, where there are no
 * others, with the first things there are.
 */
function toolHits(
  words: readonly string[],
  found: (words: readonly string[]) => Hit[],
  entries: readonly Entry[],
): { named: Hit[]; alone: Hit[] } {
  const hits = { named: [] as Hit[], alone: [] as Hit[] };
  for (const { tools, has } of THINGS) {
    for (const tool of tools) {
      const names = wordsOf(tool.called);
      const asks = (word: string) => names.some((name) => name.startsWith(word) && word.length >= SHORTEST_PART);
      const others = words.filter((word) => !asks(word));
      if (others.length === words.length) continue;
      const things = others.length > 0 ? found(others) : entries.map(({ hit }) => hit);
      const kind = others.length > 0 ? 'named' : 'alone';
      for (const thing of things.filter(has).slice(0, MOST_THINGS)) {
        hits[kind].push({
          kind: 'tool',
          of: thing,
          id: `${tool.title} ${thing.id}`,
          href: tool.hrefOf(thing.id),
          title: tool.title,
          note: thing.title,
        });
      }
    }
  }
  return hits;
}
