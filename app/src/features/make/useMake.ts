import { formatLength, parseLength, type Result, defaultStepMm } from '@leggero/core';
import {
  sizerGeometry,
  SIZER_FORMS,
  type SizerForm,
  type SizerGeometry,
  type SizerGeometryProblem,
  type TemplateSize,
} from '@leggero/core/template';

import { useLengths } from '@/data/lengths';
import type { Lengths } from '@/views/lengths';
import { useAddress, type Asked as AskedFor } from '@/ui/useAddress';

/** Measures of the material as the page holds them, mm. */
export interface MakeMeasures {
  sheetWidthMm: number;
  sheetHeightMm: number;
  kerfMm: number;
  bridgeMm: number;
  thicknessMm: number;
  pitchMm: number;
}

const FIRST: MakeMeasures = {
  sheetWidthMm: 800,
  sheetHeightMm: 600,
  kerfMm: 0.2,
  bridgeMm: 8,
  thicknessMm: 3,
  pitchMm: 20,
};
const FIRST_SIZES = { in: '4, 5, 6, 7, 8, 9, 10', cm: '10, 12.5, 15, 17.5, 20, 22.5, 25' } as const;

/** What may be asked for, as it stands in the address. */
type AskedName = 'form' | 'sizes' | keyof MakeMeasures;
export type Asked = AskedFor<AskedName>;

/** A template as it is asked for. */
export interface Make {
  form: SizerForm;
  /** As typed. */
  typed: string;
  /** What of it cannot be read; none where all can. */
  unread: string | null;
  measures: MakeMeasures;
  sizes: TemplateSize[];
  geometry: Result<SizerGeometry, SizerGeometryProblem>;
  /** All of it can be read and cut. */
  ready: boolean;
  change: (by: Asked) => void;
}

/** The template that the address asks for, computed anew with every change of it. */
export function useMake(): Make {
  const [params, change] = useAddress<AskedName>();
  const lengths = useLengths();
  const form = SIZER_FORMS.find((each) => each === params.form) ?? 'plate';
  const typed = params.sizes ?? FIRST_SIZES[lengths.unit === 'in' ? 'in' : 'cm'];
  const key = Object.keys(FIRST)
    .map((name) => params[name as keyof MakeMeasures] ?? '')
    .join(' ');
  const { unit } = lengths;
  const read = readSizes(typed, { unit });
  const workOut = () => {
    const parts = key.split(' ');
    const measures = Object.fromEntries(
      Object.entries(FIRST).map(([name, first], i) => [name, parts[i] === '' ? first : Number(parts[i])]),
    ) as unknown as MakeMeasures;
    return { measures, geometry: sizerGeometry({ form, sizes: read.sizes, ...measures }) };
  };
  const made = workOut();
  const ready = made.geometry.ok && read.unread === null;
  return { form, typed, ...read, ...made, ready, change };
}

/** Sizes as people write them, with commas between; labels are engraved, so fractions are spelled out. */
export function readSizes(
  typed: string,
  { unit }: Pick<Lengths, 'unit'>,
): { sizes: TemplateSize[]; unread: string | null } {
  const sizes: TemplateSize[] = [];
  // Centimetres may have a decimal comma: there one between sizes has a space after it.
  const parts = typed.split(unit === 'in' ? /[;,]/ : /;|,\s/).map((part) => part.trim());
  for (const part of parts.filter((each) => each !== '')) {
    const parsed = parseLength({ text: part, unit });
    if (!parsed.ok) return { sizes, unread: part };
    sizes.push({ label: labelOf(parsed.value, unit), widthMm: parsed.value });
  }
  return { sizes, unread: null };
}

const SPELLED: Record<string, string> = {
  '⅛': '1/8',
  '¼': '1/4',
  '⅜': '3/8',
  '½': '1/2',
  '⅝': '5/8',
  '¾': '3/4',
  '⅞': '7/8',
};

/** "9 1/2" for inches, "24.1" for centimetres: signs that a cutter engraves. */
export function labelOf(mm: number, unit: Lengths['unit']): string {
  const text = formatLength({ mm, unit, step: defaultStepMm(unit) });
  return text
    .replace(/\s*(in|cm|mm)$/, '')
    .replace(/\.0$/, '')
    .replace(/([⅛¼⅜½⅝¾⅞])/, (_, glyph: string) => ` ${SPELLED[glyph]}`)
    .trim();
}
