import { MM_PER } from '@leggero/core';
import type { CheckResultRecord, WorkPlan } from '@leggero/contract';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { useState, type ComponentType } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G } from 'react-native-svg';

import { lengthsOf } from '@/views/lengths';
import { Aperture } from '@/parts/Aperture';
import { Balloon } from '@/parts/Balloon';
import { BarFields } from '@/parts/BarFields';
import { Button, IconButton, StepButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { Chip } from '@/ui/Chip';
import { ColourChoice } from '@/parts/ColourChoice';
import { COLOURS } from '@/parts/colours';
import { DeleteButton } from '@/ui/DeleteButton';
import { Dial } from '@/ui/Dial';
import { Field } from '@/ui/Field';
import { HeliumCard } from '@/parts/HeliumCard';
import { HitRow } from '@/parts/HitRow';
import { HoleRow } from '@/parts/HoleRow';
import { LengthEntry } from '@/parts/LengthEntry';
import { LengthField } from '@/parts/LengthField';
import { LengthFigure } from '@/parts/LengthFigure';
import { MomentField } from '@/ui/MomentField';
import { TimeField } from '@/ui/TimeField';
import { HandsFields } from '@/parts/HandsFields';
import { ZoneField } from '@/parts/ZoneField';
import { NumberField } from '@/ui/NumberField';
import { PickChips } from '@/ui/PickChips';
import { FillScreen } from '@/ui/FillScreen';
import { Picture } from '@/ui/Picture';
import { Progress } from '@/ui/Progress';
import { RowLink } from '@/ui/RowLink';
import { SearchField } from '@/ui/SearchField';
import { SearchLink } from '@/parts/SearchLink';
import { Segmented } from '@/ui/Segmented';
import { Sheet } from '@/ui/Sheet';
import { Empty, Failed, Loading } from '@/ui/States';
import { Stepper } from '@/ui/Stepper';
import { Steps } from '@/ui/Steps';
import { SwitchRow } from '@/ui/SwitchRow';
import { TapButton } from '@/ui/TapButton';
import { Tool } from '@/ui/Tool';
import { UndoLine } from '@/ui/UndoLine';
import { WrongLine } from '@/ui/WrongLine';
import { Words } from '@/ui/Words';
import type { Hit } from '@/wording/search';
import { WrapsChoice } from '@/parts/WrapsChoice';
import { ActionRow } from '@/ui/ActionRow';

const lengths = lengthsOf();
const inch = (inches: number) => inches * MM_PER.in;
const HEX = COLOURS[3]!.hex;
const nothing = () => {};

/** Shows a part with a state of its own, so that it answers to hands. */
function held<Value>(first: Value, draw: (value: Value, set: (value: Value) => void) => React.ReactNode) {
  return function Held() {
    const [value, set] = useState(first);
    return <>{draw(value, set)}</>;
  };
}

const FOUND: Hit = {
  kind: 'page',
  id: 'make',
  href: '/gauges/make',
  title: 'Make a sizer',
  note: 'Plate, jaws, rings or box',
};
const CHOICES = (['stops', 'passes', 'falls'] satisfies CheckResultRecord['answer'][]).map((value) => ({
  value,
  title: value,
}));

interface KitPart {
  /** The file in `ui/` it comes from. */
  name: string;
  Shown: ComponentType;
}

/** The kit, part by part. */
export const KIT: readonly KitPart[] = [
  {
    name: 'Words',
    Shown: () => (
      <View>
        <Words look="title">Title</Words>
        <Words look="strong">Strong words</Words>
        <Words>Body words</Words>
        <Words look="label">Label</Words>
        <Words look="quiet">Quiet words</Words>
        <Words look="figure">9¾</Words>
        <Words look="error">What is wrong, and what would do</Words>
      </View>
    ),
  },
  {
    name: 'Button',
    Shown: () => (
      <View className="flex-row flex-wrap items-center gap-2">
        <Button title="Add reading" look="primary" tall onPress={nothing} />
        <Button title="Another" icon={Plus} onPress={nothing} />
        <Button title="Plain" look="plain" onPress={nothing} />
        <Button title="Delete" look="danger" onPress={nothing} />
        <Button title="Not now" disabled onPress={nothing} />
        <IconButton label="Take it out" icon={X} onPress={nothing} />
        <StepButton label="One more" icon={Plus} onPress={nothing} />
      </View>
    ),
  },
  {
    name: 'Aperture',
    Shown: () => (
      <Aperture
        label="An 11 in balloon at 10 in, inside its ring"
        colourHex={HEX}
        finish="pearl"
        nominalMm={inch(11)}
        widthMm={inch(10)}
        heightMm={inch(10.3)}
        target={{ widthMm: inch(10), toleranceMm: inch(0.25) }}
        size={220}
        marks
      />
    ),
  },
  {
    name: 'Balloon',
    Shown: () => (
      <Svg width={340} height={110} aria-hidden>
        {(['matte', 'pearl', 'mirror', 'clear'] as const).map((finish, i) => (
          <G key={finish} transform={`translate(${45 + 84 * i} 50) scale(0.3)`}>
            <Balloon widthMm={240} heightMm={250} nominalMm={280} colourHex={HEX} finish={finish} />
          </G>
        ))}
      </Svg>
    ),
  },
  { name: 'LengthFigure', Shown: () => <LengthFigure parts={lengths.parts(inch(9.75))} size={88} /> },
  {
    name: 'Card',
    Shown: () => (
      <Card title="Card">
        <Words>What belongs together.</Words>
      </Card>
    ),
  },
  {
    name: 'Chip',
    Shown: () => (
      <View className="flex-row gap-2">
        <Chip tone="good" word="within" />
        <Chip tone="edge" word="near the edge" />
        <Chip tone="out" word="outside" />
      </View>
    ),
  },
  {
    name: 'TapButton',
    Shown: held(12, (count, set) => (
      <TapButton onTap={() => set(count + 1)} className="min-h-[88px] border-kiln bg-kiln active:opacity-80">
        <Words look="figure" className="text-on-kiln">
          {count}
        </Words>
      </TapButton>
    )),
  },
  {
    name: 'Tool',
    Shown: () => (
      <View className="flex-row gap-2">
        <Tool title="Sizer hole" figure="10" note="just passes" />
        <Tool title="Pump strokes" figure="7½" note="lands 9⅝–10" />
      </View>
    ),
  },
  {
    name: 'Segmented',
    Shown: held('passes', (value: string, set) => (
      <Segmented label="Answer" options={CHOICES as { value: string; title: string }[]} value={value} onChange={set} />
    )),
  },
  {
    name: 'PickChips',
    Shown: held('passes', (value: string, set) => (
      <PickChips label="Answers" options={CHOICES as { value: string; title: string }[]} value={value} onChange={set} />
    )),
  },
  {
    name: 'Stepper',
    Shown: held(4, (value, set) => (
      <Stepper label="strokes" value={value} shown={String(value)} step={1} least={1} most={12} onChange={set} />
    )),
  },
  {
    name: 'Dial',
    Shown: held(inch(9), (value, set) => (
      <Dial
        label="Width"
        value={value}
        spoken={lengths.text(value)}
        least={inch(4)}
        most={inch(12)}
        step={lengths.stepMm}
        stepsPerMark={8}
        markOf={lengths.bare}
        onChange={set}
      />
    )),
  },
  {
    name: 'LengthEntry',
    Shown: held(inch(9), (value, set) => (
      <LengthEntry
        label="Tape around"
        value={value}
        least={inch(4)}
        most={inch(12)}
        lengths={lengths}
        around
        onChange={set}
      />
    )),
  },
  {
    name: 'LengthField',
    Shown: held<number | null>(inch(9.75), (value, set) => (
      <LengthField label="Across" value={value} lengths={lengths} onChange={set} />
    )),
  },
  {
    name: 'MomentField',
    Shown: held<string | null>('2026-12-05T18:00:00.000Z', (value, set) => (
      <MomentField label="Opens" value={value} onChange={set} />
    )),
  },
  {
    name: 'HandsFields',
    Shown: held<Pick<WorkPlan, 'people' | 'stations' | 'sized'>>(
      { people: 3, stations: 2, sized: true },
      (plan, set) => <HandsFields plan={plan} change={(by) => set({ ...plan, ...by })} />,
    ),
  },
  {
    name: 'TimeField',
    Shown: held(540, (value, set) => <TimeField label="A day from" value={value} onChange={set} />),
  },
  {
    name: 'ZoneField',
    Shown: held<string | null>('Europe/Lisbon', (value, set) => <ZoneField value={value} onChange={set} />),
  },
  {
    name: 'NumberField',
    Shown: held(21, (value, set) => (
      <NumberField
        label="Temperature, °C"
        value={value}
        range={{ least: -30, most: 70, error: 'Temperatures from -30 to 70 °C are possible.' }}
        onChange={set}
      />
    )),
  },
  {
    name: 'Field',
    Shown: held('', (value, set) => (
      <Field label="Name" value={value} onChangeText={set} error={value === '' ? 'Give it a name.' : undefined} />
    )),
  },
  {
    name: 'SearchField',
    Shown: held('', (value, set) => (
      <SearchField label="Search the shelf" placeholder="A word of it" value={value} onChangeText={set} />
    )),
  },
  { name: 'SearchLink', Shown: () => <SearchLink /> },
  { name: 'HitRow', Shown: () => <HitRow hit={FOUND} /> },
  { name: 'BarFields', Shown: () => <BarFields action="Use this scale" onScale={nothing} /> },
  {
    name: 'SwitchRow',
    Shown: held(true, (value, set) => <SwitchRow label="Pre-stretched" value={value} onChange={set} />),
  },
  {
    name: 'WrapsChoice',
    Shown: held<1 | 2>(2, (value, set) => <WrapsChoice wraps={value} onChange={set} />),
  },
  { name: 'ColourChoice', Shown: held(HEX, (value, set) => <ColourChoice value={value} onChange={set} />) },
  {
    name: 'HoleRow',
    Shown: () => (
      <HoleRow
        holes={[5, 7, 9, 10, 11].map((size) => ({ id: String(size), label: String(size), widthMm: inch(size) }))}
        at="10"
        height={110}
      />
    ),
  },
  {
    name: 'Picture',
    Shown: () => (
      <Picture label="A drawing as wide as its place" height={80}>
        {(width, height) => <Circle cx={width / 2} cy={height / 2} r={28} fill={HEX} />}
      </Picture>
    ),
  },
  {
    name: 'FillScreen',
    Shown: () => (
      <FillScreen title="A drawing for a client">
        {(whole) => (
          <Picture label="A drawing for a client" height={whole ?? 80} framed={whole === null}>
            {(width, height) => <Circle cx={width / 2} cy={height / 2} r={0.35 * height} fill={HEX} />}
          </Picture>
        )}
      </FillScreen>
    ),
  },
  { name: 'Progress', Shown: () => <Progress label="Importing" share={0.62} /> },
  { name: 'Steps', Shown: () => <Steps steps={['Fill past the hole.', 'Let air out until it just passes.']} /> },
  { name: 'RowLink', Shown: () => <RowLink href="/shelf" title="Hold tests" note="Tie one, measure it tomorrow" /> },
  {
    name: 'ActionRow',
    Shown: () => (
      <ActionRow title="Phone" note="used on Sat, 5 Dec, 18:00" action={{ title: 'Sign it out', onPress: nothing }} />
    ),
  },
  { name: 'WrongLine', Shown: () => <WrongLine wrong="This is not the code." /> },
  { name: 'UndoLine', Shown: () => <UndoLine sentence="Reading of 4 strokes deleted." onUndo={nothing} /> },
  {
    name: 'DeleteButton',
    Shown: () => <DeleteButton what="the pump" consequence="Its readings stay." onDelete={nothing} />,
  },
  {
    name: 'Sheet',
    Shown: held(false, (open, set) => (
      <>
        <Button title="Open a sheet" onPress={() => set(true)} />
        <Sheet title="Sheet" open={open} onClose={() => set(false)}>
          <Words>It rises from below, and Escape closes it.</Words>
        </Sheet>
      </>
    )),
  },
  {
    name: 'States',
    Shown: () => (
      <View>
        <Empty sentence="No pump yet." action={<Button title="Add a pump" look="primary" onPress={nothing} />} />
        <Loading what="the shelf" />
        <Failed sentence="The records are out of reach." onRetry={nothing} />
      </View>
    ),
  },
  {
    name: 'HeliumCard',
    Shown: () => (
      <HeliumCard
        title="If it is to float"
        volumeL={14}
        massG={3.2}
        place={{ tempC: 21, altitudeM: 0 }}
        lengths={lengths}
      />
    ),
  },
  { name: 'Cautions', Shown: () => <Cautions names={['latex', 'choking']} /> },
];
