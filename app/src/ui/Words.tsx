import { Text as NativeText, type TextProps } from 'react-native';
import { extendTailwindMerge } from 'tailwind-merge';

/** Joins classes so that a later one replaces an earlier one of its kind, whatever their order in the style sheet. */
const merge = extendTailwindMerge({
  extend: { classGroups: { 'font-family': [{ font: ['title', 'figure', 'body', 'strong'] }] } },
});

const LOOKS = {
  title: 'font-title text-[26px] leading-8 text-ink',
  heading: 'font-title text-[17px] leading-6 text-ink',
  body: 'font-body text-[16px] leading-[23px] text-ink',
  strong: 'font-strong text-[16px] leading-[23px] text-ink',
  quiet: 'font-body text-[14px] leading-5 text-quiet',
  label: 'font-strong text-[14px] leading-5 text-ink',
  figure: 'font-figure text-[28px] leading-9 text-ink tabular-nums',
  error: 'font-strong text-[14px] leading-5 text-out',
} as const;

export interface WordsProps extends TextProps {
  look?: keyof typeof LOOKS;
  className?: string;
  /** Level of a heading, for those who hear the page. */
  level?: 1 | 2 | 3;
}

/** All text of the app, in one of a few looks. */
export function Words({ look = 'body', className = '', level, ...rest }: WordsProps) {
  const heading = level ? ({ role: 'heading', 'aria-level': level } as object) : {};
  return <NativeText {...heading} {...rest} className={merge(LOOKS[look], className)} />;
}
