import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { Frame } from '@/features/frame/Frame';
import { SearchPage } from '@/features/search/SearchPage';

import { goTo, visited } from './router';
import { MODEL_ID, show, SIZER_ID } from './studio';

beforeEach(() => {
  visited.length = 0;
  goTo('/search');
});

const field = () => screen.findByRole('textbox', { name: 'Search everything' });
const found = () => within(screen.getByRole('region', { name: 'Found' }));
const titles = () =>
  found()
    .getAllByRole('heading')
    .map(({ textContent }) => textContent);

describe('the search page', () => {
  it('lists every page before anything is typed', async () => {
    show(<SearchPage />);
    await field();
    await waitFor(() => expect(titles()).toEqual(['Pages and tools']));
    expect(found().getByRole('link', { name: /Make a sizer/ })).toBeTruthy();
  });

  it('finds by what the trade calls it, group by group, the best first', async () => {
    show(<SearchPage />);
    await userEvent.type(await field(), 'sizing box');
    await waitFor(() => expect(titles()[0]).toBe('Gauges'));
    await userEvent.click(found().getAllByRole('link')[0]!);
    expect(visited).toEqual([`/gauges/sizers/${SIZER_ID}`]);
  });

  it('opens the first with Enter, and keeps what was sought in the address', async () => {
    show(<SearchPage />);
    await userEvent.type(await field(), 'stuff fennimore');
    await waitFor(() => expect(titles()[0]).toBe('What you can do'));
    await userEvent.keyboard('{Enter}');
    expect(visited).toEqual([`/shelf/pair?outer=${MODEL_ID}`]);
  });

  it('begins with what the address says', async () => {
    goTo('/search', { q: 'laser' });
    show(<SearchPage />);
    expect(((await field()) as HTMLInputElement).value).toBe('laser');
    expect(await found().findByRole('link', { name: /Make a sizer/ })).toBeTruthy();
  });

  it('says that nothing is called so, and what to try', async () => {
    show(<SearchPage />);
    await userEvent.type(await field(), '🎈');
    expect(await found().findByText(/Nothing here is called “🎈”/)).toBeTruthy();
  });
});

describe('the key for it', () => {
  it('opens it from any page, but not while someone types', async () => {
    show(<Frame>{null}</Frame>);
    fireEvent.keyDown(document.body, { key: '/' });
    expect(visited).toEqual(['/search']);
    const input = document.body.appendChild(document.createElement('input'));
    fireEvent.keyDown(input, { key: '/' });
    input.remove();
    expect(visited).toHaveLength(1);
  });

  it('leads into the field where there is one', async () => {
    show(
      <Frame>
        <SearchPage />
      </Frame>,
    );
    const box = await field();
    box.blur();
    fireEvent.keyDown(document.body, { key: '/' });
    expect(document.activeElement).toBe(box);
    expect(visited).toEqual([]);
  });
});
