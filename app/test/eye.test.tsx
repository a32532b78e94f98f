import type { EyeCheckRecord } from '@leggero/contract';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { KnowledgeProvider } from '@/data/knowledge';
import { createQueryClient, RecordsProvider } from '@/data/records';
import { take } from '@/data/replica';
import { EyePage } from '@/features/eye/EyePage';
import { EyeRunPage } from '@/features/eye/EyeRunPage';
import { EyeStartPage } from '@/features/eye/EyeStartPage';
import { StudiesPage } from '@/features/study/StudiesPage';
import { StudyPage } from '@/features/study/StudyPage';

import { goTo, visited } from './router';
import { answer, CREW_ID, done, lastDone, MODEL_ID, OWNER_ID, show, someRecords } from './studio';

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const EYE_ID = '00000000-0000-4000-8000-000000000701';
const STUDY_ID = '00000000-0000-4000-8000-000000000801';
const uuid = (n: number) => `00000000-0000-4000-8000-0000000009${String(n).padStart(2, '0')}`;
const at = (n: number) => new Date(Date.UTC(2026, 10, 20, 12, n)).toISOString();

function eyeCheck(widthsMm: (number | null)[], more: Partial<EyeCheckRecord> = {}): EyeCheckRecord {
  return {
    id: EYE_ID,
    mode: 'one',
    personId: OWNER_ID,
    secondPersonId: null,
    modelId: MODEL_ID,
    targetMm: 254,
    size: widthsMm.length,
    startedAt: at(0),
    demo: false,
    balloons: widthsMm.map((widthMm, position) => ({
      id: uuid(position + (more.id ? 60 : 0)),
      eyeCheckId: more.id ?? EYE_ID,
      position,
      widthMm,
      filledAt: at(position),
    })),
    ...more,
  };
}
function open(check: EyeCheckRecord) {
  show(<EyeRunPage eyeCheckId={EYE_ID} />, {
    ...someRecords(),
    session: { personId: OWNER_ID },
    eyeChecks: [check],
  });
}

