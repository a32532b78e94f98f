import { painted } from '@/device/painted';

let visibility: jest.SpyInstance;
beforeEach(() => {
  jest.useFakeTimers();
  visibility = jest.spyOn(document, 'visibilityState', 'get').mockReturnValue('visible');
});
afterEach(() => {
  visibility.mockRestore();
  jest.useRealTimers();
});

/** Whether it has resolved by now. */
async function over(after: Promise<void>): Promise<boolean> {
  return Promise.race([after.then(() => true), Promise.resolve().then(() => Promise.resolve(false))]);
}

describe('what is painted', () => {
  it('is waited for: the frame that is due, and what follows it', async () => {
    const frames: FrameRequestCallback[] = [];
    jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => frames.push(frame));
    const after = painted();
    expect(await over(after)).toBe(false);
    frames[0]!(0);
    expect(await over(after)).toBe(false);
    jest.advanceTimersByTime(0);
    expect(await over(after)).toBe(true);
  });

  it('is not waited for longer than a moment, where no frame comes', async () => {
    jest.spyOn(globalThis, 'requestAnimationFrame').mockReturnValue(1);
    const after = painted();
    jest.advanceTimersByTime(199);
    expect(await over(after)).toBe(false);
    jest.advanceTimersByTime(1);
    expect(await over(after)).toBe(true);
  });

  it('is nothing on a page behind another', async () => {
    visibility.mockReturnValue('hidden');
    expect(await over(painted())).toBe(true);
  });
});
