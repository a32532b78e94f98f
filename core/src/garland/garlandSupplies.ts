import type { ModellingSize } from '../modelling/code';
import { joinersFor, tyingFor } from '../modelling/joiner';
import { TRADE, type Trade } from '../trade';
import { balloonsOfKind, type ClusterKind } from './cluster';
import type { JoinedBy } from './kinds';

/** What a garland takes beside its balloons. */
export interface GarlandSupplies {
  /** Modelling balloons that join its clusters. */
  modelling: number;
  /** Line, of its joins and its fixings, mm. */
  lineMm: number;
  bands: number;
  glueDots: number;
}

/**
 * What joins a garland's clusters to each other, ties those that lie over them, hangs it, and holds what is put into its
 * hollows. In a strip nothing along it is joined. A cluster over others takes one join, as one along it does; whatever
 * joins them, it hangs by line.
 *
 * `fixings`: hooks that it hangs by. `hollows`: decorators, flowers, leaves and signs, each glued on.
 *
 * Source: common practice (3 ft of line for a fixing or a cluster, one or two glue dots for a 5 in); `joinersFor`, of
 * halves of modelling balloons.
 */
export function garlandSupplies({
  by,
  clusters,
  strip,
  over,
  fixings,
  hollows,
  size,
  trade = TRADE,
}: {
  by: JoinedBy;
  clusters: readonly ClusterKind[];
  strip: boolean;
  over: number;
  fixings: number;
  hollows: number;
  size: ModellingSize;
  trade?: Trade | undefined;
}): GarlandSupplies {
  const joins = (strip ? 0 : clusters.length - 1) + over;
  const hung = fixings * trade.garlandLineMm;
  const glueDots = Math.ceil(hollows * trade.glueDots);
  const none = { modelling: 0, lineMm: hung, bands: 0, glueDots };
  switch (by) {
    case 'necks':
      return none;
    case 'line':
      return { ...none, lineMm: hung + joins * trade.garlandLineMm };
    case 'bands':
      return { ...none, bands: joins };
    case 'modelling': {
      if (joins === 0) return none;
      const balloons = Math.max(...clusters.map(balloonsOfKind));
      const made = joinersFor({ size, clusters: joins + 1, way: tyingFor({ balloons }), halved: true, trade });
      // Halves too short for a join are not cut.
      const whole = made.ok ? made : joinersFor({ size, clusters: joins + 1, way: 'band', halved: false, trade });
      return { ...none, modelling: whole.ok ? whole.value.balloons : joins };
    }
  }
}
