import type { SharedSheet } from '@leggero/contract/share';

import type { Paper, PaperBlock, PaperThing } from './paper';

/** Pictures of a page are seen on a phone, px. */
const PX = 480;

type SharedBlock = SharedSheet['blocks'][number];

/**
 * A client's sheet as it is shared: each picture once, `small` makes it smaller. What no client is shown is left out.
 */
export async function sharedSheetOf(
  { title, subtitle, blocks }: Paper,
  small: (picture: string, px: number) => Promise<string>,
): Promise<SharedSheet> {
  const pictures: Record<string, string> = {};
  for (const { key, picture } of blocks.flatMap(thingsOf)) pictures[key] ??= await small(picture, PX);
  return { title, subtitle, pictures, blocks: blocks.flatMap(sharedBlock) };
}

function thingsOf(block: PaperBlock): readonly PaperThing[] {
  if (block.kind === 'row') return block.things;
  return block.kind === 'thing' ? [block.thing] : [];
}

function sharedBlock(block: PaperBlock): SharedBlock[] {
  const bare = ({ picture: _, ...thing }: PaperThing) => thing;
  switch (block.kind) {
    case 'heading':
    case 'words':
      return [{ ...block }];
    case 'row':
      return [{ kind: 'row', things: block.things.map(bare) }];
    case 'thing':
      return [{ ...block, thing: bare(block.thing), lines: [...block.lines], colours: [...block.colours] }];
    case 'ticks':
    case 'rows':
      return [];
  }
}

/** A shared sheet as it is shown. */
export function paperOf({ title, subtitle, pictures, blocks }: SharedSheet): Paper {
  const pictured = (thing: Omit<PaperThing, 'picture'>): PaperThing => ({
    ...thing,
    picture: pictures[thing.key] ?? '',
  });
  const shown = blocks.map((block): PaperBlock => {
    if (block.kind === 'row') return { ...block, things: block.things.map(pictured) };
    return block.kind === 'thing' ? { ...block, thing: pictured(block.thing) } : block;
  });
  return { title, subtitle, blocks: shown };
}
