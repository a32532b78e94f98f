import type { PieceDesign } from '@leggero/contract';

/** A balloon as a design names it, at whatever depth. */
const NAMED = /"modelId":"([^"]+)"/g;

/** The balloons that a design names. */
export const namedModels = (design: PieceDesign): string[] =>
  [...JSON.stringify(design).matchAll(NAMED)].map(([, id]) => id!);

/** A design that names other balloons: those of `idOf`, and none where it knows none. */
export function renamedModels(design: PieceDesign, idOf: ReadonlyMap<string, string>): PieceDesign {
  const renamed = JSON.stringify(design).replace(
    NAMED,
    (_, id: string) => `"modelId":${JSON.stringify(idOf.get(id) ?? null)}`,
  );
  return JSON.parse(renamed) as PieceDesign;
}
