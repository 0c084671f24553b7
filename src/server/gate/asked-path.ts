/** What a request asks for, in the only form in which it is decided and served. */
export interface Asked {
  readonly path: string;
  /** What follows the path: empty, or from the question mark on. */
  readonly query: string;
}

/** A segment of Vetro's addresses: unreserved characters, no dot segment. Source: RFC 3986, §2.3 and §3.3. */
const SEGMENT = /^(?!\.\.?$)[\w.~-]+$/;

/** Visible characters, no fragment. */
const QUERY = /^[!-"$-~]*$/;

/** Longest address, in characters. */
const LONGEST = 4000;

/**
 * Reads what a request asks for. Whatever could be read in more than one way (dots, empty segments, escapes, backslashes,
 * absolute addresses, a slash at the end) is no address of Vetro's, so that what is decided of a path is what is served.
 *
 * @param url  the target as it was sent
 * @returns    undefined where it is in no normal form
 */
export function askedPath(url: string | undefined): Asked | undefined {
  if (url === undefined || url.length > LONGEST || !url.startsWith('/')) return undefined;
  const mark = url.indexOf('?');
  const path = mark === -1 ? url : url.slice(0, mark);
  const query = mark === -1 ? '' : url.slice(mark);
  const segments = path.slice(1).split('/');
  const isPlain = path === '/' || segments.every((segment) => SEGMENT.test(segment));
  return isPlain && QUERY.test(query) ? { path, query } : undefined;
}
