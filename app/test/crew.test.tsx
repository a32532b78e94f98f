import { EVENT_DEFAULTS, layChanges, NO_ROWS, type Access, type NounName, type Role } from '@leggero/contract';
import type { Invitation, Member } from '@leggero/contract/crew';
import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import jsQR from 'jsqr';
import { Suspense } from 'react';

import { leave, may, settle, useAccess, useBarred } from '@/data/access';
import { here, inStudio, nameOf, remember, type Place } from '@/data/place';
import { write } from '@/data/outbox';
import { createQueryClient, RecordsProvider } from '@/data/records';
import { NOTHING_YET, useRecords } from '@/data/state';
import { AccountPage } from '@/features/crew/AccountPage';
import { ConfirmPage } from '@/features/crew/ConfirmPage';
import { CrewPage } from '@/features/crew/CrewPage';
import { Door } from '@/features/crew/Door';
import { HelpPage } from '@/features/crew/HelpPage';
import { JoinPage } from '@/features/crew/JoinPage';
import { NewPasswordPage } from '@/features/crew/NewPasswordPage';
import { SignInPage } from '@/features/crew/SignInPage';
import { BarredNotice } from '@/features/frame/BarredNotice';
import { maySee, placesFor } from '@/features/frame/places';
import { deviceText } from '@/wording/crew';

import { feedOf, someRecords, type Records } from './studio';

let begun = 0;
jest.mock('@/device/begin', () => ({ OPENED_AT: '/logbook', beginAnew: () => (begun += 1), isBegun: () => false }));

/** A device that has passkeys only where a test says so, and of which nobody ever gets one. */
const passkeys = { there: false };
jest.mock('@/device/passkey', () => ({
  hasPasskeys: () => passkeys.there,
  makePasskey: async () => null,
  signByPasskey: async () => null,
}));

const id = (n: number) => `00000000-0000-4000-8000-0000000081${String(n).padStart(2, '0')}`;
const [STUDIO_ID, ACCOUNT_ID, MEMBER_ID, EVENT_ID] = [id(1), id(2), id(3), id(4)];
const UNTIL = '2026-12-07T18:00:00.000Z';

const accessAs = (role: Role, by: Partial<Access> = {}): Access => ({
  state: 'in',
  account: { id: ACCOUNT_ID, name: 'Maren', signInName: 'maren', email: null, confirmed: false },
  studios: [
    {
      ...{ id: STUDIO_ID, name: 'Saltmarsh', memberId: MEMBER_ID, role },
      ...(role === 'helper' ? { eventId: EVENT_ID, until: UNTIL } : { eventId: null, until: null }),
    },
  ],
  at: STUDIO_ID,
  mails: false,
  ...by,
});
const OUT: Access = { state: 'out', account: null, studios: [], at: null, mails: false };
const EVENT = {
  ...{ ...EVENT_DEFAULTS, id: EVENT_ID, name: 'Low Tide', daysStanding: 1, demo: false },
  createdAt: '2026-11-20T10:00:00.000Z',
};
const placeAs = (role: Role): Place => ({
  ...{ studioId: STUDIO_ID, accountId: ACCOUNT_ID, role },
  eventId: role === 'helper' ? EVENT_ID : null,
});

// All later pages are one file of code, which takes a while to come on a busy machine.
beforeAll(() => import('@/chunks/pages'));

/** What was asked of the server, and what it answers: by method and path, without the studio. */
const asked: { what: string; studio: string | null; body: unknown }[] = [];
let answers: Record<string, { status?: number; body?: unknown }>;
beforeEach(() => {
  [asked.length, begun] = [0, 0];
  answers = {};
  globalThis.fetch = (async (url: string, { method, body }: RequestInit) => {
    const { pathname, searchParams } = new URL(url, 'http://here');
    const what = `${method} ${pathname}`;
    asked.push({ what, studio: searchParams.get('studio'), body: body && JSON.parse(String(body)) });
    const { status = 200, body: answer } = answers[what] ?? { status: 404, body: problem(404, 'none') };
    return { ok: status < 400, status, json: async () => answer } as Response;
  }) as typeof fetch;
});
afterEach(() => {
  remember(null);
  useAccess.setState({ access: null });
  useBarred.setState({ noun: null });
});

