import { QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen, waitFor } from '@testing-library/react';

import { useOutbox } from '@/api/outbox';
import { createQueryClient, useDelivery, usePumps } from '@/api/queries';

const pump = (id: string) => ({
  id,
  name: `Pump ${id.at(-1)}`,
  kind: 'hand',
  doseVolumeL: null,
  pressureKPa: null,
  demo: false,
});
const ids = ['a1', 'a2', 'a3'].map((end) => `5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c30${end}`);
const answer = (body: unknown, status = 200) => ({ ok: status < 400, status, json: async () => body }) as Response;

/** A server whose answers can be held back: it reads what it has when the question comes, and answers later. */
function slowServer() {
  const has = [pump(ids[0]!)];
  const held: (() => void)[] = [];
  let holding = false;
  globalThis.fetch = ((url: string, { method, body, signal }: RequestInit) => {
    if (method === 'POST') {
      const made = JSON.parse(String(body)) as ReturnType<typeof pump>;
      has.push({ ...pump(made.id), name: made.name });
      return Promise.resolve(answer(has.at(-1), 201));
    }
    const seen = answer([...has]);
    if (!holding) return Promise.resolve(seen);
    return new Promise<Response>((resolve, reject) => {
      held.push(() => resolve(seen));
      signal?.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError')));
    });
  }) as typeof fetch;
  return {
    hold: () => (holding = true),
    release: () => {
      holding = false;
      for (const go of held.splice(0)) go();
    },
    asked: () => held.length,
  };
}

function Pumps() {
  useDelivery();
  const pumps = usePumps().data;
  return <p>{pumps ? `Pumps: ${pumps.map(({ name }) => name).join(', ')}` : 'none yet'}</p>;
}

const show = () =>
  render(
    <QueryClientProvider client={createQueryClient()}>
      <Pumps />
    </QueryClientProvider>,
  );
const addPump = (id: string, name: string) =>
  act(() => {
    const { demo: _, ...body } = { ...pump(id), name };
    useOutbox.getState().add({ name: 'createPump', body } as never);
  });

beforeEach(() => useOutbox.setState({ waiting: [], stuck: false, refused: null }));

describe('an entry that arrives', () => {
  it('stays on the page while a first answer, asked for before it, is still on its way', async () => {
    const server = slowServer();
    server.hold();
    show();
    await waitFor(() => expect(server.asked()).toBe(1));
    // The server has answered already, without the new one; the answer is slow.
    addPump(ids[1]!, 'Barge pump');
    await waitFor(() => expect(useOutbox.getState().waiting).toEqual([]));
    await act(async () => server.release());
    await waitFor(() => expect(screen.getByText('Pumps: Pump 1, Barge pump')).toBeTruthy());
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
    expect(screen.getByText('Pumps: Pump 1, Barge pump')).toBeTruthy();
  });

  it('is on the page at once, and after the records were read anew', async () => {
    const server = slowServer();
    show();
    await waitFor(() => expect(screen.getByText('Pumps: Pump 1')).toBeTruthy());
    server.hold();
    addPump(ids[2]!, 'Foot pump');
    expect(screen.getByText('Pumps: Pump 1, Foot pump')).toBeTruthy();
    await waitFor(() => expect(useOutbox.getState().waiting).toEqual([]));
    expect(screen.getByText('Pumps: Pump 1, Foot pump')).toBeTruthy();
    await act(async () => server.release());
    await waitFor(() => expect(screen.getByText('Pumps: Pump 1, Foot pump')).toBeTruthy());
  });
});
