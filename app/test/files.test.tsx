import { STANDARD_TIERS } from '@leggero/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { fileName } from '@/device/download';
import { FilesPage } from '@/features/files/FilesPage';
import { ImportPreview } from '@/features/files/ImportPreview';
import { SheetPage } from '@/features/sheet/SheetPage';
import { ownFileText } from '@/wording/files';

import { goTo } from './router';
import { FRESH_ID, show } from './studio';

const report = {
  lines: 3,
  added: 2,
  known: 1,
  newModels: ['tarn satin 11'],
  newPumps: ['Skiff'],
  newCalibrations: 1,
  problems: [],
  problemCount: 0,
  askEncoding: false,
  written: false,
  sample: [
    { line: 2, model: 'Tarn Satin 11', pump: 'Skiff', dose: 2.5, widthMm: null, stopsMm: 228.6, passesMm: 241.3 },
  ],
};

describe('a file of readings', () => {
  it('shows what it would do before it does it', () => {
    show(<ImportPreview report={report} fileName="readings.csv" />);
    expect(
      screen.getByText('3 lines: 2 new, 1 there already. Makes 1 balloon, 1 inflator (Skiff), 1 calibration.'),
    ).toBeTruthy();
    expect(screen.getByRole('row').textContent).toBe('2Tarn Satin 112½9 to 9½ in');
  });

  it('names each line that cannot be used, and counts the rest', () => {
    const problems = [
      { line: 0, column: null, reason: 'The file is empty.' },
      { line: 7, column: 'width', reason: 'Too wide.' },
    ];
    show(<ImportPreview report={{ ...report, problems, problemCount: 5 }} fileName="readings.csv" />);
    expect(screen.getByText('5 problems: nothing is imported')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
      'File: The file is empty.',
      'Line 7, width: Too wide.',
    ]);
    expect(screen.getByText('and 3 more.')).toBeTruthy();
  });

  it('is chosen on a page of its own', () => {
    show(<FilesPage />);
    expect(screen.getByRole('button', { name: 'Choose a CSV file' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Import/ })).toBeNull();
  });

  it('of a newer version, or of another kind, is refused in plain words', () => {
    expect(ownFileText({ code: 'newer-version', version: 4 }, 'calibration')).toMatch('newer than this Leggero knows');
    expect(ownFileText({ code: 'not-json' }, 'calibration')).toMatch('not JSON');
    expect(ownFileText({ code: 'bad-field', path: 'pump.kind', message: 'Invalid option' }, 'calibration')).toMatch(
      '“pump.kind”',
    );
    expect(fileName('Fennimore Standard 11 kelp green', 'json')).toBe('fennimore-standard-11-kelp-green.json');
  });
});

describe('target sheets', () => {
  it('stand on a page of their own, of one balloon or of the whole shelf', async () => {
    goTo('/shelf/sheet');
    const { unmount } = show(<SheetPage />);
    expect(await screen.findByText('2 balloons')).toBeTruthy();
    unmount();
    goTo('/shelf/sheet', { model: FRESH_ID });
    show(<SheetPage />);
    expect(await screen.findByText('1 balloon')).toBeTruthy();
    expect(screen.getAllByRole('row')).toHaveLength(STANDARD_TIERS.length);
    globalThis.print = jest.fn();
    await userEvent.click(screen.getByRole('button', { name: 'Print' }));
    expect(globalThis.print).toHaveBeenCalledTimes(1);
  });
});
