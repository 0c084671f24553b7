import type { IncomingMessage } from 'node:http';
import { CoreError } from '../../core/error.ts';
import { hostName } from './hosts.ts';

/** Header by which a program that is no browser says that it means to write; a page elsewhere cannot send it unasked. */
export const WRITER_HEADER = 'x-vetro';

/** Methods that change nothing. Source: RFC 9110, §9.2.1. */
const SAFE: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** Methods that Vetro answers at all, if only with a refusal. TRACE and CONNECT are not passed on. */
const KNOWN: readonly string[] = [...SAFE, 'POST', 'PUT', 'PATCH', 'DELETE'];

/**
 * Why a request is not let in, whoever sent it; undefined when it is.
 * A browser names the page that sends a request that writes (`Origin`); one of another origin, or none, writes nothing.
 */
export function refusalOf(
  { method = '', headers }: Pick<IncomingMessage, 'method' | 'headers'>,
  hosts: ReadonlySet<string>,
): CoreError | undefined {
  const host = hostName(headers.host);
  if (host === undefined || !hosts.has(host)) {
    return new CoreError('request/host', { host: (headers.host ?? '').slice(0, 100) });
  }
  if (!KNOWN.includes(method)) return new CoreError('request/method');
  if (SAFE.includes(method)) return undefined;
  const { origin } = headers;
  const own =
    origin === undefined
      ? headers[WRITER_HEADER] !== undefined
      : origin === `http://${headers.host}` || origin === `https://${headers.host}`;
  return own ? undefined : new CoreError('request/foreign');
}