const problem = (status: number, title: string, fields?: object[]) => ({ type: 'about:blank', title, status, fields });
/** A page that is there before the app: with nothing of a studio. */
const bare = (page: React.ReactElement) =>
  render(
    <RecordsProvider client={createQueryClient()}>
      <Suspense>{page}</Suspense>
    </RecordsProvider>,
  );
/** A page over records, with a server that answers as a test has it. */
const over = (page: React.ReactElement, by: Partial<Records> = {}) => {
  const base = layChanges(NO_ROWS, feedOf({ ...someRecords(), ...by }));
  useRecords.setState({ ...NOTHING_YET, base, rows: base, filled: true, fresh: true, unkept: 'missing' });
  return bare(page);
};
const door = () => bare(<Door>the app itself</Door>);
const click = async (name: string | RegExp) => userEvent.click(await screen.findByRole('button', { name }));
const type = async (label: string, text: string) => userEvent.type(await screen.findByLabelText(label), text);
const bodyOf = (what: string) => asked.find((each) => each.what === what)?.body;

describe('the door', () => {
  it('lets whoever is at a machine of its own in, without a word', async () => {
    answers = { 'GET /api/access': { body: { ...OUT, state: 'alone', at: STUDIO_ID } } };
    door();
    await waitFor(() => expect(useAccess.getState().access?.state).toBe('alone'));
    expect(screen.getByText('the app itself')).toBeTruthy();
    expect(asked[0]!.studio).toBeNull();
  });

  it('stays open for whom this device was while nobody answers', async () => {
    remember(placeAs('maker'));
    answers = { 'GET /api/access': { status: 503, body: problem(503, 'away') } };
    door();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(screen.getByText('the app itself')).toBeTruthy();
  });

  it('asks who it is, says what is wrong beside its field, and begins anew for them', async () => {
    answers = {
      'GET /api/access': { body: OUT },
      'POST /api/sign-in': { status: 403, body: problem(403, 'no', [{ path: 'password', message: 'not together' }]) },
    };
    door();
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
    expect(screen.queryByText('the app itself')).toBeNull();
    await type('Name or e-mail', 'maren');
    await type('Password', 'no idea');
    await click('Sign in');
    expect(await screen.findByText('not together')).toBeTruthy();
    expect(begun).toBe(0);
    answers['POST /api/sign-in'] = { body: accessAs('planner') };
    await click('Sign in');
    await waitFor(() => expect(begun).toBe(1));
    // What would be tapped before that would be lost.
    expect(screen.queryByText('the app itself')).toBeNull();
    expect(bodyOf('POST /api/sign-in')).toEqual({ who: 'maren', password: 'no idea' });
    expect(JSON.parse(localStorage.getItem('leggero-place')!)).toEqual(placeAs('planner'));
  });

  it('tells how long to wait after many wrong passwords', async () => {
    answers = {
      'GET /api/access': { body: OUT },
      'POST /api/sign-in': { status: 429, body: problem(429, 'Too many wrong passwords: wait 8 s.') },
    };
    door();
    await type('Name or e-mail', 'maren');
    await type('Password', 'a guess');
    await click('Sign in');
    expect((await screen.findByRole('alert')).textContent).toBe('Too many wrong passwords: wait 8 s.');
  });

  it('of an open service asks for the code of its start', async () => {
    answers = {
      'GET /api/access': { body: { ...OUT, state: 'setUp' } },
      'POST /api/owner': { status: 403, body: problem(403, 'no', [{ path: 'code', message: 'not the code' }]) },
    };
    door();
    await type('Code of the start', 'K7WQX');
    await type('Your name', 'Maren');
    await type('Name to sign in with', 'ma ren');
    await type('Password', 'kelp');
    await click('Own this studio');
    expect(await screen.findByText(/Letters and digits/)).toBeTruthy();
    expect(screen.getAllByText(/8 characters or more/).length).toBeGreaterThan(0);
    expect(asked.some(({ what }) => what === 'POST /api/owner')).toBe(false);
    await userEvent.clear(screen.getByLabelText('Name to sign in with'));
    await type('Name to sign in with', 'maren');
    await type('Password', ' and roe');
    await click('Own this studio');
    expect(await screen.findByText('not the code')).toBeTruthy();
    const account = { name: 'Maren', signInName: 'maren', email: null, password: 'kelp and roe' };
    expect(bodyOf('POST /api/owner')).toEqual({ ...account, code: 'K7WQX' });
  });

  it('is shut to who works in no studio any more', async () => {
    answers = { 'GET /api/access': { body: accessAs('maker', { studios: [], at: null }) } };
    door();
    expect(await screen.findByRole('heading', { name: 'No studio, Maren' })).toBeTruthy();
  });
});

