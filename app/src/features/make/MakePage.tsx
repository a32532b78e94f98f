import type { Problem } from '@leggero/core';
import {
  SIZER_FORMS,
  type SizerForm,
  type SizerGeometry,
  type SizerGeometryProblem,
  type TemplateSheet,
} from '@leggero/core/template';
import { memo, useEffect, useRef } from 'react';
import { useWindowDimensions, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { NumberField } from '@/ui/NumberField';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { CUTTING_CAUTION } from '@/wording/cautions';
import { FORM_WORDS, makeProblemText } from '@/wording/make';
import { counted, percent } from '@/wording/trade';

import { Downloads } from './Downloads';
import { PrintedCard } from './PrintedCard';
import { ProposedSizes } from './ProposedSizes';
import { SheetPreview } from './SheetPreview';
import { useMake, type Asked, type MakeMeasures } from './useMake';

/**
 * A sizer of one's own: its form, its holes and its material; what will be cut, and the files for it. All of it
 * stands in the address.
 */
export function MakePage() {
  const { form, typed, unread, measures, sizes, geometry, ready, change } = useMake();
  const wide = useWide();
  const problem = geometry.ok ? null : geometry.problem;
  const largestMm = Math.max(measures.sheetWidthMm, measures.sheetHeightMm);
  const latest = useRef(NO_SHEETS);
  useEffect(() => {
    latest.current = geometry.ok ? geometry.value.sheets : NO_SHEETS;
  }, [geometry]);
  // Each part takes only what it shows: a key in one field draws that field and the picture anew, nothing else.
  return (
    <Page
      title="Make a sizer"
      subtitle="To cut by hand or by laser"
      back={wide ? undefined : '/gauges'}
      actions={<Downloads form={form} sheets={latest} none={!ready} />}
    >
      <Segmented label="Form" options={FORM_OPTIONS} value={form} onChange={(value) => change({ form: value })} />
      <Words look="quiet">{FORM_WORDS[form].means}</Words>
      {geometry.ok ? <Preview form={form} geometry={geometry.value} /> : null}
      <Sizes typed={typed} unread={unread} problem={problem} change={change} />
      <ProposedSizes form={form} sheetMm={largestMm} onPropose={(proposed) => change({ sizes: proposed })} />
      <Material form={form} measures={measures} problem={problem} change={change} />
      {ready ? <PrintedCard form={form} sizes={sizes} /> : null}
      <Words look="quiet">{CUTTING_CAUTION}</Words>
    </Page>
  );
}

const FORM_OPTIONS = SIZER_FORMS.map((value) => ({ value, title: FORM_WORDS[value].title }));
const NO_SHEETS: readonly TemplateSheet[] = [];

function Preview({ form, geometry }: { form: SizerForm; geometry: SizerGeometry }) {
  const window = useWindowDimensions();
  const { text } = useLengths();
  const { sheets, pieces, usedShare, box } = geometry;
  const joint = box
    ? ` A cube of ${text(box.sideMm)}, ${box.fingers} fingers of ${box.fingerMm.toFixed(1)} mm to an edge.`
    : '';
  return (
    <View className="gap-2">
      {sheets.map((sheet, i) => (
        <SheetPreview
          key={i}
          sheet={sheet}
          label={
            `Sheet ${i + 1} of ${sheets.length}, ${FORM_WORDS[form].title.toLowerCase()}: ` +
            `${sheet.names.join(', ')}, to scale`
          }
          mostHeight={window.height * (sheets.length > 1 ? 0.34 : 0.42)}
        />
      ))}
      <Words look="label" role="status">
        {`${counted(sheets.length, 'sheet')}, ${counted(pieces.length, 'piece')}; ` +
          `${percent(usedShare)} of what is begun goes into pieces.${joint}`}
      </Words>
    </View>
  );
}

type MakeProblem = Problem<SizerGeometryProblem> | null;

interface SizesProps {
  typed: string;
  unread: string | null;
  problem: MakeProblem;
  change: (by: Asked) => void;
}

function Sizes({ typed, unread, problem, change }: SizesProps) {
  const { unit, text } = useLengths();
  const error =
    unread !== null
      ? `“${unread}” cannot be read as a length.`
      : problem?.field?.startsWith('sizes')
        ? makeProblemText(problem, text)
        : undefined;
  return (
    <Field
      label={`Sizes, ${unit === 'in' ? 'inches' : 'cm'}`}
      hint="From small to large, with commas between them, such as 4, 5, 5 1/2, 6."
      value={typed}
      onChangeText={(sizes) => change({ sizes })}
      error={error}
    />
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

interface MaterialProps {
  form: SizerForm;
  measures: MakeMeasures;
  problem: MakeProblem;
  change: (by: Asked) => void;
}

function Material({ form, measures, problem, change }: MaterialProps) {
  const wide = useWide();
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
              change={change}
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
  problem: MakeProblem;
  change: (by: Asked) => void;
}

const Measure = memo(function Measure({ name, label, hint, value, problem, change }: MeasureProps) {
  const { text } = useLengths();
  return (
    <View className="gap-1">
      <NumberField
        label={label}
        hint={problem ? undefined : hint}
        value={value}
        range={NUMBERS}
        onChange={(next) => change({ [name]: String(next) })}
      />
      {problem ? (
        <Words look="error" role="alert">
          {makeProblemText(problem, text)}
        </Words>
      ) : null}
    </View>
  );
});

/** Which of them can be cut, the template itself says. */
const NUMBERS = { least: -1e6, most: 1e6, error: 'Write a number, such as 3 or 0.2.' };