describe('an eye is tested', () => {
  it('is started for one, two, or two at once', async () => {
    goTo('/gauges/eye/new', { person: OWNER_ID });
    show(<EyeStartPage />);
    await screen.findByText('Start an eye check');
    await userEvent.click(await screen.findByRole('radio', { name: 'Two people' }));
    await press('Start');
    expect(lastDone()).toMatchObject({
      put: 'eyeCheck',
      row: { mode: 'two', personId: OWNER_ID, secondPersonId: CREW_ID, size: 12 },
    });
    expect(visited.at(-1)).toMatch(/^\/gauges\/eye\//);
  });

  it('fills first, each tap kept at once, then measures in the order filled', async () => {
    open(eyeCheck([null], { size: 2 }));
    await screen.findByText('Maren’s eye');
    await press('Filled');
    expect(lastDone()).toMatchObject({ put: 'eyeBalloon', row: { position: 1, widthMm: null } });
    await screen.findByText('Now measure them');
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Tape around' }), { key: 'ArrowUp' });
    await press('Keep this width');
    expect(lastDone()).toMatchObject({ change: 'eyeBalloon', id: uuid(0) });
    await press('Keep this width');
    await screen.findByText('What the eye did');
    expect(done()).toHaveLength(3);
  });

  it('is read anew when a width arrives while it was being read for the first time', async () => {
    const [old, told] = [eyeCheck([254, null]), eyeCheck([254, 250])];
    show(<></>, { ...someRecords(), session: { personId: OWNER_ID }, eyeChecks: [told] }).unmount();
    const usual = globalThis.fetch;
    let answerFirst = (): void => undefined;
    let asked = 0;
    globalThis.fetch = ((url: string, init: RequestInit) => {
      if (!url.endsWith(EYE_ID) || (asked += 1) > 1) return usual(url, init);
      return new Promise((resolve, reject) => {
        answerFirst = () => resolve(answer(200, old));
        init.signal?.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError')));
      });
    }) as typeof fetch;
    render(
      <RecordsProvider client={createQueryClient()}>
        <KnowledgeProvider>
          <EyeRunPage eyeCheckId={EYE_ID} />
        </KnowledgeProvider>
      </RecordsProvider>,
    );
    await waitFor(() => expect(asked).toBe(1));
    const width = { change: 'eyeBalloon' as const, id: uuid(1), by: { widthMm: 250 } };
    await act(() => take({ done: [{ key: uuid(99), writes: [width], problem: null }] }));
    await act(async () => answerFirst());
    expect(await screen.findByText('What the eye did')).toBeTruthy();
    expect(asked).toBe(2);
  });

  it('fills a pair with one tap', async () => {
    open(eyeCheck([], { mode: 'pairs', size: 4 }));
    await screen.findByText('Maren’s eye');
    await press('Both filled');
    expect(done().map((write) => 'put' in write && write.put === 'eyeBalloon' && write.row.position)).toEqual([0, 1]);
  });

  it('names the kinds of work for which the eye is enough', async () => {
    open(eyeCheck([253.2, 254.1, 254.8, 253.9, 254.4, 253.5, 254.2, 254.9, 253.8, 254.3]));
    await screen.findByText('This eye is enough for every kind of work.');
    expect(screen.getAllByText('eye is enough')).toHaveLength(4);
    expect(screen.getByText(/On the target as far as this tells/)).toBeTruthy();
  });

  it('tells a wide eye to size them for exact work', async () => {
    open(eyeCheck([243, 262, 250, 266, 248, 259, 241, 263, 255, 247, 268, 252]));
    await screen.findByText(/Size every balloon for linking work and classic work/);
    expect(screen.getByRole('img', { name: /in the order filled, against 10 in/ })).toBeTruthy();
  });

  it('compares two people, and says nothing of one balloon', async () => {
    open(eyeCheck([254, 255, 253, 254, 262, 263, 261, 262], { mode: 'two', secondPersonId: CREW_ID, size: 4 }));
    await screen.findByText(/Jory fills 5\/16 in larger/);
    open(eyeCheck([254]));
    await screen.findByText(/One balloon says nothing of a spread/);
  });

  it('takes the last tap back', async () => {
    open(eyeCheck([254, null]));
    await screen.findByText('Now measure them');
    fireEvent.keyDown(window, { key: 'u' });
    expect(lastDone()).toMatchObject({ change: 'eyeBalloon', id: uuid(0), by: { widthMm: null } });
  });
});

describe('a history by eye', () => {
  it('is shut until its person or the owner opens it', async () => {
    goTo('/gauges/eye', { person: CREW_ID });
    show(<EyePage />);
    await screen.findByText(/It opens with Jory’s PIN, or the owner’s/);
    await press('I am Jory');
    expect(screen.getByRole('textbox', { name: 'Someone to add' })).toBeTruthy();
    expect(screen.getByText('Jory’s PIN')).toBeTruthy();
  });

  it('shows sessions to the owner, with how they went from one to the next', async () => {
    goTo('/gauges/eye', { person: OWNER_ID });
    const sessions = [
      eyeCheck([250, 258, 252, 260]),
      eyeCheck([254, 255, 253, 256], { id: uuid(50), startedAt: '2026-11-22T12:00:00.000Z' }),
    ];
    show(<EyePage />, { ...someRecords(), session: { personId: OWNER_ID }, eyeChecks: sessions });
    await screen.findByText('From session to session');
    expect(screen.getAllByText(/One person, 4 balloons/)).toHaveLength(2);
    expect(screen.getByText(/Open as Maren, the owner/)).toBeTruthy();
  });

  it('takes a new name, and refuses none', async () => {
    goTo('/gauges/eye');
    show(<EyePage />);
    await screen.findByText('People');
    await press('Add');
    expect(screen.getByRole('alert').textContent).toMatch(/1 to 80 characters/);
    await userEvent.type(screen.getByRole('textbox', { name: 'Someone to add' }), 'Pell');
    await press('Add');
    expect(lastDone()).toMatchObject({ put: 'person', row: { name: 'Pell' } });
  });
});

describe('a study of the sizing', () => {
  const study = (widths: number[]) => ({
    id: STUDY_ID,
    subject: 'The 9 hole',
    people: ['Maren', 'Jory'],
    balloons: 2,
    repeats: 2,
    startedAt: at(0),
    demo: false,
    widths: widths.map((widthMm, i) => ({
      id: uuid(i),
      studyId: STUDY_ID,
      balloon: i % 2,
      person: Math.floor(i / 2) % 2,
      repeat: Math.floor(i / 4),
      widthMm,
      takenAt: at(i),
    })),
  });
  const openStudy = (widths: number[]) =>
    show(<StudyPage studyId={STUDY_ID} />, { ...someRecords(), studies: [study(widths)] });

  it('is started with what is studied and two people or more', async () => {
    show(<StudiesPage />);
    await screen.findByText('A new study');
    await press('Start the study');
    expect(screen.getByRole('alert').textContent).toMatch(/what is studied/);
    await userEvent.type(screen.getByRole('textbox', { name: 'What is studied' }), 'The 9 hole');
    await press('Start the study');
    expect(screen.getByRole('alert').textContent).toMatch(/Two people or more/);
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Maren' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Jory' }));
    await press('Start the study');
    expect(done()).toMatchObject([
      { put: 'study', row: { subject: 'The 9 hole', balloons: 5, repeats: 2 } },
      { put: 'studyPerson', row: { position: 0, name: 'Maren' } },
      { put: 'studyPerson', row: { position: 1, name: 'Jory' } },
    ]);
  });

  it('asks for the next width, round by round, and names what is missing', async () => {
    openStudy([228, 235, 231]);
    await screen.findByText(/Missing next: Jory, first time, balloon 2/);
    await userEvent.type(screen.getByRole('textbox', { name: 'Width' }), 'nine');
    await press('Keep');
    expect(screen.getByRole('alert').textContent).toMatch(/cannot be read/);
    await userEvent.clear(screen.getByRole('textbox', { name: 'Width' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Width' }), '238 mm');
    await press('Keep');
    expect(lastDone()).toMatchObject({
      put: 'studyWidth',
      row: { balloon: 1, person: 1, repeat: 0, widthMm: expect.closeTo(238, 6) },
    });
    await screen.findByText(/Missing next: Maren, second time, balloon 1/);
  });

  it('says in plain words where the spread comes from', async () => {
    openStudy([228, 235, 231, 238, 228.2, 235.1, 231.2, 237.9]);
    await screen.findByText(
      /comes from how Maren and Jory read it: (Maren reads 1\/16 in smaller|Jory reads 1\/16 in larger)/,
    );
    expect(screen.getByRole('img', { name: /Shares of the variance: Repeatability/ })).toBeTruthy();
    await waitFor(() => expect(screen.queryByText(/Missing next/)).toBeNull());
  });
});