describe('an invitation', () => {
  it('is taken up by its link, whose code is in no address any more', async () => {
    window.history.replaceState(null, '', '/join#K7WQX-ABCDE');
    answers = {
      'POST /api/invitations/look': {
        body: { studio: 'Saltmarsh', name: 'Sprat', role: 'helper', event: 'Tidepool Night', until: UNTIL },
      },
      'POST /api/invitations/join': { body: accessAs('helper') },
    };
    bare(<JoinPage />);
    expect(await screen.findByRole('heading', { name: 'Join Saltmarsh' })).toBeTruthy();
    expect(window.location.hash).toBe('');
    expect(
      screen.getByText(/^As a helper at Tidepool Night, until .*: its recipe, its run and its site list\.$/),
    ).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Sprat');
    await type('Name to sign in with', 'sprat');
    await type('Password', 'barnacle rock');
    await click('Join Saltmarsh');
    await waitFor(() => expect(begun).toBe(1));
    const account = { name: 'Sprat', signInName: 'sprat', email: null, password: 'barnacle rock' };
    expect(bodyOf('POST /api/invitations/join')).toEqual({ code: 'K7WQX-ABCDE', account });
  });

  it('that is too old says so beside its code', async () => {
    answers = { 'POST /api/invitations/look': { status: 404, body: problem(404, 'This invitation is too old.') } };
    window.history.replaceState(null, '', '/join#');
    bare(<JoinPage />);
    await userEvent.clear(await screen.findByLabelText('Code'));
    await type('Code', 'k7wqx');
    await click('Look');
    expect(await screen.findByText('This invitation is too old.')).toBeTruthy();
  });
});

/** What a camera reads off a picture of dark squares, by a reader that is not the maker of it. */
function scanned(picture: Element): string | undefined {
  const scale = 4;
  const across = Number(picture.querySelector('svg')!.getAttribute('viewBox')!.split(' ')[2]);
  const size = scale * across;
  const pixels = new Uint8ClampedArray(4 * size * size).fill(255);
  const dark = picture.querySelector('path')!.getAttribute('d')!;
  for (const [, x, y] of dark.matchAll(/M(\d+) (\d+)h1v1h-1z/g))
    for (let i = 0; i < scale * scale; i += 1) {
      const row = scale * Number(y) + Math.floor(i / scale);
      const at = 4 * (row * size + scale * Number(x) + (i % scale));
      pixels.fill(0, at, at + 3);
    }
  return jsQR(pixels, size, size)?.data;
}

const member = (n: number, name: string, role: Role, by: Partial<Member> = {}): Member => ({
  ...{ id: id(20 + n), name, signInName: name.toLowerCase(), role, eventId: null, until: null },
  ...{ since: '2026-11-20T10:00:00.000Z', me: n === 0, ...by },
});
const MEMBERS = [member(0, 'Maren', 'owner'), member(1, 'Teal', 'maker')];
const INVITED: Invitation = {
  ...{ id: id(30), name: 'Sprat', role: 'planner', eventId: null, until: null },
  expiresAt: '2026-12-01T10:00:00.000Z',
};

