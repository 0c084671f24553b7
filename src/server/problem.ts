import type { Problem } from '../contracts/design.ts';
import { CoreError, type Facts } from '../core/error.ts';
import { sentenceFor } from '../wording/sentences.ts';
import { databaseTrouble } from './db/database-trouble.ts';

/** Statuses other than 422 for wrong data. */
const STATUS: Readonly<Record<string, number>> = {
  'design/missing': 404,
  'range/missing': 404,
  'revision/missing': 404,
  'job/missing': 404,
  'job/not-kept': 410,
  'job/under-way': 409,
  'job/made-again': 503,
  'job/too-many': 503,
  'request/missing': 404,
  'backup/missing': 404,
  'opened/missing': 404,
  'design/stale': 409,
  'opened/taking': 409,
  'archive/too-large': 413,
  'backup/failed': 507,
  'request/too-large': 413,
  'request/broken': 400,
  'request/stalled': 408,
  'request/json': 400,
  'request/field': 400,
  'request/foreign': 403,
  'request/deep': 400,
  'request/passphrase': 401,
  'request/host': 421,
  'request/method': 405,
  'request/type': 415,
  'database/not-one': 503,
  'database/unusable': 503,
  'database/foreign': 503,
  'database/broken': 503,
  'database/newer': 503,
  'database/owned': 503,
  'database/locked': 503,
  'database/full': 507,
  'database/read-only': 507,
  'server/busy': 503,
  'server/too-long': 503,
  'server/too-much': 503,
};

/** An error as a page shows it. */
export function troubleFor(thrown: unknown): { sentence: string; status: number } {
  const error = databaseTrouble(thrown) ?? thrown;
  if (error instanceof CoreError) {
    return { sentence: sentenceFor(error.code, error.facts), status: statusOf(error) };
  }
  console.error(error);
  return { sentence: sentenceFor('server/fault', {}), status: 500 };
}

/** The HTTP status of what is wrong. */
export function statusOf({ code }: CoreError): number {
  return Object.hasOwn(STATUS, code) ? STATUS[code]! : 422;
}

/** An error as RFC 9457 problem details; one of our own is logged and told without its secrets. */
export function problemResponse(thrown: unknown): Response {
  const error = databaseTrouble(thrown) ?? thrown;
  if (error instanceof CoreError) return answer(statusOf(error), error.code, error.facts);
  console.error(error);
  return answer(500, 'server/fault', {});
}

/** What is wrong, as RFC 9457 has it. */
export function problemOf(error: CoreError): Problem & { readonly facts: Facts } {
  return problemOfCode(statusOf(error), error.code, error.facts);
}

function problemOfCode(status: number, code: string, facts: Facts): Problem & { readonly facts: Facts } {
  return { type: 'about:blank', title: code, status, detail: sentenceFor(code, facts), code, facts };
}

function answer(status: number, code: string, facts: Facts): Response {
  return new Response(JSON.stringify(problemOfCode(status, code, facts)), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}
