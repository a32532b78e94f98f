import type { Paper, PaperBlock } from '@/parts/paper/paper';
import { CAUTIONS } from '@/wording/cautions';
import { counted, standing } from '@/wording/trade';

import type { SiteOf } from './siteSheet';

/** For the client: how it looks, how large it is, in which colours, and what to mind. No costs. */
export function clientSheet({ name, where, pieces, models, work, event, things }: SiteOf): Paper {
  const { text } = work.basis.lengths;
  const shown = pieces.flatMap(({ id }) => things.get(id) ?? []);
  const each = pieces.flatMap((piece): PaperBlock[] => {
    const thing = things.get(piece.id);
    const asked = work.asked.get(piece.id);
    if (!thing || !asked) return [];
    const colours = new Map(
      asked.sizes.map(({ part }) => {
        const model = models.find(({ id }) => id === part.modelId);
        return [part.colourHex, model?.colourName ?? 'to be chosen'] as const;
      }),
    );
    const count = asked.sizes.reduce((sum, size) => sum + size.count, 0);
    return [
      {
        kind: 'thing',
        thing,
        lines: [
          `${piece.copies > 1 ? 'each ' : ''}${text(thing.wideMm)} wide, ${text(thing.highMm)} high`,
          counted(count * piece.copies, 'balloon'),
        ],
        colours: [...colours].map(([hex, colour]) => ({ hex, name: colour })),
      },
    ];
  });
  return {
    title: name,
    subtitle: [where, event.client && `for ${event.client}`].filter(Boolean).join(' · '),
    blocks: [
      ...(shown.length > 0 ? [{ kind: 'row' as const, things: shown }] : []),
      { kind: 'words', look: 'body', text: `It stands ${standing(event.daysStanding)}.` },
      ...each,
      { kind: 'heading', text: 'Please mind' },
      { kind: 'words', look: 'body', text: ALLERGY },
      { kind: 'words', look: 'body', text: CAUTIONS.choking.text },
      {
        kind: 'words',
        look: 'body',
        text: WEAR,
      },
    ],
  };
}

const ALLERGY =
  'Balloons of latex harm people who are allergic to it: please ask your guests, and tell us. They are not for ' +
  'hospitals or care homes.';
const WEAR =
  'Balloons are of latex: heat, sun, sharp things and draughts shorten their life. Colours may differ a little from ' +
  'the picture.';
