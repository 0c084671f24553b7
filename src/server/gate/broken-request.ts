import type { Duplex } from 'node:stream';
import { CoreError } from '../../core/error.ts';
import { problemOf } from '../problem.ts';

/** What Node's reader of requests found, as a status. Source: Node.js, http, event "clientError". */
const STATUS: Readonly<Record<string, string>> = {
  HPE_HEADER_OVERFLOW: '431 Request Header Fields Too Large',
  ERR_HTTP_REQUEST_TIMEOUT: '408 Request Timeout',
};

/** Answers what is no request at all, in Vetro's own words and not in Node's. */
export function answerBroken(error: Error & { readonly code?: string }, socket: Duplex): void {
  if (error.code === 'ECONNRESET' || !socket.writable) {
    socket.destroy();
    return;
  }
  const status = STATUS[error.code ?? ''] ?? '400 Bad Request';
  const body = JSON.stringify(problemOf(new CoreError('request/broken')));
  socket.end(
    [
      `HTTP/1.1 ${status}`,
      'content-type: application/problem+json',
      'x-content-type-options: nosniff',
      `content-length: ${Buffer.byteLength(body)}`,
      'connection: close',
      '',
      body,
    ].join('\r\n'),
  );
}
