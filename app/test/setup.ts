import { TextEncoder } from 'node:util';

import React from 'react';
import { cleanup, configure } from '@testing-library/react';

// What is awaited may come late there, too: the library's own second is not enough.
configure({ asyncUtilTimeout: 60_000 });

// Browsers have it, the test page has not.
globalThis.TextEncoder ??= TextEncoder as typeof globalThis.TextEncoder;

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

  rememberStyles();

  afterEach(() => {
    cleanup();
    localStorage.clear();
  });
}

/**
 * Looking things up by role asks for the style of every element on the way up, and the test page works each one out
 * from all rules anew. Here the rules go by tag, classes and style alone, and nothing is inherited that the look-up
 * asks for, so elements alike in these look alike.
 */
function rememberStyles(): void {
  const compute = window.getComputedStyle.bind(window);
  const known = new Map<string, CSSStyleDeclaration>();
  window.getComputedStyle = (element, pseudo) => {
    if (pseudo) return compute(element, pseudo);
    const key = `${element.tagName} ${element.getAttribute('class')} ${element.getAttribute('style')}`;
    const style = known.get(key) ?? compute(element);
    known.set(key, style);
    return style;
  };
}

/*
 * React notes for its own messages where each of the first ten thousand elements of a second was made: half of what a
 * page takes to render here. Tests name their line themselves.
 */
const internals = (React as unknown as Record<string, Record<string, unknown> | undefined>)[
  '__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE'
];
if (internals) Object.defineProperty(internals, 'recentlyCreatedOwnerStacks', { get: () => Infinity, set: () => {} });
