import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { CoreError } from '../../core/error.ts';
import { problemResponse, statusOf } from '../problem.ts';
import { askedPath } from './asked-path.ts';
import { clientAddress, proxiesOf } from './client-address.ts';
import { makeDevices } from './devices.ts';
import { allowedHosts } from './hosts.ts';
import { isPassphrase } from './passphrase.ts';
import { refusalOf } from './refusals.ts';
import { safeHeaders } from './safe-headers.ts';
import { makeSessions } from './sessions.ts';
import { makeTries } from './tries.ts';
import { troublePage } from './trouble-page.ts';

export interface GateWishes {
  /** What HOST says, and further names that people use for this machine. */
  readonly host: string;
  readonly moreHosts?: string | undefined;
  /** The stored passphrase; undefined where only this machine can reach Vetro. */
  readonly passphrase: string | undefined;
  /** Names of the built files with a hash in them, which every Vetro of this version ships. */
  readonly assets: ReadonlySet<string>;
  /** Addresses of proxies before Vetro, which are believed whom they speak for. */
  readonly proxies?: string | undefined;
  /** What this process says in the header OWN to be let in to itself; nobody else knows it. */
  readonly own?: string | undefined;
  /** The application behind the gate. */
  readonly application: RequestListener;
}

/** The header of a request that this process makes of itself. */
export const OWN = 'x-vetro-own';

/** Page on which the passphrase is asked for, and where it is sent. */
const DOOR = '/enter';

/** Where the built files lie, and all else that the framework answers for itself. */
const ASSETS = '/_astro/';
const FRAMEWORK = '/_';

/** What else a browser may have before it is let in. */
const MARK = '/mark.svg';

/** Most bytes of a passphrase that is sent. */
const MAX_FORM = 4096;

/**
 * What every request goes through before the application sees it: the address it asks for, the host it names, the page it
 * comes from, and, where other machines can reach Vetro, the passphrase. The address is read once: what is decided here is
 * what is served. Every answer leaves with the headers that keep it harmless.
 */
export function makeGate(wishes: GateWishes): RequestListener {
  const { host, moreHosts, passphrase, assets, application } = wishes;
  const hosts = allowedHosts(host, moreHosts);
  const proxies = proxiesOf(wishes.proxies);
  const sessions = makeSessions();
  const tries = makeTries();
  const devices = makeDevices(passphrase ?? '');
  const isAsset = (path: string) => path.startsWith(ASSETS) && assets.has(path.slice(ASSETS.length));

  const enter = async (request: IncomingMessage, response: ServerResponse, stored: string) => {
    const device = devices.known(request.headers.cookie);
    const trier = { name: device ?? clientAddress(request, proxies), known: device !== undefined };
    if (!tries.begin(trier, Date.now())) return goTo(response, `${DOOR}?wait`);
    const given = await readForm(request);
    if (given === undefined || !(await isPassphrase(given, stored))) return goTo(response, `${DOOR}?wrong`);
    tries.forgive(trier);
    response.setHeader('set-cookie', [sessions.begin(Date.now()), devices.begin()]);
    goTo(response, '/');
  };

  return (request, response) => {
    const asked = askedPath(request.url);
    const path = asked?.path ?? '';
    for (const [name, value] of Object.entries(safeHeaders(path))) response.setHeader(name, value);
    const refusal = refusalOf(request, hosts);
    if (refusal !== undefined) return void refuse(request, response, refusal);
    if (passphrase !== undefined) {
      if (path === DOOR && request.method === 'POST') {
        enter(request, response, passphrase).catch((error: unknown) => answer(response, error));
        return;
      }
      const isOwn = wishes.own !== undefined && request.headers[OWN] === wishes.own;
      const isOpen = isOwn || path === DOOR || path === MARK || isAsset(path);
      if (!isOpen && !sessions.has(request.headers.cookie, Date.now())) {
        if (wantsPage(request)) goTo(response, DOOR);
        else answer(response, new CoreError('request/passphrase'));
        return;
      }
    }
    const isNone = asked === undefined || (path.startsWith(FRAMEWORK) && !isAsset(path));
    if (isNone) return void refuse(request, response, new CoreError('request/missing'));
    request.url = asked.path + asked.query;
    application(request, response);
  };
}

/** Whether somebody looks at the answer. */
function wantsPage({ headers }: IncomingMessage): boolean {
  return headers.accept?.includes('text/html') === true;
}

/** Says why there is nothing else: as a page to who looks at one, as a problem to a program. */
function refuse(request: IncomingMessage, response: ServerResponse, error: CoreError): void {
  if (!wantsPage(request)) return void answer(response, error);
  const page = { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' };
  response.writeHead(statusOf(error), { ...page, connection: 'close' }).end(troublePage(error));
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
