import type { Access } from '@leggero/contract';
import type { EventFile } from '@leggero/contract/eventFile';
import { SHARE_ROUTES, sharedSheetSchema, type SharedContent } from '@leggero/contract/share';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { doorAt, useAccess } from '@/data/access';
import { remember } from '@/data/place';
import { useHeldCopy } from '@/data/shares';
import { EventFileIn } from '@/features/event/EventFileIn';
import { ShareCard } from '@/features/recipe/sheets/ShareCard';
import { SharedPage } from '@/features/share/SharedPage';
import type { Paper } from '@/parts/paper/paper';
import { paperOf, sharedSheetOf } from '@/parts/paper/sharedSheet';

import { show, someRecords, type Records } from './studio';

const id = (n: number) => `00000000-0000-4000-8000-0000000092${String(n).padStart(2, '0')}`;
const CODE = 'K7WQX-AAAAA-BBBBB-CCCCC';
const EXPIRES = '2026-12-30T18:00:00.000Z';
const PNG = 'data:image/png;base64,AAAA';
const thing = (key: string) => ({ key, name: `Piece ${key}`, picture: PNG, wideMm: 900, highMm: 2000, footMm: 0 });
const PAPER: Paper = {
  title: 'Low Tide',
  subtitle: 'Sat, 5 Dec',
  blocks: [
    { kind: 'row', things: [thing('a'), thing('b')] },
    { kind: 'thing', thing: thing('a'), lines: ['35 in wide'], colours: [{ hex: '#3f7a4a', name: 'kelp green' }] },
    { kind: 'rows', rows: [] },
    { kind: 'ticks', lines: ['not for a client'] },
    { kind: 'words', look: 'body', text: 'Please mind.' },
  ],
};
const FILE: EventFile = {
  ...{ format: 'leggero-event', version: 1, models: [], chains: [], pieces: [], filled: [], recipe: [] },
  event: { name: 'Low Tide', daysStanding: 1 } as EventFile['event'],
};
const ALONE: Access = { state: 'alone', account: null, studios: [], at: id(1), mails: false };

const asked: { what: string; body: unknown }[] = [];
const studioWith = (answers: Record<string, { status?: number; body: unknown }>): Records => ({
  ...someRecords(),
  answers: (what) => {
    const answer = answers[what];
    if (answer) asked.push({ what, body: null });
    return answer;
  },
});
const opened = (content: SharedContent) => ({
  'POST /api/shares/open': { body: { studio: 'Saltmarsh', expiresAt: EXPIRES, content } },
});
const openAt = (hash: string) => window.history.replaceState(null, '', `/shared#${hash}`);

beforeEach(() => {
  asked.length = 0;
  useHeldCopy.setState({ file: null });
});
afterEach(() => {
  remember(null);
  useAccess.setState({ access: null });
});

