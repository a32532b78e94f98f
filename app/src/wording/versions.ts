import { moneyText } from './money';
import { hoursText } from './recipe';

/** What of a version of an event is compared; null where it is not known. */
export interface VersionFigures {
  pieces: number;
  balloons: number;
  batches: number;
  bags: number;
  /** Of what is sold by its length. */
  lengthMm: number | null;
  handHours: number | null;
  hours: number | null;
  costMinor: number | null;
  priceMinor: number | null;
}

const TITLES: Record<keyof VersionFigures, string> = {
  pieces: 'Pieces',
  balloons: 'Balloons',
  batches: 'Batches',
  bags: 'Bags to carry',
  lengthMm: 'Length',
  handHours: 'Hours of hands',
  hours: 'From start to end',
  costMinor: 'Cost',
  priceMinor: 'Price',
};

/** Two versions line by line, with how far they are apart. */
export function versionRows(
  one: VersionFigures,
  other: VersionFigures,
  { currency, text }: { currency: string; text: (mm: number) => string },
): { title: string; cells: [string, string, string] }[] {
  const say = (field: keyof VersionFigures, figure: number | null): string => {
    if (figure === null) return '–';
    switch (field) {
      case 'lengthMm':
        return text(figure);
      case 'handHours':
      case 'hours':
        return hoursText(figure);
      case 'costMinor':
      case 'priceMinor':
        return moneyText(figure, currency);
      default:
        return String(figure);
    }
  };
  return (Object.keys(TITLES) as (keyof VersionFigures)[]).map((field) => {
    const [a, b] = [one[field], other[field]];
    const apart = a === null || b === null ? null : b - a;
    const sign = apart === null || apart === 0 ? '' : apart > 0 ? '+' : '−';
    const said = apart === null ? '–' : apart === 0 ? 'same' : `${sign}${say(field, Math.abs(apart))}`;
    return { title: TITLES[field], cells: [say(field, a), say(field, b), said] };
  });
}
