import type { TierRecord } from '@leggero/contract';
import { LEAST_TIER_FRACTION, MOST_TIER_FRACTION } from '@leggero/core';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { newId } from '@/device/id';
import { write } from '@/data/outbox';
import { useRemoval } from '@/data/useRemoval';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { tierText } from '@/wording/tier';
import { percent } from '@/wording/trade';

import { TierSheet } from './TierSheet';

/** The studio's tiers in their order: what share of nominal each fills to, and what for. */
export function TierList({ tiers }: { tiers: readonly TierRecord[] }) {
  const [open, setOpen] = useState<TierRecord | null>(null);
  const { removed: deleted, remove: takeAway, restore } = useRemoval('tier');
  const isNew = open !== null && !tiers.some(({ id }) => id === open.id);
  const add = () => {
    const position = Math.max(-1, ...tiers.map((tier) => tier.position)) + 1;
    setOpen({ id: newId(), name: '', purpose: '', position, shape: 'round', ...freeRange(tiers) });
  };
  const save = (tier: TierRecord) => {
    const { id, ...change } = tier;
    write(isNew ? { put: 'tier', row: tier } : { change: 'tier', id, by: change });
    setOpen(null);
  };
  const remove = (tier: TierRecord) => {
    takeAway(tier);
    setOpen(null);
  };
  const swap = (tier: TierRecord, other: TierRecord | undefined) => {
    if (!other) return;
    write(
      { change: 'tier', id: tier.id, by: { position: other.position } },
      { change: 'tier', id: other.id, by: { position: tier.position } },
    );
  };
  const ordered = [...tiers].sort((a, b) => a.position - b.position);
  return (
    <Card title="Tiers">
      <View role="list">
        {ordered.map((tier, i) => (
          <View key={tier.id} role="listitem" className="flex-row items-center border-b border-line">
            <Pressable
              role="button"
              onPress={() => setOpen(tier)}
              className="min-h-[60px] flex-1 flex-row items-center gap-3 rounded-card px-1 active:bg-sunk"
            >
              <View className="flex-1">
                <Words look="strong">{tier.name}</Words>
                <Words look="quiet">{tierText(tier)}</Words>
              </View>
              <View className="w-[92px] items-end">
                <Words look="figure" className="text-[20px] leading-7">
                  {percent(tier.fraction)}
                </Words>
                <Words look="quiet">{`${Math.round(100 * tier.leastFraction)}–${percent(tier.mostFraction)}`}</Words>
              </View>
            </Pressable>
            <IconButton
              label={`Move ${tier.name} up`}
              icon={ChevronUp}
              disabled={i === 0}
              onPress={() => swap(tier, ordered[i - 1])}
            />
            <IconButton
              label={`Move ${tier.name} down`}
              icon={ChevronDown}
              disabled={i === ordered.length - 1}
              onPress={() => swap(tier, ordered[i + 1])}
            />
          </View>
        ))}
      </View>
      {deleted ? <UndoLine sentence={`${deleted.name} deleted.`} onUndo={restore} /> : null}
      <Button title="Add a tier" className="mt-3 self-start" onPress={add} />
      {open ? (
        <TierSheet
          tier={open}
          isNew={isNew}
          others={tiers.filter(({ id }) => id !== open.id)}
          onSave={save}
          onDelete={() => remove(open)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Card>
  );
}

/** The widest range that no tier covers yet; a sliver at the top when all is covered, for the artist to move. */
function freeRange(tiers: readonly TierRecord[]): Pick<TierRecord, 'leastFraction' | 'mostFraction' | 'fraction'> {
  const sorted = [...tiers].sort((a, b) => a.leastFraction - b.leastFraction);
  let best = { from: MOST_TIER_FRACTION - 0.02, to: MOST_TIER_FRACTION, size: 0 };
  let from = LEAST_TIER_FRACTION;
  for (const to of [...sorted.map(({ leastFraction }) => leastFraction), MOST_TIER_FRACTION]) {
    if (to - from > best.size + 0.009) best = { from, to, size: to - from };
    from = sorted.find(({ leastFraction }) => leastFraction === to)?.mostFraction ?? from;
  }
  const fraction = Math.round(50 * (best.from + best.to)) / 100;
  return { leastFraction: best.from, mostFraction: best.to, fraction };
}
