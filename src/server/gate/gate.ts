import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { CoreError } from '../../core/error.ts';
import { problemResponse } from '../problem.ts';
import { allowedHosts } from './hosts.ts';
import { isPassphrase } from './passphrase.ts';
import { refusalOf } from './refusals.ts';
import { safeHeaders } from './safe-headers.ts';
import { makeSessions } from './sessions.ts';
import { makeTries } from './tries.ts';

export interface GateWishes {
  /** What HOST says, and further names that people use for this machine. */
  readonly host: string;
  readonly moreHosts?: string | undefined;
  /** The stored passphrase; undefined where only this machine can reach Vetro. */
  readonly passphrase: string | undefined;
  /** The application behind the gate. */
  readonly application: RequestListener;
}

/** Page on which the passphrase is asked for, and where it is sent. */
const DOOR = '/enter';

/** What a browser may have before it is let in: the door, and the code, fonts and styles that every Vetro ships. */
const OPEN = /^\/(enter|_astro\/[\w.-]+|mark\.svg)$/;

/** Most bytes of a passphrase that is sent. */
const MAX_FORM = 4096;

/**
 * What every request goes through before the application sees it: the host it names, the page it comes from, and,
 * where other machines can reach Vetro, the passphrase. Every answer leaves with the headers that keep it harmless.
 */
export function makeGate({ host, moreHosts, passphrase, application }: GateWishes): RequestListener {
  const hosts = allowedHosts(host, moreHosts);
  const sessions = makeSessions();
  const tries = makeTries();

  const enter = async (request: IncomingMessage, response: ServerResponse, stored: string) => {
    const address = request.socket.remoteAddress ?? '';
    if (!tries.begin(address, Date.now())) return goTo(response, `${DOOR}?wait`);
    const given = await readForm(request);
    if (given === undefined || !(await isPassphrase(given, stored))) return goTo(response, `${DOOR}?wrong`);
    tries.forgive(address);
    response.setHeader('set-cookie', sessions.begin(Date.now()));
    goTo(response, '/');
  };

  return (request, response) => {
    const [path] = (request.url ?? '').split('?') as [string];
    for (const [name, value] of Object.entries(safeHeaders(path))) response.setHeader(name, value);
    const refusal = refusalOf(request, hosts);
    if (refusal !== undefined) return void answer(response, refusal);
    if (passphrase !== undefined) {
      if (path === DOOR && request.method === 'POST') {
        enter(request, response, passphrase).catch((error: unknown) => answer(response, error));
        return;
      }
      if (!OPEN.test(path) && !sessions.has(request.headers.cookie, Date.now())) {
        if (request.headers.accept?.includes('text/html')) goTo(response, DOOR);
        else answer(response, new CoreError('request/passphrase'));
        return;
      }
    }
    application(request, response);
  };
}

/** Sends a browser to another address of Vetro's. */
function goTo(response: ServerResponse, address: string): void {
  response.writeHead(303, { location: address, 'cache-control': 'no-store', connection: 'close' }).end();
}

async function answer(response: ServerResponse, error: unknown): Promise<void> {
  const { status, headers, body } = await bodied(problemResponse(error));
  // What is refused is not read, so the connection cannot be used again.
  response.writeHead(status, { ...headers, connection: 'close' }).end(body);
}

async function bodied(problem: Response) {
  return {
    status: problem.status,
    headers: Object.fromEntries(problem.headers),
    body: await problem.text(),
  };
}

/** The passphrase of a form; undefined when it is none or too long. */
async function readForm(request: IncomingMessage): Promise<string | undefined> {
  if (!request.headers['content-type']?.startsWith('application/x-www-form-urlencoded')) return undefined;
  let text = '';
  for await (const piece of request) {
    text += String(piece);
    if (text.length > MAX_FORM) return undefined;
  }
  return new URLSearchParams(text).get('passphrase') ?? undefined;
}
