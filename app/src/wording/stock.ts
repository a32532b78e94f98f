import type { BagRecord, LossRecord, StockEntryRecord } from '@leggero/contract';

import type { LossesByWork, ModelStock } from '@/views/stock';
import type { StockLineProblem, StockPlan } from '@/views/stockFile';

import { dayText } from './day';
import { moneyText } from './money';
import { counted } from './trade';

/** What may happen to a stock: on a button, asked for, and in a ledger. */
export const CHANGE_WORDS: Record<StockEntryRecord['change'], { short: string; asked: string; done: string }> = {
  counted: { short: 'Counted', asked: 'How many are there', done: 'counted' },
  out: { short: 'Out', asked: 'How many went out', done: 'went out' },
  back: { short: 'Back', asked: 'How many came back', done: 'came back' },
  spoiled: { short: 'Spoiled', asked: 'How many were spoiled', done: 'were spoiled' },
};

/** What a stock says of itself. */
export function stockText({ there, unknown, countedAtMs, out, spoiled }: ModelStock): string {
  if (unknown) return 'Nobody counted what is there. Count it, or enter a bag.';
  if (there < 0) return `${-there} more went out than came in: the shelf knows better, so count it.`;
  const since =
    countedAtMs === null || countedAtMs === 0 ? '' : ` Counted last ${dayText(new Date(countedAtMs).toISOString())}.`;
  const gone = [out > 0 ? `${out} out` : '', spoiled > 0 ? `${spoiled} spoiled` : ''].filter((each) => each !== '');
  return `there${gone.length > 0 ? `; ${gone.join(', ')} since it was counted` : ''}${since && `.${since}`}`;
}

/** "2 bags of 50, batch K7, from the quay shop, 12.50 each". */
export function bagText({ bags, count, batch, shop, priceMinor, currency }: BagRecord, own: string): string {
  const price = priceMinor === null ? '' : `${moneyText(priceMinor, currency)} each`;
  const other = priceMinor !== null && currency !== own ? 'not in the studio’s money, so not added up' : '';
  return [`${counted(bags, 'bag')} of ${count}`, batch && `batch ${batch}`, shop && `from ${shop}`, price, other]
    .filter((part) => part !== '')
    .join(', ');
}

export function entryText({ change, count }: StockEntryRecord): string {
  return `${count} ${CHANGE_WORDS[change].done}`;
}

const AT_WORK = { inflate: 'in filling', build: 'in building' } as const;

export function lossText({ work, used, lost }: LossRecord): string {
  return `${lost} of ${used} lost ${AT_WORK[work]}`;
}

/** That the same was entered a moment ago. */
export function sameBagText({ bags, count, batch }: BagRecord): string {
  return `${counted(bags, 'bag')} of ${count}${batch ? `, batch ${batch},` : ''} came in today already: is this another?`;
}

/** How many of it are lost on the whole, and from what that is known. */
export function lawText(share: number, lost: LossesByWork): string {
  const used = Object.values(lost).reduce((sum, each) => sum + each.used, 0);
  const from = used === 0 ? 'as is usual, until losses are entered' : `learned from ${used} of yours and what is usual`;
  return `About ${(100 * share).toFixed(0)} in 100 do not survive from filling to the standing piece: ${from}.`;
}

/** What is known of a stock in a list. */
export function stockNote({ unknown, there, bagOf, eachMinor, shop }: ModelStock): string {
  if (unknown) return 'not counted';
  const parts = [there < 0 ? 'more went out than came in' : '', bagOf === null ? '' : `bags of ${bagOf}`];
  return (
    [...parts, shop, eachMinor === null ? 'no price yet' : ''].filter((part) => part !== '').join(' · ') || 'counted'
  );
}

/** What a stock file would add. */
export function stockPlanText({ writes, there, otherMoney, problems }: StockPlan, currency: string): string {
  if (problems.length > 0)
    return `${counted(problems.length, 'line')} cannot be used, so nothing is taken in. Put them right and choose the file again.`;
  const known = there === 0 ? '' : ` ${counted(there, 'line')} ${there === 1 ? 'is' : 'are'} there already.`;
  const money =
    otherMoney === 0
      ? ''
      : ` ${counted(otherMoney, 'line')} ${otherMoney === 1 ? 'is' : 'are'} not in ${currency}: kept, but not added up.`;
  return `${counted(writes.length, 'line')} to take in.${known}${money}`;
}

const LINE_PROBLEMS: Record<StockLineProblem['code'], string> = {
  'unknown-balloon': 'no such balloon is on the shelf (line, nominal size, kind, finish and colour tell)',
  'not-one-of': 'this is none of what it may be',
  'no-count': 'a whole number is needed',
  'no-money': 'money from 0 up is needed',
  'no-moment': 'a day is needed, as 2026-11-29',
  'no-currency': 'three letters are needed, as EUR',
  'too-long': 'this is too long',
};

/** Why a line of a stock file cannot be used: "Line 3, count: a whole number is needed." */
export function stockProblemText({ line, column, code }: StockLineProblem): string {
  return `Line ${line}, ${column}: ${LINE_PROBLEMS[code]}.`;
}
