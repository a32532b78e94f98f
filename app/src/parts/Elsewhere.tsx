import { View } from 'react-native';

import { Words } from '@/ui/Words';
import type { Hit } from '@/wording/search';

import { HitRow } from './HitRow';

const MOST = 6;

/** What was found that is no balloon of the shelf. */
export function Elsewhere({ hits }: { hits: readonly Hit[] }) {
  const others = hits.filter(({ kind }) => kind !== 'balloon').slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <View className="mt-2 gap-2">
      <Words look="heading" level={2}>
        Elsewhere
      </Words>
      {others.map((hit) => (
        <HitRow key={hit.id} hit={hit} />
      ))}
    </View>
  );
}
