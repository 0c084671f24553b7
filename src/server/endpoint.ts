import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import type { APIRoute } from 'astro';
import type { Kysely } from 'kysely';
import type { z } from 'zod';
import { CoreError } from '../core/error.ts';
import type { Database } from './db/schema.ts';
import { sharedDatabase } from './db/shared-database.ts';
import { problemResponse } from './problem.ts';

/** Largest body that is taken, in bytes. */
export const MAX_BODY = 4_000_000;

export interface Input<Body> {
  readonly db: Kysely<Database>;
  readonly params: Readonly<Record<string, string | undefined>>;
  readonly query: URLSearchParams;
  readonly body: Body;
  /** The time of the request, ISO 8601. */
  readonly now: string;
}

interface Endpoint<Body> {
  readonly body?: z.ZodType<Body>;
  readonly run: (input: Input<Body>) => Promise<unknown>;
}

/** One endpoint: limits and parses the body, runs, answers JSON (or the Response that was made) or a problem. */
export function endpoint<Body = undefined>({ body, run }: Endpoint<Body>): APIRoute {
  return async ({ request, params, url }) => {
    try {
      refuseForeign(request);
      const parsed = body === undefined ? (undefined as Body) : parseBody(body, await readBody(request));
      const db = await sharedDatabase();
      const now = new Date().toISOString();
      const result = await run({ db, params, query: url.searchParams, body: parsed, now });
      if (result instanceof Response) return result;
      return Response.json(result ?? null, { headers: { 'cache-control': 'no-store' } });
    } catch (error) {
      return problemResponse(error);
    }
  };
}

/** An endpoint that takes a file's bytes and answers with a Response of its own, or a problem. */
export function binaryEndpoint({
  most,
  run,
}: {
  /** Largest body that is taken, in bytes. */
  readonly most: number;
  readonly run: (bytes: Uint8Array) => Promise<Response>;
}): APIRoute {
  return async ({ request }) => {
    try {
      refuseForeign(request);
      refuseType(request, 'application/octet-stream');
      return await run(await readBytes(request, most));
    } catch (error) {
      return problemResponse(error);
    }
  };
}

/** Another site's page may read nothing here and must not write either. Source: W3C Fetch Metadata, Sec-Fetch-Site. */
function refuseForeign({ method, headers }: Request): void {
  const site = headers.get('sec-fetch-site');
  if (method !== 'GET' && (site === 'cross-site' || site === 'same-site'))
    throw new CoreError('request/foreign');
}

/** The answer to every method that an address does not know. */
export const otherMethods: APIRoute = () => problemResponse(new CoreError('request/method'));

/** A page elsewhere cannot send these types without asking first, so it cannot write here. */
function refuseType(request: Request, type: string): void {
  if (!request.headers.get('content-type')?.startsWith(type)) throw new CoreError('request/type', { type });
}

async function readBody(request: Request): Promise<unknown> {
  refuseType(request, 'application/json');
  const bytes = await readBytes(request, MAX_BODY);
  try {
    return JSON.parse(bytes.toString('utf8'));
  } catch {
    throw new CoreError('request/json');
  }
}

async function readBytes(request: Request, most: number): Promise<Buffer> {
  const tooLarge = new CoreError('request/too-large', { most });
  if (Number(request.headers.get('content-length')) > most) throw tooLarge;
  const pieces: Uint8Array[] = [];
  let size = 0;
  const body = request.body === null ? [] : Readable.fromWeb(request.body as NodeStream<Uint8Array>);
  for await (const piece of body as AsyncIterable<Uint8Array>) {
    size += piece.length;
    if (size > most) throw tooLarge;
    pieces.push(piece);
  }
  return Buffer.concat(pieces);
}

function parseBody<Body>(schema: z.ZodType<Body>, body: unknown): Body {
  const result = schema.safeParse(body);
  if (result.success) return result.data;
  const issue = result.error.issues[0];
  throw new CoreError('request/field', { path: issue?.path.join('.') ?? '', problem: issue?.message ?? '' });
}
