import type { Lengths } from '@/views/lengths';
import { counted, dosed } from '@/wording/trade';

import type { Effect, Moved } from './trial';

/** What other numbers would move, a sentence each; none where nothing moves. */
export function effectLines(effect: Effect, { fine }: Pick<Lengths, 'fine'>): string[] {
  const { targets, doses, tolerances, nights, origins, pieces } = effect;
  const upTo = ({ most }: Moved) => (most > 0 ? ` by up to ${fine(most)}` : '');
  return [
    targets.count > 0 && `Targets of ${counted(targets.count, 'balloon')}${upTo(targets)}`,
    doses.count > 0 && `Doses of ${counted(doses.count, 'balloon')} by up to ${dosed(doses.most, doses.kind)}`,
    tolerances.count > 0 && `Tolerances of ${counted(tolerances.count, 'balloon')}${upTo(tolerances)}`,
    nights.count > 0 && `What a night costs ${counted(nights.count, 'balloon')}${upTo(nights)}`,
    origins > 0 && `How ${counted(origins, 'target is', 'targets are')} known`,
    pieces.count > 0 && `Sizes of ${counted(pieces.count, 'piece')}${upTo(pieces)}`,
  ].filter((line) => line !== false);
}

/** The same in one: "targets of 4 balloons by up to ¼ in, …". */
export function effectText(effect: Effect, lengths: Pick<Lengths, 'fine'>): string {
  const [first, ...rest] = effectLines(effect, lengths);
  if (first === undefined) return 'no target and no piece of yours';
  return [first, ...rest].map((line) => line[0]!.toLowerCase() + line.slice(1)).join(', ');
}

/** The most that any of some trials moves: targets before pieces, and these before what else there is. */
export function furthestText(effects: readonly Effect[], { fine }: Pick<Lengths, 'fine'>): string {
  const furthest = (of: (effect: Effect) => Moved) =>
    effects.map(of).reduce((most, each) => (each.most > most.most || !most.count ? each : most), { count: 0, most: 0 });
  const targets = furthest((effect) => effect.targets);
  if (targets.count > 0) return `moves targets of ${counted(targets.count, 'balloon')} by up to ${fine(targets.most)}`;
  const pieces = furthest((effect) => effect.pieces);
  if (pieces.count > 0) return `moves sizes of ${counted(pieces.count, 'piece')}`;
  const doses = furthest((effect) => effect.doses);
  if (doses.count > 0) return `moves doses of ${counted(doses.count, 'balloon')}`;
  const tolerances = furthest((effect) => effect.tolerances);
  if (tolerances.count > 0) return `moves tolerances of ${counted(tolerances.count, 'balloon')}`;
  if (furthest((effect) => effect.nights).count > 0) return 'moves what a night costs';
  return effects.some(({ origins }) => origins > 0) ? 'moves how well targets are known' : '';
}
