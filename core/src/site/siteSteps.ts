/** When a step is looked at: before going there, on arriving, at a piece, before leaving, when it is taken down. */
export const SITE_TIMES = ['before', 'there', 'piece', 'leaving', 'down'] as const;
export type SiteTime = (typeof SITE_TIMES)[number];

/** What is looked at of a place and its pieces. */
export const SITE_STEPS = [
  ...(['latex', 'fits', 'power', 'permission'] as const),
  ...(['exits', 'sprinklers', 'ceiling', 'heat', 'static', 'wind', 'ground'] as const),
  ...(['straight', 'weighed', 'ballast', 'fixings', 'rigger', 'ladder', 'walls', 'foil'] as const),
  ...(['gaps', 'broken', 'tied', 'reach'] as const),
  ...(['release', 'pick-up', 'back'] as const),
] as const;
export type SiteStepKind = (typeof SITE_STEPS)[number];

/** One step of a list. */
export interface SiteStep {
  /** The same for the same step of an event. */
  key: string;
  kind: SiteStepKind;
  time: SiteTime;
  /** Of which piece; null of one for all. */
  piece: string | null;
}

/** A piece as far as a place asks of it. */
export interface SitePiece {
  id: string;
  /** It hangs, or is led over something, so that someone climbs and something holds. */
  hung: boolean;
  /** It stands on the floor by itself. */
  stands: boolean;
  /** It leans on, or is fixed to, a wall. */
  onWall: boolean;
  foil: boolean;
}

/**
 * What to look at before, at and after putting up an event, by its place and the kinds of its pieces. It reminds; local
 * rules and licensed practice decide.
 *
 * Source: common practice.
 */
export function siteSteps({ outdoors, pieces }: { outdoors: boolean; pieces: readonly SitePiece[] }): SiteStep[] {
  const steps: SiteStep[] = [];
  const add = (time: SiteTime, kinds: readonly (SiteStepKind | false)[], piece: string | null = null) => {
    for (const kind of kinds)
      if (kind) steps.push({ key: piece === null ? kind : `${kind} ${piece}`, kind, time, piece });
  };
  const some = (is: (piece: SitePiece) => boolean) => pieces.some(is);
  add('before', [
    'latex',
    'fits',
    some(({ foil }) => foil) && 'power',
    (outdoors || some(({ hung }) => hung)) && 'permission',
  ]);
  add('there', [
    'exits',
    !outdoors && 'sprinklers',
    'heat',
    !outdoors && 'static',
    outdoors && 'wind',
    outdoors && 'ground',
  ]);
  if (!outdoors) add('there', ['ceiling']);
  for (const { id, hung, stands, onWall, foil } of pieces)
    add(
      'piece',
      [
        stands && 'straight',
        stands && (outdoors ? 'ballast' : 'weighed'),
        hung && 'fixings',
        hung && 'rigger',
        hung && 'ladder',
        onWall && 'walls',
        foil && outdoors && 'foil',
      ],
      id,
    );
  add('leaving', ['gaps', 'broken', 'tied', 'reach']);
  add('down', ['release', 'pick-up', 'back']);
  return steps;
}
