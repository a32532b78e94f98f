import { comeAhead } from '@/device/ahead';

const named = () => [...document.scripts].map(({ src }) => new URL(src).pathname);

/** A browser that saves data, or does not. */
function browser(saveData: boolean) {
  Object.defineProperty(navigator, 'connection', { value: { saveData }, configurable: true });
}

describe('the code of other pages', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    document.head.innerHTML = '<meta name="leggero-pages" content="/one.js /two.js">';
  });
  afterEach(() => {
    jest.useRealTimers();
    document.head.innerHTML = '';
  });

  it('comes one after another, once the page was left alone', () => {
    browser(false);
    const end = comeAhead();
    jest.advanceTimersByTime(2000);
    expect(named()).toEqual([]);
    jest.advanceTimersByTime(2000);
    expect(named()).toEqual(['/one.js']);
    // The next is asked for when that has come, or will not.
    document.scripts[0]!.dispatchEvent(new Event('error'));
    jest.advanceTimersByTime(100);
    expect(named()).toEqual(['/one.js', '/two.js']);
    end();
  });

  it('does not come any more once it is ended, nor to a browser that saves data', () => {
    browser(false);
    comeAhead()();
    browser(true);
    comeAhead();
    jest.advanceTimersByTime(60_000);
    expect(named()).toEqual([]);
  });
});
