let taken = { at: '', code: '' };

/**
 * What an address had behind its #: a code stands there, for that part is sent to no server and kept in no log. It is
 * taken out of the address once it was read, so that it does not lie in the browser's history. Asked again on the same
 * page, it answers the same: a page may be drawn twice before it is shown.
 */
export function takeHash(): string {
  const { hash, pathname, search } = window.location;
  if (hash) {
    taken = { at: pathname, code: hash.slice(1) };
    window.history.replaceState(window.history.state, '', `${pathname}${search}`);
  }
  return taken.at === pathname ? taken.code : '';
}
