import { MOST_SEED } from '@leggero/contract';
import { GARLAND_PATHS, MOST_CLUSTERS } from '@leggero/core';
import type { Place } from '@leggero/core/garland';
import Shuffle from 'lucide-react-native/icons/shuffle';
import { View } from 'react-native';

import { CountField, MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { PATH_LENGTHS, PATH_WORDS } from '@/wording/garland';

import { placesAlong, wallFor } from './wall';

interface GarlandFieldsProps {
  design: GarlandDesign;
  /** Where it runs; nothing where that cannot be. */
  points: readonly Place[];
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<GarlandDesign>) => void;
}

/** Where a garland runs, and how many clusters it has. */
export function GarlandFields({ design, points, basis, wrong, change }: GarlandFieldsProps) {
  const { path, clusters, strip, seed } = design;
  const put = (by: Partial<GarlandDesign['path']>) => change({ path: { ...path, ...by } });
  const { wide, high } = PATH_LENGTHS[path.kind];
  return (
    <View className="gap-4">
      <Labelled label="Where it runs">
        <PickChips
          label="Where it runs"
          options={GARLAND_PATHS.map((value) => ({ value, title: PATH_WORDS[value] }))}
          value={path.kind}
          onChange={(kind) => {
            if (kind !== 'own') return put({ kind });
            // What is drawn is drawn on a wall.
            change({
              path: { ...path, kind, points: path.points ?? placesAlong(points) },
              wall: design.wall ?? { ...wallFor(points), things: [] },
            });
          }}
        />
      </Labelled>
      <View className="flex-row flex-wrap gap-3">
        {path.kind === 'own' ? null : (
          <>
            <MmField
              label={wide}
              value={path.wideMm}
              basis={basis}
              error={wrong('path.wideMm') ?? wrong('points')}
              onChange={(mm) => put({ wideMm: mm })}
            />
            <MmField
              label={high}
              value={path.highMm}
              basis={basis}
              error={wrong('path.highMm')}
              onChange={(mm) => put({ highMm: mm })}
            />
          </>
        )}
        {path.kind === 'droop' ? (
          <MmField
            label="Hangs down by"
            value={path.dropMm}
            basis={basis}
            error={wrong('path.dropMm')}
            onChange={(mm) => put({ dropMm: mm })}
          />
        ) : null}
        {strip ? null : (
          <CountField
            label="Clusters"
            of="clusters"
            value={clusters}
            most={MOST_CLUSTERS}
            error={wrong('clusters')}
            onChange={(many) => change({ clusters: many })}
          />
        )}
      </View>
      <Button
        title={strip ? 'Let it fall another way' : 'Turn its clusters another way'}
        icon={Shuffle}
        onPress={() => change({ seed: (seed % MOST_SEED) + 1 })}
      />
    </View>
  );
}
