import { Turns } from '../src/db/turns';

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

describe('turns', () => {
  it('are taken one after another on the same thing, in the order in which they came, side by side on others', async () => {
    const turns = new Turns(10_000);
    const said: string[] = [];
    const work = (thing: string, name: string, ms: number) =>
      turns.take(thing, async () => {
        said.push(`${name} begins`);
        await pause(ms);
        said.push(`${name} ends`);
        return name;
      });
    const all = [work('a', 'first', 30), work('a', 'second', 1), work('b', 'aside', 5), work('a', 'third', 1)];
    expect(await Promise.all(all)).toEqual(['first', 'second', 'aside', 'third']);
    expect(said.filter((word) => !word.startsWith('aside'))).toEqual(
      ['first', 'second', 'third'].flatMap((name) => [`${name} begins`, `${name} ends`]),
    );
    expect(said.indexOf('aside ends')).toBeLessThan(said.indexOf('first ends'));
  });

  it('go on after one that fails, at once or later', async () => {
    const turns = new Turns(10_000);
    const failing = [
      turns.take('a', () => Promise.reject(new Error('at once'))),
      turns.take('a', () => pause(5).then(() => Promise.reject(new Error('later')))),
    ];
    const after = turns.take('a', () => Promise.resolve('through'));
    expect(await Promise.allSettled(failing)).toMatchObject([
      { reason: { message: 'at once' } },
      { reason: { message: 'later' } },
    ]);
    expect(await after).toBe('through');
  });

  it('that are waited for too long are given up, never taken later, and keep their order for the rest', async () => {
    const turns = new Turns(30);
    let busy = 0;
    let most = 0;
    const alone = async (ms: number) => {
      most = Math.max(most, (busy += 1));
      await pause(ms);
      busy -= 1;
    };
    const long = turns.take('a', () => alone(120));
    const late = jest.fn(() => alone(1));
    await expect(turns.take('a', late)).rejects.toMatchObject({ code: 'ER_LOCK_WAIT_TIMEOUT' });
    // The first is still at it: whoever comes now is given up too, or waits for it.
    await expect(turns.take('a', late)).rejects.toMatchObject({ code: 'ER_LOCK_WAIT_TIMEOUT' });
    await long;
    await turns.take('a', () => alone(1));
    expect(late).not.toHaveBeenCalled();
    expect(most).toBe(1);
  });

  it('are waited for as long as work goes on, however many come before', async () => {
    const turns = new Turns(60);
    const all = await Promise.all(
      Array.from({ length: 12 }, (_, at) => turns.take('a', () => pause(20).then(() => at))),
    );
    expect(all).toEqual([...Array(12).keys()]);
  });

  it('leave nothing behind', async () => {
    const turns = new Turns(10_000);
    await Promise.all(Array.from({ length: 20 }, (_, at) => turns.take(`thing ${at % 3}`, () => pause(1))));
    await pause(5);
    expect((turns as unknown as { lines: Map<string, unknown> }).lines.size).toBe(0);
  });
});
