import { counted } from './trade';

interface Learned {
  losses: { used: number; lost: number };
  /** Balloons whose pace was seen. */
  paced: number;
  stacks: number;
  garlands: number;
  holdTests: number;
}

interface LearnedRow {
  title: string;
  note: string;
  href: string;
}

/** What is learned, from how much, and where it stands. */
export function learnedRows({ losses, paced, stacks, garlands, holdTests }: Learned): LearnedRow[] {
  return [
    {
      title: 'Losses feed spares',
      note: fromOr(losses.used, 'balloon', 'as is usual, until losses are seen'),
      href: '/shelf/stock',
    },
    {
      title: 'Paces feed hours',
      note: fromOr(paced, 'balloon', 'the trade’s, until a station has run'),
      href: '/builds',
    },
    {
      title: 'Measured stacks feed packing',
      note: fromOr(stacks, 'stack', 'the trade’s, until a column is measured on its page'),
      href: '/builds',
    },
    {
      title: 'Measured garlands feed the foot rule',
      note: fromOr(garlands, 'garland', 'the trade’s, until a finished one is measured on its page'),
      href: '/builds',
    },
    {
      title: 'Sizes next morning feed hold',
      note: fromOr(holdTests, 'hold test', 'the trade’s, until a balloon is measured twice'),
      href: '/shelf',
    },
  ];
}

const fromOr = (count: number, one: string, otherwise: string): string =>
  count === 0 ? otherwise : `learned from ${counted(count, one)} of yours`;
