import type { APIRoute } from 'astro';
import type { Kysely } from 'kysely';
import type { z } from 'zod';
import type { Design } from '../core/design/design-schema.ts';
import { fieldFacts } from '../core/design/field-facts.ts';
import { CoreError } from '../core/error.ts';
import { bodyBytes } from './body-bytes.ts';
import { bodyOf, bodyWithDesign } from './body-with-design.ts';
import type { Database } from './db/schema.ts';
import { problemResponse } from './problem.ts';
import { sharedStore } from './shared-store.ts';
import type { Store } from './store.ts';
import { LONG } from './work/read-stored.ts';
import { sharedPools } from './work/shared-pools.ts';

/** Largest body that is taken, in bytes. */
export const MAX_BODY = 4_000_000;

export interface Input<Body> {
  readonly db: Kysely<Database>;
  readonly store: Store;
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
  return routeOf({
    parse: async (request) =>
      body === undefined ? (undefined as Body) : parseBody(body, bodyOf(await readText(request))),
    run,
  });
}

/** An endpoint whose body carries a design; a long one is read in a thread, so that nobody else waits for it. */
export function designEndpoint<Body extends { readonly document: unknown }>({
  body,
  run,
}: {
  readonly body: z.ZodType<Body>;
  readonly run: (input: Input<Omit<Body, 'document'> & { readonly document: Design }>) => Promise<unknown>;
}): APIRoute {
  return routeOf({
    parse: async (request) => {
      const text = await readText(request);
      const read =
        text.length <= LONG ? bodyWithDesign(text) : JSON.parse(await sharedPools().readBody(text));
      return parseBody(body, read) as Omit<Body, 'document'> & { readonly document: Design };
    },
    run,
  });
}

function routeOf<Body>({
  parse,
  run,
}: {
  readonly parse: (request: Request) => Promise<Body>;
  readonly run: (input: Input<Body>) => Promise<unknown>;
}): APIRoute {
  return async ({ request, params, url }) => {
    try {
      const body = await parse(request);
      const store = await sharedStore();
      const now = new Date().toISOString();
      const result = await run({ db: store.db, store, params, query: url.searchParams, body, now });
      if (result instanceof Response) return result;
      return Response.json(result ?? null, { headers: { 'cache-control': 'no-store' } });
    } catch (error) {
      return endOf(request, error);
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
  /** Reads the bytes when it is ready for them. */
  readonly run: (take: () => Promise<Uint8Array<ArrayBuffer>>) => Promise<Response>;
}): APIRoute {
  return async ({ request }) => {
    try {
      refuseType(request, 'application/octet-stream');
      return await run(() => bodyBytes(request, { most }));
    } catch (error) {
      return endOf(request, error);
    }
  };
}

/** A problem as an answer; whoever broke off hears nothing, and the log neither. */
function endOf(request: Request, error: unknown): Response {
  const gone = request.signal.aborted || (error as { code?: unknown }).code === 'ECONNRESET';
  return gone && !(error instanceof CoreError) ? new Response(null, { status: 499 }) : problemResponse(error);
}

/** The answer to every method that an address does not know. */
export const otherMethods: APIRoute = () => problemResponse(new CoreError('request/method'));

/** A page elsewhere cannot send these types without asking first, so it cannot write here. */
function refuseType(request: Request, type: string): void {
  if (!request.headers.get('content-type')?.startsWith(type)) throw new CoreError('request/type', { type });
}

async function readText(request: Request): Promise<string> {
  refuseType(request, 'application/json');
  return new TextDecoder().decode(await bodyBytes(request, { most: MAX_BODY }));
}

/** What a query asks for. @throws CoreError "request/field" */
export function parseQuery<Wish>(schema: z.ZodType<Wish>, query: URLSearchParams): Wish {
  return parseBody(schema, Object.fromEntries(query));
}

function parseBody<Body>(schema: z.ZodType<Body>, body: unknown): Body {
  const result = schema.safeParse(body);
  if (result.success) return result.data;
  throw new CoreError('request/field', fieldFacts(result.error));
}
