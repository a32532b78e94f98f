import type { TierRecord } from '@leggero/contract';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';

import { newId } from '@/api/id';
import { useCommand } from '@/api/queries';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';

const STEP = 0.01;
const LEAST = 0.3;
const MOST = 1;

/** The studio's tiers: what share of nominal each fills to. */
export function TierList({ tiers }: { tiers: readonly TierRecord[] }) {
  const send = useCommand();
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const [deleted, setDeleted] = useState<TierRecord | null>(null);
  const add = () => {
    const wanted = name.trim();
    if (wanted === '' || wanted.length > 80) return setError('Give the tier a name of 1 to 80 characters.');
    const position = Math.max(-1, ...tiers.map((tier) => tier.position)) + 1;
    send({ name: 'createTier', body: { id: newId(), name: wanted, fraction: 0.75, purpose: '', position } });
    setName('');
    setError(undefined);
  };
  const remove = (tier: TierRecord) => {
    send({ name: 'deleteTier', id: tier.id });
    setDeleted(tier);
  };
  const restore = () => {
    if (deleted) send({ name: 'createTier', body: deleted });
    setDeleted(null);
  };
  return (
    <Card title="Tiers">
      <View role="list">
        {tiers.map((tier) => (
          <TierRow key={tier.id} tier={tier} onDelete={() => remove(tier)} />
        ))}
      </View>
      {deleted ? <UndoLine sentence={`${deleted.name} deleted.`} onUndo={restore} /> : null}
      <View className="mt-3 flex-row items-start gap-3">
        <View className="flex-1">
          <Field
            label="Tier to add"
            value={name}
            onChangeText={setName}
            onSubmitEditing={add}
            error={error}
          />
        </View>
        <Button title="Add tier" className="mt-[26px]" onPress={add} />
      </View>
    </Card>
  );
}

function TierRow({
  tier: { id, name, fraction, purpose },
  onDelete,
}: {
  tier: TierRecord;
  onDelete: () => void;
}) {
  const send = useCommand();
  const move = (by: number) => {
    const moved = Math.round((fraction + by) * 100) / 100;
    if (moved >= LEAST && moved <= MOST) send({ name: 'changeTier', id, body: { fraction: moved } });
  };
  return (
    <View role="listitem" className="min-h-[56px] flex-row items-center border-b border-line">
      <View className="flex-1">
        <Words look="strong">{name}</Words>
        <Words look="quiet" numberOfLines={2}>
          {purpose || 'no purpose noted'}
        </Words>
      </View>
      <IconButton
        label={`Lower ${name}`}
        icon={Minus}
        disabled={fraction - STEP < LEAST}
        onPress={() => move(-STEP)}
      />
      <Words look="figure" className="w-[58px] text-center text-[20px]">
        {`${Math.round(100 * fraction)} %`}
      </Words>
      <IconButton
        label={`Raise ${name}`}
        icon={Plus}
        disabled={fraction + STEP > MOST}
        onPress={() => move(STEP)}
      />
      <IconButton label={`Delete ${name}`} icon={Trash} onPress={onDelete} />
    </View>
  );
}
