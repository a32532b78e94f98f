import { readdirSync } from 'node:fs';
import path from 'node:path';

import { fireEvent, render, screen, within } from '@testing-library/react';

import { KitPage } from '@/features/kit/KitPage';
import { KIT } from '@/features/kit/parts';
import { DAY, EVENING } from '@/ui/palette';

/** What has no look of its own, what needs records or a form, and what the page itself is made of. */
const NOT_SHOWN = [
  ...[
    'BalloonChoice',
    'BalloonPick',
    'BatchPick',
    'CodeShown',
    'EditDetails',
    'Elsewhere',
    'FirstStepsCard',
    'FormField',
    'ListDetail',
    'MoneyField',
    'OtherPicture',
  ],
  ...[
    'Page',
    'PieceStill',
    'PlaceFields',
    'StandingChoice',
    'WithEvent',
    'WithEventWork',
    'Worked',
    'WithGauge',
    'WithModel',
    'charts',
  ],
];

describe('the page of the kit', () => {
  it('has every part of the kit', () => {
    const files = ['ui', 'parts']
      .flatMap((room) => readdirSync(path.join(__dirname, '../src', room)))
      .filter((name) => name.endsWith('.tsx'));
    const parts = files.map((name) => name.replace('.tsx', '')).filter((name) => !NOT_SHOWN.includes(name));
    expect(KIT.map(({ name }) => name).sort()).toEqual(parts.sort());
  });

  it('shows each by day and in the evening, as wide as a phone and wider', () => {
    render(<KitPage />);
    for (const name of ['Day, phone', 'Day, wide', 'Evening, phone', 'Evening, wide'])
      expect(within(screen.getByRole('region', { name })).getByText('Add reading')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'Phone' }));
    expect(screen.queryByRole('region', { name: 'Day, wide' })).toBeNull();
    expect(screen.getByRole('region', { name: 'Evening, phone' })).toBeTruthy();
  });

  it('draws in the colours of its own ground, whatever the page has', () => {
    render(<KitPage />);
    const glassOn = (name: string) => {
      const field = within(screen.getByRole('region', { name })).getByRole('textbox', { name: 'Search the shelf' });
      return field.parentElement!.querySelector('svg')!.getAttribute('stroke');
    };
    expect([glassOn('Day, phone'), glassOn('Evening, phone')]).toEqual([DAY.quiet, EVENING.quiet]);
  });
});
