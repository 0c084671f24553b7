import type { MiddlewareHandler } from 'astro';

/**
 * Every page is asked for anew: a kept one would show an old document as saved. Its policy comes from Astro with the
 * hashes of its scripts; styles are let in wherever they stand, since parts of the interface put theirs in by script.
 */
export const onRequest: MiddlewareHandler = async (_, next) => {
  const response = await next();
  const { headers } = response;
  if (!headers.has('cache-control')) headers.set('cache-control', 'no-store');
  const policy = headers.get('content-security-policy');
  if (policy !== null) {
    headers.set(
      'content-security-policy',
      policy.replace(/style-src [^;]*;/, "style-src 'self' 'unsafe-inline';"),
    );
  }
  return response;
};
