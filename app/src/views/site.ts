import type { ModelRecord, OwnStep, PieceForm, PieceRecord, SiteTick } from '@leggero/contract';
import { SITE_TIMES, siteSteps, type SitePiece, type SiteStep, type SiteTime } from '@leggero/core/site';

import { namedModels } from './namedModels';

/** Pieces that hang, or are led over something. */
const HUNG: readonly PieceForm[] = ['garland', 'swag', 'curtain', 'chain', 'bow', 'rope', 'dome'];
/** Pieces that are fixed to a wall, or lie against it. */
const ON_WALL: readonly PieceForm[] = ['garland', 'swag', 'bow'];

function sitePiece({ id, design }: PieceRecord, foils: ReadonlySet<string>): SitePiece {
  const { form } = design;
  const hung = HUNG.includes(form);
  const foil = namedModels(design).some((modelId) => foils.has(modelId));
  return { id, hung, stands: !hung, onWall: ON_WALL.includes(form), foil };
}

/** A step of an event's list, of the usual ones or of the studio's own, and whether it was looked at. */
export type ListedStep = { key: string; ticks: SiteTick[] } & ({ usual: SiteStep } | { own: OwnStep });

/** The list of an event by when its steps are looked at; a studio's own come with the place. */
export function siteList({
  outdoors,
  pieces,
  models,
  own,
  ticks,
}: {
  outdoors: boolean;
  pieces: readonly PieceRecord[];
  models: readonly ModelRecord[];
  own: readonly OwnStep[];
  ticks: readonly SiteTick[];
}): { time: SiteTime; steps: ListedStep[] }[] {
  const foils = new Set(models.filter(({ kind }) => kind === 'foil').map(({ id }) => id));
  const usual = siteSteps({ outdoors, pieces: pieces.map((piece) => sitePiece(piece, foils)) });
  const ticksOf = (key: string) => ticks.filter((tick) => tick.key === key);
  return SITE_TIMES.map((time) => {
    const steps = usual.flatMap((step): ListedStep[] =>
      step.time === time ? [{ key: step.key, usual: step, ticks: ticksOf(step.key) }] : [],
    );
    const added =
      time === 'there' ? own.map((step): ListedStep => ({ key: step.id, own: step, ticks: ticksOf(step.id) })) : [];
    return { time, steps: [...steps, ...added] };
  }).filter(({ steps }) => steps.length > 0);
}
