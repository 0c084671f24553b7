import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { SAMPLE, sampleDesign } from '../../tests/sample-design.ts';
import { createRequest, problemSchema } from '../contracts/design.ts';
import { errorFrom } from '../core/error.ts';
import { designEndpoint, endpoint, MAX_BODY, otherMethods } from './endpoint.ts';
import { workHere } from './work/here.ts';

vi.mock('./shared-store.ts', () => ({ sharedStore: () => Promise.resolve({ db: {}, prover: {} }) }));

const BODY = z.strictObject({ count: z.int().min(1) });
const ECHO = endpoint({ body: BODY, run: ({ body }) => Promise.resolve({ got: body.count }) });

async function call(route: typeof ECHO, request: Request): Promise<Response> {
  const context = { request, params: {}, url: new URL(request.url) };
  return (await route(context as never)) as Response;
}

function post(
  body: string,
  headers: Record<string, string> = { 'content-type': 'application/json' },
): Request {
  return new Request('http://localhost/api/x', { method: 'POST', body, headers });
}

async function problem(response: Response) {
  expect(response.headers.get('content-type')).toBe('application/problem+json');
  return problemSchema.parse(await response.json());
}

describe('endpoint', () => {
  it('parses, runs and answers JSON', async () => {
    const response = await call(ECHO, post('{"count":3}'));
    expect(response.status).toBe(200);
    expect(await response.json()).toEqual({ got: 3 });
  });

  it.each([
    ['a body that is not JSON', post('{'), 400, 'request/json'],
    ['a field that is wrong', post('{"count":0}'), 400, 'request/field'],
    ['a field too many', post('{"count":1,"x":1}'), 400, 'request/field'],
    ['another type', post('{"count":1}', { 'content-type': 'text/plain' }), 415, 'request/type'],
    ['a body over the limit', post(`"${'x'.repeat(MAX_BODY)}"`), 413, 'request/too-large'],
    ['what is nested too deep', post(`${'['.repeat(100)}1${']'.repeat(100)}`), 400, 'request/deep'],
  ])('refuses %s', async (_, request, status, code) => {
    const answer = await call(ECHO, request);
    expect(answer.status).toBe(status);
    expect(await problem(answer)).toMatchObject({ status, code });
  });

  it('names the field that is wrong', async () => {
    expect((await problem(await call(ECHO, post('{"count":"x"}')))).detail).toContain('“count”');
  });

  it.each([
    ['design/missing', 404],
    ['design/stale', 409],
    ['notation/empty', 422],
    ['database/not-one', 503],
  ])('maps %s to %i', async (code, status) => {
    const failing = endpoint({ run: () => Promise.reject(errorFrom(code)) });
    expect((await call(failing, new Request('http://localhost/'))).status).toBe(status);
  });

  it('hides our own faults behind a bare 500, and logs them', async () => {
    const logged = vi.spyOn(console, 'error').mockImplementation(() => {});
    const failing = endpoint({ run: () => Promise.reject(new Error('secret path')) });
    const answer = await problem(await call(failing, new Request('http://localhost/')));
    expect(answer).toMatchObject({ status: 500, code: 'server/fault' });
    expect(JSON.stringify(answer)).not.toContain('secret');
    expect(logged).toHaveBeenCalledOnce();
    logged.mockRestore();
  });

  it('reads long designs in a thread, and short ones at once', async () => {
    const asked = vi.spyOn(workHere, 'readBody');
    const route = designEndpoint({ body: createRequest, run: ({ body }) => Promise.resolve(body.document) });
    const document = sampleDesign(SAMPLE);
    const lines = Array.from({ length: 9000 }, (_, at) => [`${at}`, 'a line that was kept']);
    const long = { ...document, kept: [{ section: 'NOTES', lines }] };
    for (const [design, times] of [
      [document, 0],
      [long, 1],
    ] as const) {
      const response = await call(route, post(JSON.stringify({ document: design })));
      expect(await response.json()).toEqual(design);
      expect(asked).toHaveBeenCalledTimes(times);
    }
    const wrong = { ...long, name: '' };
    const refused = await call(route, post(JSON.stringify({ document: wrong })));
    expect(await problem(refused)).toMatchObject({ status: 422, code: 'design/field' });
    asked.mockRestore();
  });

  it('knows no other methods', async () => {
    const answer = await otherMethods({} as never);
    expect((answer as Response).status).toBe(405);
  });
});