describe('a client’s sheet, shared', () => {
  it('is not found by a link that lacks its end', () => {
    openAt('');
    show(<SharedPage />, studioWith({}));
    expect(screen.getByRole('alert').textContent).toMatch('This link lacks its end');
  });

  it('has each picture once, made smaller, and comes out as it went in, without what is not for a client', async () => {
    const made: [string, number][] = [];
    const sheet = await sharedSheetOf(PAPER, async (picture, px) => {
      made.push([picture, px]);
      return 'data:image/webp;base64,BBBB';
    });
    expect(sharedSheetSchema.parse(sheet)).toEqual(sheet);
    expect(made).toEqual([
      [PNG, 480],
      [PNG, 480],
    ]);
    expect(JSON.stringify(sheet)).not.toMatch(/not for a client|image\/png/);
    const small = (blocks: Paper['blocks']) =>
      JSON.parse(JSON.stringify(blocks).replaceAll(PNG, 'data:image/webp;base64,BBBB')) as unknown;
    expect(paperOf(sheet).blocks).toEqual(
      small(PAPER.blocks.filter(({ kind }) => kind !== 'rows' && kind !== 'ticks')),
    );
  });

  it('opens by its link for anybody, with who shared it and until when', async () => {
    openAt(CODE);
    show(
      <SharedPage />,
      studioWith(opened({ kind: 'sheet', sheet: await sharedSheetOf(PAPER, async (picture) => picture) })),
    );
    expect(await screen.findByRole('heading', { level: 1, name: 'Low Tide' })).toBeTruthy();
    expect(screen.getByText('35 in wide')).toBeTruthy();
    expect(screen.getByText(/^Shared by Saltmarsh, until Wed/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
    // The code stays in no history.
    expect(window.location.hash).toBe('');
    expect([doorAt(null, '/shared'), doorAt({ ...ALONE, state: 'out' }, '/shared')]).toEqual(['shared', 'shared']);
  });

  it('says so where it is over', async () => {
    openAt(CODE);
    const over = {
      status: 404,
      body: { type: 'about:blank', status: 404, title: 'What was shared by this link is over.' },
    };
    show(<SharedPage />, studioWith({ 'POST /api/shares/open': over }));
    expect((await screen.findByRole('alert')).textContent).toMatch('What was shared by this link is over.');
  });
});

describe('an event, shared with another studio', () => {
  it('is taken in by who has one, as a file is; others may keep it as one', async () => {
    openAt(CODE);
    useAccess.setState({ access: ALONE });
    const { unmount } = show(<SharedPage />, studioWith(opened({ kind: 'copy', file: FILE })));
    await userEvent.click(await screen.findByRole('button', { name: 'Take it into my studio' }));
    expect(useHeldCopy.getState().file?.event.name).toBe('Low Tide');
    unmount();
    show(<EventFileIn />, someRecords());
    expect(await screen.findByText(/^Low Tide: 0 pieces/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Take it in' })).toBeTruthy();
  });

  it('asks whoever is signed in nowhere to sign in', async () => {
    openAt(CODE);
    useAccess.setState({ access: { ...ALONE, state: 'out', at: null } });
    show(<SharedPage />, studioWith(opened({ kind: 'copy', file: FILE })));
    expect(await screen.findByText(/^Sign in to your studio/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take it into my studio' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Keep it as a file' })).toBeTruthy();
  });
});

describe('sharing', () => {
  const contents = { sheet: null, copy: async () => ({ kind: 'copy' as const, file: FILE }) };
  const share = { id: id(3), kind: 'sheet', eventId: id(2), expiresAt: EXPIRES };

  it('gives a link for as long as is chosen, lists what is shared of the event, and ends it', async () => {
    const answers = {
      'GET /api/shares': { body: [share, { ...share, id: id(4), eventId: id(9) }] },
      'POST /api/shares': { body: { code: CODE, expiresAt: EXPIRES } },
      [`DELETE /api/shares/${id(3)}`]: { status: 204, body: undefined },
    };
    show(<ShareCard eventId={id(2)} contents={contents} />, studioWith(answers));
    expect(screen.getByRole('button', { name: 'Share with the client' }).getAttribute('aria-disabled')).toBe('true');
    const items = await screen.findAllByRole('listitem');
    expect(items).toHaveLength(1);
    await userEvent.click(screen.getByRole('radio', { name: 'A week' }));
    await userEvent.click(screen.getByRole('button', { name: 'Share with another studio' }));
    const sheet = await screen.findByRole('dialog');
    expect(within(sheet).getByText(CODE)).toBeTruthy();
    await userEvent.keyboard('{Escape}');
    await userEvent.click(within(items[0]!).getByRole('button', { name: 'End it' }));
    await waitFor(() => expect(asked.map(({ what }) => what)).toContain(`DELETE /api/shares/${id(3)}`));
    expect(
      SHARE_ROUTES.share.request.safeParse({
        id: id(5),
        eventId: id(2),
        days: 91,
        content: { kind: 'copy', file: FILE },
      }).success,
    ).toBe(false);
  });

  it('is not for makers', () => {
    remember({ studioId: id(70), accountId: id(71), role: 'maker', eventId: null });
    show(<ShareCard eventId={id(2)} contents={contents} />, someRecords());
    expect(screen.queryByRole('button')).toBeNull();
  });
});
