/** What an empty studio is led through, in this order. */
export const FIRST_STEPS = ['balloons', 'pump', 'sizer', 'reading', 'target'] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];

/** What each step is called, what it is about, and the verb for it. */
export const FIRST_STEP_WORDS: Record<FirstStep, { title: string; note: string; action: string }> = {
  balloons: { title: 'Your balloons', note: 'Sizes and lines on the shelf', action: 'Choose your balloons' },
  pump: { title: 'Your pump', note: 'What you fill with', action: 'Choose your pump' },
  sizer: { title: 'Your sizer', note: 'The holes you size with', action: 'Tap your holes' },
  reading: { title: 'The first balloon', note: 'One fill, one width', action: 'Fill the first balloon' },
  target: { title: 'The first target', note: 'What to fill it to, and how', action: 'See the first target' },
};
