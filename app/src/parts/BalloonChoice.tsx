import type { ShelfModel } from '@leggero/contract';

import { modelName } from '@/views/modelView';

import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';

interface BalloonChoiceProps {
  label?: string;
  models: readonly ShelfModel[];
  value: string;
  onChange: (id: string) => void;
}

/** One of the shelf's balloons, by line, nominal size and colour. */
export function BalloonChoice({ label = 'Balloon', models, value, onChange }: BalloonChoiceProps) {
  return (
    <Labelled label={label}>
      <PickChips
        label={label}
        options={models.map((model) => ({
          value: model.id,
          title: `${modelName(model)}, ${model.colourName}`,
        }))}
        value={value}
        onChange={onChange}
      />
    </Labelled>
  );
}
