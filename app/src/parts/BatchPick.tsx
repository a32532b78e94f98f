import { useBatches } from '@/data/measured';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';

interface BatchPickProps {
  modelId: string;
  hint?: string;
  /** The bags of the batch; null for whatever batch it is of. */
  value: string | null;
  onChange: (bagId: string | null) => void;
}

const ANY = 'any';

/** Of which batch of a balloon something is; nothing where no bag says so. */
export function BatchPick({ modelId, hint, value, onChange }: BatchPickProps) {
  const batches = useBatches(modelId);
  if (batches.length === 0) return null;
  return (
    <Labelled label="Of which batch" hint={hint}>
      <PickChips
        label="Of which batch"
        options={[{ value: ANY, title: 'Any' }, ...batches.map(({ id, batch }) => ({ value: id, title: batch }))]}
        value={value ?? ANY}
        onChange={(id) => onChange(id === ANY ? null : id)}
      />
    </Labelled>
  );
}