describe('who works here', () => {
  const open = (role: Role) => {
    remember(placeAs(role));
    useAccess.setState({ access: accessAs(role) });
    over(<CrewPage />);
  };
  const answering = (more: typeof answers = {}) => {
    answers = { 'GET /api/members': { body: MEMBERS }, 'GET /api/invitations': { body: [INVITED] }, ...more };
  };

  it('is listed, and an owner invites: the code is shown as a picture, to read out and as a link', async () => {
    answering({
      'POST /api/invitations': { body: { code: 'K7WQX-ABCDE-FGHJK-MNPQR', expiresAt: UNTIL, mailed: false } },
    });
    open('owner');
    expect(await screen.findByText('Maren, you')).toBeTruthy();
    expect(await screen.findByText(/^Planner; the code is good until/)).toBeTruthy();
    await click('Invite someone');
    await type('Their name', 'Brine');
    await userEvent.click(screen.getByRole('radio', { name: /^Planner/ }));
    await click('Make the invitation');
    expect(await screen.findByText('K7WQX-ABCDE-FGHJK-MNPQR')).toBeTruthy();
    expect(scanned(screen.getByRole('img', { name: 'The link as a code to scan' }))).toBe(
      `${window.location.origin}/join#K7WQX-ABCDE-FGHJK-MNPQR`,
    );
    const { body, studio } = asked.find(({ what }) => what === 'POST /api/invitations')!;
    expect(body).toMatchObject({ name: 'Brine', role: 'planner', eventId: null, until: null });
    expect(studio).toBe(STUDIO_ID);
  });

  it('an owner makes something else of somebody, or ends it after asking once', async () => {
    const teal = `/api/members/${id(21)}`;
    answering({
      [`PATCH ${teal}`]: { body: member(1, 'Teal', 'planner') },
      [`DELETE ${teal}`]: { status: 409, body: problem(409, 'A studio keeps one owner.') },
    });
    open('owner');
    await click(/^Teal/);
    await userEvent.click(screen.getByRole('radio', { name: /^Planner/ }));
    await click('Save');
    await waitFor(() => expect(bodyOf(`PATCH ${teal}`)).toEqual({ role: 'planner', eventId: null, until: null }));
    await click(/^Teal/);
    await click('End');
    await click('End for good');
    expect(await screen.findByText('A studio keeps one owner.')).toBeTruthy();
  });

  it('a maker sees who, and changes nobody', async () => {
    answering();
    open('maker');
    expect(await screen.findByText('Teal')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Invite someone' })).toBeNull();
    expect(screen.queryByRole('button', { name: /^Teal/ })).toBeNull();
    expect(asked.map(({ what }) => what)).not.toContain('GET /api/invitations');
  });
});

describe('mails, where some go from the server', () => {
  const own = { id: ACCOUNT_ID, name: 'Maren', signInName: 'maren', email: 'maren@example.org', confirmed: false };
  const at = (page: string) => window.history.replaceState(null, '', page);

  it('take an invitation along, and where none was taken the code is given by hand', async () => {
    const given = { code: 'K7WQX-ABCDE-FGHJK-MNPQR', expiresAt: UNTIL };
    answers = {
      'GET /api/members': { body: MEMBERS },
      'GET /api/invitations': { body: [] },
      'POST /api/invitations': { body: { ...given, mailed: false } },
    };
    remember(placeAs('owner'));
    useAccess.setState({ access: accessAs('owner', { mails: true }) });
    over(<CrewPage />);
    await click('Invite someone');
    await type('Their name', 'Brine');
    await type('Their e-mail, if it should go by mail', 'brine at the quay');
    await click('Make the invitation');
    expect(await screen.findByText('This is no e-mail address.')).toBeTruthy();
    expect(bodyOf('POST /api/invitations')).toBeUndefined();
    await userEvent.clear(screen.getByLabelText(/^Their e-mail/));
    await type('Their e-mail, if it should go by mail', 'brine@example.org');
    await click('Make the invitation');
    expect(await screen.findByText(/^No mail could be sent to brine@example.org. Let Brine scan this/)).toBeTruthy();
    expect(bodyOf('POST /api/invitations')).toMatchObject({ name: 'Brine', email: 'brine@example.org' });
  });

  it('bring a link for a new password to who forgot theirs; where none go an owner gives a code', async () => {
    at('/');
    answers = { 'GET /api/access': { body: { ...OUT, mails: true } }, 'POST /api/new-password/mail': { status: 204 } };
    const { unmount } = door();
    expect(await screen.findByRole('button', { name: 'I forgot my password' })).toBeTruthy();
    unmount();
    at('/new-password');
    bare(<NewPasswordPage />);
    await type('Name or e-mail', 'maren');
    await click('Mail me a link');
    expect(await screen.findByText(/^If this account has an address that was confirmed/)).toBeTruthy();
    expect(bodyOf('POST /api/new-password/mail')).toEqual({ who: 'maren' });
  });

  it('do not ask for a name where the link has the code, and a code of another page is none', async () => {
    useAccess.setState({ access: { ...OUT, mails: true } });
    at('/join#K7WQX-ABCDE');
    const { unmount } = bare(<JoinPage />);
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Code').value).toBe('K7WQX-ABCDE'));
    unmount();
    at('/new-password');
    const without = bare(<NewPasswordPage />);
    expect((await screen.findByLabelText<HTMLInputElement>('Code')).value).toBe('');
    expect(screen.getByLabelText('Name or e-mail')).toBeTruthy();
    without.unmount();
    at('/new-password#ROE22-ABCDE');
    bare(<NewPasswordPage />);
    expect((await screen.findByLabelText<HTMLInputElement>('Code')).value).toBe('ROE22-ABCDE');
    expect(screen.queryByLabelText('Name or e-mail')).toBeNull();
  });

  it('ask whether an address is theirs, which a tap says', async () => {
    at('/confirm#K7WQX-ABCDE');
    const spent = 'This code was used, or is too old';
    answers = {
      'POST /api/account/address/confirm': {
        status: 403,
        body: problem(403, spent, [{ path: 'code', message: spent }]),
      },
      'GET /api/access': { body: accessAs('maker', { mails: true }) },
    };
    bare(<ConfirmPage />);
    await screen.findByRole('button', { name: 'Confirm it' });
    expect(asked).toEqual([]);
    await click('Confirm it');
    expect(await screen.findByText(spent)).toBeTruthy();
    answers['POST /api/account/address/confirm'] = { status: 204 };
    await click('Confirm it');
    expect(await screen.findByRole('heading', { name: 'It is your address' })).toBeTruthy();
    expect(bodyOf('POST /api/account/address/confirm')).toEqual({ code: 'K7WQX-ABCDE' });
  });

  it('go to an address that one sets by the password, again where it is the one there is', async () => {
    answers = {
      'GET /api/account/devices': { body: [] },
      'POST /api/account/address': { status: 403, body: problem(403, 'no', [{ path: 'password', message: 'not it' }]) },
    };
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker', { mails: true, account: own }) });
    over(<AccountPage />);
    expect(
      await screen.findByText('maren@example.org is not confirmed yet: a mail with a link went there.'),
    ).toBeTruthy();
    await type('Your password', 'kelp');
    await click('Mail the link again');
    expect(await screen.findByText('not it')).toBeTruthy();
    expect(bodyOf('POST /api/account/address')).toEqual({ email: 'maren@example.org', password: 'kelp' });
    const next = { ...own, email: 'quay@example.org', confirmed: false };
    answers['POST /api/account/address'] = { body: accessAs('maker', { mails: true, account: next }) };
    await userEvent.clear(screen.getByLabelText('Address'));
    await type('Address', 'quay@example.org');
    await click('Keep it');
    expect(
      await screen.findByText('quay@example.org is not confirmed yet: a mail with a link went there.'),
    ).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Your password').value).toBe('');
  });
});

describe('one’s own account', () => {
  it('signs another device out, and says why a password was not changed', async () => {
    const phone = { userAgent: 'Mozilla/5.0 (Linux; Android 15) Chrome/140', address: '203.0.113.7', here: false };
    answers = {
      'GET /api/account/devices': {
        body: [{ id: id(40), ...phone, since: '2026-11-20T10:00:00.000Z', usedAt: '2026-11-21T10:00:00.000Z' }],
      },
      [`DELETE /api/account/devices/${id(40)}`]: { status: 204 },
      'POST /api/account/password': { status: 403, body: problem(403, 'no', [{ path: 'before', message: 'not it' }]) },
    };
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    over(<AccountPage />);
    expect(await screen.findByText('Chrome on Android')).toBeTruthy();
    await click('Sign it out');
    await waitFor(() => expect(asked.map(({ what }) => what)).toContain(`DELETE /api/account/devices/${id(40)}`));
    await type('So far', 'kelp');
    await type('From now on', 'kelp and roe');
    await click('Change it');
    expect(await screen.findByText('not it')).toBeTruthy();
  });

  it('says that no passkey was made, or used, where the device gave none', async () => {
    passkeys.there = true;
    answers = {
      'GET /api/account/devices': { body: [] },
      'GET /api/account/passkeys': { body: [] },
      'GET /api/account/passkeys/options': { body: {} },
      'GET /api/sign-in/passkey': { body: {} },
    };
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    over(<AccountPage />);
    await click('Add a passkey of this device');
    expect(await screen.findByText(/^No passkey was made: /)).toBeTruthy();
    over(<SignInPage />);
    await click('Sign in by a passkey');
    expect(await screen.findByText(/^No passkey was used: /)).toBeTruthy();
    passkeys.there = false;
  });

  it('deletes the account by its password, and says where that is not it', async () => {
    answers = {
      'GET /api/account/devices': { body: [] },
      'POST /api/account/forget': {
        status: 403,
        body: problem(403, 'no', [{ path: 'password', message: 'This is not your password' }]),
      },
    };
    const page = bare(<AccountPage />);
    act(() => useAccess.setState({ access: accessAs('maker') }));
    await userEvent.type(await screen.findByLabelText('Your password, to delete the account'), 'kelp and roe');
    const ask = async () => {
      await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
      await userEvent.click(await screen.findByRole('button', { name: 'Delete for good' }));
    };
    await ask();
    expect(await screen.findByText('This is not your password')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Delete for good' })).toBeNull();
    expect(begun).toBe(0);
    answers['POST /api/account/forget'] = { status: 204 };
    await ask();
    await waitFor(() => expect(begun).toBe(1));
    expect(asked.filter(({ what }) => what === 'POST /api/account/forget').map(({ body }) => body)).toEqual([
      { password: 'kelp and roe' },
      { password: 'kelp and roe' },
    ]);
    page.unmount();
  });

  it('of a helper leaves the studio, after asking once; everyone else does so from the crew’s page', async () => {
    const removal = `DELETE /api/members/${MEMBER_ID}`;
    answers = {
      'GET /api/account/devices': { body: [] },
      [removal]: { status: 204 },
      'GET /api/access': { body: accessAs('helper', { studios: [], at: null }) },
    };
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    const { unmount } = over(<AccountPage />);
    await screen.findByText('Your studios');
    expect(screen.queryByRole('button', { name: 'Leave' })).toBeNull();
    unmount();
    remember(placeAs('helper'));
    useAccess.setState({ access: accessAs('helper') });
    over(<AccountPage />);
    await click('Leave');
    expect(asked.map(({ what }) => what)).not.toContain(removal);
    await click('Leave for good');
    await waitFor(() => expect(begun).toBe(1));
    expect(asked.map(({ what }) => what)).toContain(removal);
    expect(localStorage.getItem('leggero-place')).toBeNull();
  });

  it('leaves nothing of the studio behind when it signs out', async () => {
    answers = { 'GET /api/account/devices': { body: [] }, 'POST /api/sign-out': { status: 204 } };
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    over(<AccountPage />);
    await click('Sign out here');
    await waitFor(() => expect(begun).toBe(1));
    expect(localStorage.getItem('leggero-place')).toBeNull();
  });
});

describe('a part in a studio', () => {
  const nouns = (role: Role) => {
    remember(placeAs(role));
    return (['studio', 'piece', 'reading', 'tally'] as const satisfies readonly NounName[]).filter(may);
  };

  it('is what may be written', () => {
    expect(nouns('owner')).toEqual(['studio', 'piece', 'reading', 'tally']);
    expect(nouns('planner')).toEqual(['piece', 'reading', 'tally']);
    expect(nouns('maker')).toEqual(['reading', 'tally']);
    expect(nouns('helper')).toEqual(['tally']);
  });

  it('that may not keep something is told so, and nothing waits to be refused', async () => {
    remember(placeAs('maker'));
    over(<BarredNotice />);
    const before = useRecords.getState().waiting;
    await act(() => write({ change: 'studio', id: STUDIO_ID, by: { name: 'Elsewhere' } }));
    expect(await screen.findByText('As a maker you may try this, but only owners keep it.')).toBeTruthy();
    expect(useRecords.getState().waiting).toBe(before);
    await click('All right');
    expect(screen.queryByText(/only owners/)).toBeNull();
  });

  it('of a helper is one event by its recipe, its run and its site list', async () => {
    remember(placeAs('helper'));
    useAccess.setState({ access: accessAs('helper') });
    over(<HelpPage />, { events: [EVENT] });
    expect(await screen.findByRole('heading', { name: 'Low Tide' })).toBeTruthy();
    expect(screen.getByText(/^You help Saltmarsh here until /)).toBeTruthy();
    expect(screen.getAllByRole('link').map((link) => within(link).getAllByText(/./)[0]!.textContent)).toEqual([
      ...['Recipe', 'Inflation run', 'Site list'],
    ]);
    const at = `/builds/events/${EVENT_ID}`;
    const seen = [`${at}/run`, `${at}/site`, '/help', '/studio/account', at, `${at}/money`, '/shelf', '/logbook'];
    expect(seen.filter((path) => maySee('helper', path))).toEqual(seen.slice(0, 4));
    expect(placesFor('helper').map(({ title }) => title)).toEqual(['Event', 'Account']);
    expect(seen.every((path) => maySee('maker', path))).toBe(true);
  });

  it('that became another begins anew; the same does not', async () => {
    remember(placeAs('maker'));
    await settle(accessAs('maker'));
    expect(begun).toBe(0);
    await settle(accessAs('planner'));
    expect(begun).toBe(1);
    // Who has to sign in is perhaps the one it was: what waits here is theirs.
    await settle(OUT);
    expect([begun, useAccess.getState().access]).toEqual([1, OUT]);
  });

  it('that is being left shows no door meanwhile: what is tapped there would be lost', async () => {
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    let answer = (_sent: object | null) => {};
    const left = leave(new Promise((resolve) => (answer = resolve)));
    // The server shuts the device out before it has told so.
    const told = settle(OUT);
    await Promise.resolve();
    expect([begun, useAccess.getState().access]).toEqual([0, accessAs('maker')]);
    answer({});
    await told;
    expect([begun, useAccess.getState().access]).toEqual([1, accessAs('maker')]);
    await left;
  });

  it('that is not let go of stays, and learns what the server says', async () => {
    remember(placeAs('maker'));
    useAccess.setState({ access: accessAs('maker') });
    const left = leave(Promise.resolve(null));
    await settle(OUT);
    expect([begun, await left, useAccess.getState().access]).toEqual([0, false, OUT]);
    expect(nameOf(here())).toContain(STUDIO_ID);
  });

  it('that has ended leaves no studio to be in', async () => {
    remember(placeAs('helper'));
    await settle(accessAs('helper', { studios: [], at: null }));
    expect([begun, localStorage.getItem('leggero-place')]).toEqual([1, null]);
    // Begun anew in none, it stays there.
    await settle(accessAs('helper', { studios: [], at: null }));
    expect(begun).toBe(1);
  });

  it('in another studio that was joined is gone to', async () => {
    remember(placeAs('maker'));
    const [first] = accessAs('maker').studios;
    const joined = { ...first!, id: id(9), name: 'Next door' };
    await settle(accessAs('maker', { studios: [first!, joined], at: id(9) }));
    expect(JSON.parse(localStorage.getItem('leggero-place')!)).toMatchObject({ studioId: id(9) });
    expect(begun).toBe(1);
  });

  it('is known for as long as the page is open where a browser keeps nothing', async () => {
    const set = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await settle(accessAs('maker'));
    set.mockRestore();
    expect([begun, may('piece'), may('tally'), useAccess.getState().access?.state]).toEqual([0, false, true, 'in']);
  });

  it('has a store of its own on the device, and names its studio in each address', () => {
    expect(nameOf(null)).toBe('leggero');
    expect(inStudio('/api/changes?since=a')).toBe('/api/changes?since=a');
    remember(placeAs('maker'));
    expect(nameOf(placeAs('maker'))).toContain(STUDIO_ID);
    expect(inStudio('/api/changes?since=a')).toBe(`/api/changes?since=a&studio=${STUDIO_ID}`);
    expect(inStudio('/api/changes/live')).toBe(`/api/changes/live?studio=${STUDIO_ID}`);
  });
});

it.each([
  ['Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) Version/18.0 Mobile Safari/604.1', 'Safari on iPhone'],
  ['Mozilla/5.0 (Windows NT 10.0) Chrome/140.0 Safari/537.36 Edg/140.0', 'Edge on Windows'],
  [null, 'A browser'],
])('a device is told by its browser: %s', (userAgent, text) => expect(deviceText(userAgent)).toBe(text));
