import { cleanup } from '@testing-library/react';

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
