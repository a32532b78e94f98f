import { SIZER_FORMS, type Problem, type SizerGeometryProblem } from '@leggero/core';
import { router } from 'expo-router';
import { useWindowDimensions, View } from 'react-native';

import { useLengths } from '@/api/lengths';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { NumberField } from '@/ui/NumberField';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { FORM_WORDS, makeProblemText } from '@/wording/make';
import { counted, percent } from '@/wording/trade';

import { Downloads } from './Downloads';
import { PrintedCard } from './PrintedCard';
import { ProposedSizes } from './ProposedSizes';
import { SheetPreview } from './SheetPreview';
import { useMake, type Make, type MakeMeasures } from './useMake';

/** A sizer of one's own: its form, its holes and its material; what will be cut, and the files for it. All of it stands in the address. */
export function MakePage() {
  const make = useMake();
  const wide = useWide();
  const { ready, form } = make;
  return (
    <Page
      title="Make a sizer"
      subtitle="To cut by hand or by laser"
      back={wide ? undefined : '/gauges'}
      actions={<Downloads make={make} />}
    >
      <Segmented
        label="Form"
        options={SIZER_FORMS.map((value) => ({ value, title: FORM_WORDS[value].title }))}
        value={form}
        onChange={(value) => router.setParams({ form: value })}
      />
      <Words look="quiet">{FORM_WORDS[form].means}</Words>
      <Preview make={make} />
      <Sizes make={make} />
      <Material make={make} />
      {ready ? <PrintedCard make={make} /> : null}
    </Page>
  );
}

function Preview({ make: { geometry, form } }: { make: Make }) {
  const window = useWindowDimensions();
  const { text } = useLengths();
  if (!geometry.ok) return null;
  const { sheets, pieces, usedShare, box } = geometry.value;
  const joint = box
    ? ` A cube of ${text(box.sideMm)}, ${box.fingers} fingers of ${box.fingerMm.toFixed(1)} mm to an edge.`
    : '';
  return (
    <View className="gap-2">
      {sheets.map((sheet, i) => (
        <SheetPreview
          key={i}
          sheet={sheet}
          label={`Sheet ${i + 1} of ${sheets.length}, ${FORM_WORDS[form].title.toLowerCase()}: ${sheet.names.join(', ')}, to scale`}
          mostHeight={window.height * (sheets.length > 1 ? 0.34 : 0.42)}
        />
      ))}
      <Words look="label" role="status">
        {`${counted(sheets.length, 'sheet')}, ${counted(pieces.length, 'piece')}; ${percent(usedShare)} of what is begun goes into pieces.${joint}`}
      </Words>
    </View>
  );
}

function Sizes({ make: { typed, unread, geometry, measures, form } }: { make: Make }) {
  const { unit, text } = useLengths();
  const problem = geometry.ok ? null : geometry.problem;
  const error =
    unread !== null
      ? `“${unread}” cannot be read as a length.`
      : problem?.field?.startsWith('sizes')
        ? makeProblemText(problem, text)
        : undefined;
  return (
    <View className="gap-2">
      <Field
        label={`Sizes, ${unit === 'in' ? 'inches' : 'cm'}`}
        hint="From small to large, with commas between them, such as 4, 5, 5 1/2, 6."
        value={typed}
        onChangeText={(sizes) => router.setParams({ sizes })}
        error={error}
      />
      <ProposedSizes form={form} sheetMm={Math.max(measures.sheetWidthMm, measures.sheetHeightMm)} />
    </View>
  );
}

const MEASURES: { name: keyof MakeMeasures; label: string; hint: string; boxOnly?: boolean }[] = [
  { name: 'sheetWidthMm', label: 'Sheet width, mm', hint: 'Wood, card or acrylic.' },
  { name: 'sheetHeightMm', label: 'Sheet height, mm', hint: 'Paper is tiled from it.' },
  { name: 'kerfMm', label: 'Kerf, mm', hint: 'What the cut burns away; 0 by hand.' },
  { name: 'bridgeMm', label: 'Bridge, mm', hint: 'Least between two holes.' },
  { name: 'thicknessMm', label: 'Thickness, mm', hint: 'Of the sheet.', boxOnly: true },
  { name: 'pitchMm', label: 'Finger, mm', hint: 'Wished length; it is fitted.', boxOnly: true },
];

function Material({ make: { form, measures, geometry } }: { make: Make }) {
  const wide = useWide();
  const problem = geometry.ok ? null : geometry.problem;
  const shown = MEASURES.filter(({ boxOnly }) => !boxOnly || form === 'box');
  return (
    <Card title="Material">
      <View className="flex-row flex-wrap gap-x-3 gap-y-2">
        {shown.map(({ name, label, hint }) => (
          <View key={name} className={wide ? 'w-[31%]' : 'w-[47%]'}>
            <Measure
              name={name}
              label={label}
              hint={hint}
              value={measures[name]}
              problem={problem?.field === name ? problem : null}
            />
          </View>
        ))}
      </View>
    </Card>
  );
}

interface MeasureProps {
  name: keyof MakeMeasures;
  label: string;
  hint: string;
  value: number;
  problem: Problem<SizerGeometryProblem> | null;
}

function Measure({ name, label, hint, value, problem }: MeasureProps) {
  const { text } = useLengths();
  return (
    <View className="gap-1">
      <NumberField
        label={label}
        hint={problem ? undefined : hint}
        value={value}
        range={{ least: -1e6, most: 1e6, error: 'Write a number, such as 3 or 0.2.' }}
        onChange={(next) => router.setParams({ [name]: String(next) })}
      />
      {problem ? (
        <Words look="error" role="alert">
          {makeProblemText(problem, text)}
        </Words>
      ) : null}
    </View>
  );
}
