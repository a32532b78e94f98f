import type { AskedWork } from '@/parts/piece/works';
import { targetsFor, type SizeAsked, type SizeTarget } from '@/parts/piece/sizeTarget';
import type { PieceBasis } from '@/parts/piece/useBasis';

/** What a size of a piece is before a swap and after it. */
export interface SizeChange {
  key: string;
  title: string;
  count: number;
  before: Made | null;
  after: Made;
}

interface Made {
  modelId: string | null;
  colourHex: string;
  widthMm: number;
  target: SizeTarget | null;
}

/** Sizes of a piece that are made of another balloon, or otherwise, once it is swapped. */
export function changesOf(before: AskedWork, after: AskedWork, basis: PieceBasis): SizeChange[] {
  const [was, is] = [targetsFor(before.sizes, basis), targetsFor(after.sizes, basis)];
  const made = (size: SizeAsked, targets: ReadonlyMap<string, SizeTarget>): Made => {
    const { modelId, colourHex } = size.part;
    return { modelId, colourHex, widthMm: size.widthMm, target: targets.get(size.key) ?? null };
  };
  return after.sizes.flatMap((size, i): SizeChange[] => {
    // A garland's sizes are named by what they are of: the one in its place is the one it was, unless two became one.
    const inPlace = before.sizes.length === after.sizes.length ? before.sizes[i] : undefined;
    const old = before.sizes.find(({ key }) => key === size.key) ?? inPlace;
    const [then, now] = [old ? made(old, was) : null, made(size, is)];
    if (then && then.modelId === now.modelId && then.colourHex === now.colourHex) return [];
    const { key, title, count } = size;
    return [{ key, title, count, before: then, after: now }];
  });
}
