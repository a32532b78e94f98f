import type { EventRecord } from '@leggero/contract';

import type { Paper, PaperBlock, PaperThing } from '@/parts/paper/paper';
import { massText } from '@/wording/baseWeight';
import { CAUTIONS } from '@/wording/cautions';
import { conditionsText } from '@/wording/events';
import { takenText } from '@/wording/recipe';
import { counted } from '@/wording/trade';

import { lookIn } from '@/parts/look';
import type { SheetOf } from './benchSheet';

/** What a sheet for the site is made of beside. */
export interface SiteOf extends SheetOf {
  event: EventRecord;
  workroomTempC: number;
  /** Pieces as they look, by id; those that are not drawn are named without. */
  things: ReadonlyMap<string, PaperThing>;
}

/** For who puts it up: what comes along, each piece with what it stands on and hangs from, what to mind. */
export function siteSheet(of: SiteOf): Paper {
  const { name, where, pieces, models, work, event, workroomTempC, things } = of;
  const { text, unit } = work.basis.lengths;
  const said = { text, mass: (kg: number) => massText(kg, unit) };
  const shown = pieces.flatMap(({ id }) => things.get(id) ?? []);
  const spares = work.lines.flatMap(({ model, balloon, take, count }) =>
    model && take > count ? [`${take - count} of ${lookIn(balloon, models).name}`] : [],
  );
  const fits = [
    event.ceilingMm === null ? '' : `ceiling ${text(event.ceilingMm)}`,
    event.doorHighMm === null ? '' : `door ${text(event.doorHighMm)} high`,
    event.doorWideMm === null ? '' : `${text(event.doorWideMm)} wide`,
  ].filter((part) => part !== '');
  const each = pieces.flatMap((piece): PaperBlock[] => {
    const thing = things.get(piece.id);
    const own = work.works.find(({ piece: id }) => id === piece.id);
    const lines = [
      thing ? `${piece.copies > 1 ? 'each ' : ''}${text(thing.wideMm)} wide, ${text(thing.highMm)} high` : '',
      ...(own?.takes.map((taken) => takenText(taken, said)) ?? []),
    ].filter((line) => line !== '');
    return thing
      ? [{ kind: 'thing', thing, lines, colours: [] }]
      : [{ kind: 'words', look: 'strong', text: `${piece.name}: ${lines.join(', ')}` }];
  });
  return {
    title: `${name}: site`,
    subtitle: where,
    blocks: [
      ...(shown.length > 0 ? [{ kind: 'row' as const, things: shown }] : []),
      { kind: 'words', look: 'body', text: [conditionsText(event, workroomTempC), ...fits].join(' · ') },
      ...(event.notes === '' ? [] : [{ kind: 'words' as const, look: 'strong' as const, text: event.notes }]),
      { kind: 'heading', text: 'Take along' },
      {
        kind: 'ticks',
        lines: [
          `${counted(work.recipe.bags, 'bag')} of balloons, by their marks`,
          ...(spares.length > 0 ? [`Spares: ${spares.join(', ')}`] : []),
          ...work.recipe.takes.map((taken) => takenText(taken, said)),
        ],
      },
      { kind: 'heading', text: 'Put up' },
      ...each,
      { kind: 'heading', text: 'Mind' },
      { kind: 'ticks', lines: SITE_CHECKS },
      { kind: 'words', look: 'quiet', text: `${CAUTIONS.heights.text} ${CAUTIONS.choking.text}` },
    ],
  };
}

/** What is looked at before anyone leaves a site (common practice). */
const SITE_CHECKS = [
  'Exits, sprinklers and signs are clear; local fire rules are met.',
  'Every base is weighed, every hook held; nothing leans on glass or a lamp.',
  'Pieces of broken balloons are picked up; nobody’s children play with spares.',
] as const;
