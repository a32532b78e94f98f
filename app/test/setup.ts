import { cleanup } from '@testing-library/react';

// Whole pages are slow to draw on a machine that does other things beside.
jest.setTimeout(30_000);

if (typeof window !== 'undefined') {
  // The test page has no layout and no media queries of its own.
  Object.defineProperty(window, 'matchMedia', {
    writable: true,
    value: (query: string) => ({
      matches: query.includes('reduce'),
      media: query,
      addEventListener: () => {},
      removeEventListener: () => {},
      addListener: () => {},
      removeListener: () => {},
    }),
  });

  afterEach(() => {
    cleanup();
    localStorage.clear();
  });
}
