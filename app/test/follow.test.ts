import { follow } from '@/data/follow';

/** A stream of the server's words that ends only when told to. */
class Stream {
  static last: Stream;
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  close = jest.fn();
  constructor() {
    Stream.last = this;
  }
}

const POLLS_MS = 60_000;
const onLine = jest.spyOn(navigator, 'onLine', 'get');
let told: jest.Mock<void, [number | null]>;
let end: () => void;

beforeEach(() => {
  jest.useFakeTimers();
  onLine.mockReturnValue(true);
  Object.assign(globalThis, { EventSource: Stream });
  told = jest.fn();
  end = follow(told);
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

describe('word of changes', () => {
  it('comes by the stream alone while that is open', () => {
    Stream.last.onopen!();
    Stream.last.onmessage!({ data: '41' });
    jest.advanceTimersByTime(POLLS_MS);
    expect(told.mock.calls).toEqual([[41]]);
  });

  it('is asked for again and again where the stream is cut', () => {
    Stream.last.onopen!();
    Stream.last.onerror!();
    expect(told.mock.calls).toEqual([[null]]);
    jest.advanceTimersByTime(POLLS_MS);
    expect(told.mock.calls.length).toBeGreaterThan(5);
  });

  it('is asked for without a network, though the stream has not ended', () => {
    Stream.last.onopen!();
    onLine.mockReturnValue(false);
    window.dispatchEvent(new Event('offline'));
    expect(told.mock.calls).toEqual([[null]]);
    jest.advanceTimersByTime(POLLS_MS);
    expect(told.mock.calls.length).toBeGreaterThan(5);
  });

  it('ends with all that it listens to', () => {
    end();
    window.dispatchEvent(new Event('online'));
    jest.advanceTimersByTime(POLLS_MS);
    expect(told).not.toHaveBeenCalled();
    expect(Stream.last.close).toHaveBeenCalled();
  });
});
