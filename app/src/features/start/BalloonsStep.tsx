import { MODEL_DEFAULTS, type ModelCreate } from '@leggero/contract';
import { MM_PER_INCH, type Finish } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G } from 'react-native-svg';

import { write } from '@/data/outbox';
import { newId } from '@/device/id';
import { Balloon } from '@/parts/Balloon';
import { ColourChoice } from '@/parts/ColourChoice';
import { COLOURS } from '@/parts/colours';
import { NOMINAL_OPTIONS } from '@/parts/nominalOptions';
import { Field, Labelled } from '@/ui/Field';
import { PickChips, ToggleChips } from '@/ui/PickChips';
import { counted } from '@/wording/trade';

import type { StepProps } from './StartPage';
import { StepFrame } from './StepFrame';

/** Lines as any maker has them; the name on the bag may be typed instead. */
const LINES: readonly { value: string; title: string; finish: Finish }[] = [
  { value: 'Standard', title: 'Standard', finish: 'matte' },
  { value: 'Satin', title: 'Satin', finish: 'pearl' },
  { value: 'Mirror', title: 'Mirror', finish: 'mirror' },
  { value: 'Clear', title: 'Clear', finish: 'clear' },
];
const USUAL_SIZES = ['11'];

/** Some balloons of one line onto the shelf: a line, its sizes, a colour, by taps. */
export function BalloonsStep({ place, goOn }: StepProps) {
  const [finish, setFinish] = useState<Finish>('matte');
  const [line, setLine] = useState(LINES[0]!.value);
  const [sizes, setSizes] = useState(USUAL_SIZES);
  const [colourHex, setColourHex] = useState(COLOURS[1]!.hex);
  const wrong = line.trim() === '' || line.trim().length > 80;
  const put = () => {
    const colourName = COLOURS.find(({ hex }) => hex === colourHex)!.name;
    const rows = sizes.map((inches): ModelCreate => ({
      ...MODEL_DEFAULTS,
      id: newId(),
      line: line.trim(),
      kind: 'round',
      nominalMm: Number(inches) * MM_PER_INCH,
      lengthMm: null,
      finish,
      colourName,
      colourHex,
    }));
    write(...rows.map((row) => ({ put: 'model' as const, row })));
    goOn();
  };
  return (
    <StepFrame
      step="balloons"
      place={place}
      action={`Put ${counted(sizes.length, 'size')} on the shelf`}
      ready={sizes.length > 0 && !wrong}
      onAct={put}
      onSkip={goOn}
    >
      <LineUp sizes={sizes} colourHex={colourHex} finish={finish} />
      <Labelled label="Sizes, inches">
        <ToggleChips
          label="Sizes"
          options={NOMINAL_OPTIONS}
          values={sizes}
          least={0}
          most={NOMINAL_OPTIONS.length}
          onChange={setSizes}
        />
      </Labelled>
      <Labelled label="Line">
        <PickChips
          label="Line"
          options={LINES}
          value={line}
          onChange={(value) => {
            setLine(value);
            setFinish(LINES.find((each) => each.value === value)!.finish);
          }}
        />
      </Labelled>
      <Field
        label="Name on the bag"
        hint="The maker’s line. It can be changed later."
        value={line}
        onChangeText={setLine}
        error={wrong ? 'Give the line a name of 1 to 80 characters.' : undefined}
      />
      <Labelled label="Colour">
        <ColourChoice value={colourHex} onChange={setColourHex} />
      </Labelled>
    </StepFrame>
  );
}

const GAP = 14;
const HEIGHT = 150;

/** The chosen sizes side by side, to one scale. */
function LineUp({ sizes, colourHex, finish }: { sizes: readonly string[]; colourHex: string; finish: Finish }) {
  const widths = sizes.map((inches) => 10 * Number(inches)).sort((a, b) => a - b);
  const tallest = Math.max(80, ...widths) * 1.25;
  const across = widths.reduce((sum, width) => sum + width + GAP, GAP);
  const starts = widths.map((_, i) => widths.slice(0, i).reduce((sum, width) => sum + width + GAP, GAP));
  return (
    <View role="img" aria-label={`${counted(sizes.length, 'size')} to one scale`} className="items-center">
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${across} ${tallest}`} aria-hidden>
        {widths.map((width, i) => (
          <G key={width} x={starts[i]! + width / 2} y={tallest - 0.65 * width}>
            <Balloon
              widthMm={width}
              heightMm={1.05 * width}
              nominalMm={1.1 * width}
              colourHex={colourHex}
              finish={finish}
            />
          </G>
        ))}
      </Svg>
    </View>
  );
}
