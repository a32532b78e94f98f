/** The cookies that an answer sets, as a request sends them back. */
export function cookieOf({ headers }) {
  return headers
    .getSetCookie()
    .map((line) => line.split(';')[0])
    .join('; ');
}
