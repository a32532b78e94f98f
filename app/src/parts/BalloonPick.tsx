import type { ShelfModel } from '@leggero/contract';
import ChevronsUpDown from 'lucide-react-native/icons/chevrons-up-down';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg from 'react-native-svg';

import { modelName } from '@/views/modelView';

import { Balloon } from './Balloon';
import { chosenBox } from '@/ui/chosen';
import { Labelled } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface BalloonPickProps {
  label: string;
  models: readonly ShelfModel[];
  value: ShelfModel | undefined;
  /** What stands for no balloon in particular; it cannot be left open where absent. */
  none?: string;
  onChange: (id: string) => void;
}

/** The balloon in use, in one row; a tap opens all there are. */
export function BalloonPick({ label, models, value, none, onChange }: BalloonPickProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const choose = (id: string) => {
    setOpen(false);
    onChange(id);
  };
  const name = value ? `${modelName(value)}, ${value.colourName}` : (none ?? '');
  return (
    <Labelled label={label}>
      <Pressable
        role="button"
        aria-label={`${name}: change the ${label.toLowerCase()}`}
        onPress={() => setOpen(true)}
        className="min-h-[56px] flex-row items-center gap-3 rounded-card border border-line bg-surface px-3 active:bg-sunk"
      >
        {value ? <Small model={value} /> : null}
        <Words look="strong" className="flex-1">
          {name}
        </Words>
        <ChevronsUpDown size={18} color={palette.quiet} />
      </Pressable>
      <Sheet title={label} open={open} onClose={() => setOpen(false)}>
        <View role="radiogroup" aria-label={label} className="gap-2">
          {none ? <Option title={none} chosen={!value} onPress={() => choose('')} /> : null}
          {models.map((model) => (
            <Option
              key={model.id}
              title={`${modelName(model)}, ${model.colourName}`}
              model={model}
              chosen={model.id === value?.id}
              onPress={() => choose(model.id)}
            />
          ))}
        </View>
      </Sheet>
    </Labelled>
  );
}

interface OptionProps {
  title: string;
  model?: ShelfModel;
  chosen: boolean;
  onPress: () => void;
}

function Option({ title, model, chosen, onPress }: OptionProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={title}
      onPress={onPress}
      className={'min-h-[56px] flex-row items-center gap-3 rounded-card border px-3 ' + chosenBox(chosen)}
    >
      {model ? <Small model={model} /> : null}
      <Words look="strong" className="flex-1">
        {title}
      </Words>
    </Pressable>
  );
}

function Small({ model: { colourHex, finish, decor } }: { model: ShelfModel }) {
  return (
    <Svg width={32} height={36} viewBox="-58 -58 116 130" aria-hidden>
      <Balloon widthMm={100} heightMm={104} nominalMm={112} colourHex={colourHex} finish={finish} decor={decor} />
    </Svg>
  );
}
