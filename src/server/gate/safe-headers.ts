/** What an answer that is no page may do: nothing at all. Source: W3C Content Security Policy Level 3. */
const NO_PAGE = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; sandbox";

/** What a worker may do, whose policy is that of its script: import its own parts, and ask this server for pictures. */
const SCRIPT = "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";

/**
 * Headers of every answer. A page's own policy, with the hashes of its scripts, takes the place of the one here.
 * Source: W3C Referrer Policy; WHATWG Fetch, "X-Content-Type-Options" and "Cross-Origin-Resource-Policy"; WHATWG HTML,
 * "Cross-Origin-Opener-Policy".
 */
export function safeHeaders(path: string): Readonly<Record<string, string>> {
  return {
    'content-security-policy': path.startsWith('/_astro/') ? SCRIPT : NO_PAGE,
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    // Not stricter: a form that is sent by a page without a referrer names no origin.
    'referrer-policy': 'same-origin',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
  };
}
