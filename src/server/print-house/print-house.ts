import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { handSchema, PRINT_KEY, type PrintAnswer, printOrderSchema } from '../../contracts/print-house.ts';
import { allowedHosts } from '../gate/hosts.ts';
import { refusalOf } from '../gate/refusals.ts';
import { problemOf, statusOf } from '../problem.ts';
import { keptTable } from './kept-table.ts';
import { lookAt, strikeOffOf } from './print-file.ts';
import { refusalOfOrder } from './refusal.ts';
import { advance, callOff, find, handle, judge, type TableOrder, take } from './table.ts';

/** Largest file and largest order that are taken, in bytes. */
const MOST_FILE = 256_000_000;
const MOST_WORDS = 20_000;

/** Milliseconds between two looks at the table, and that a lost line stays lost. */
const TICK = 100;
const LOST = 1500;

/** The names under which it answers: those of this machine. */
const HOSTS = allowedHosts('127.0.0.1');

export interface PrintHouse {
  readonly port: number;
  readonly close: () => Promise<void>;
}

/**
 * A stand-in for a print house, for trying and for tests: it listens on this machine and speaks as docs/print-house.md says.
 * @param folder  where it keeps its table and files; opened again it goes on where it was
 * @param speed   millimetres of cloth a second
 */
export async function startPrintHouse({
  port,
  folder,
  speed,
}: {
  readonly port: number;
  readonly folder: string;
  readonly speed: number;
}): Promise<PrintHouse> {
  const kept = keptTable(folder);
  let table = kept.read();
  let lostUntil = 0;
  const write = (next: typeof table) => {
    if (next === table) return;
    table = next;
    kept.write(table);
  };

  const putOrder = async (request: IncomingMessage, key: string): Promise<Answer> => {
    const order = printOrderSchema.safeParse(parsed(await read(request, MOST_WORDS)));
    if (!order.success) return { status: 400 };
    write(take(table, key, order.data));
    const refused = refusalOfOrder(order.data);
    if (refused !== undefined) write(judge(table, key, refused));
    return answerOf(find(table, key));
  };

  const putFile = async (request: IncomingMessage, key: string): Promise<Answer> => {
    const known = find(table, key);
    if (known === undefined) return { status: 404 };
    const bytes = await read(request, MOST_FILE);
    if (known.state === 'taken') {
      const refusal = await lookAt(known.order, bytes);
      if (refusal === undefined) kept.keepFile(key, bytes);
      write(judge(table, key, refusal));
    }
    return answerOf(find(table, key));
  };

  const callOrderOff = (key: string): Promise<Answer> => {
    write(callOff(table, key));
    return Promise.resolve(answerOf(find(table, key)));
  };

  const getStrikeOff = async (key: string): Promise<Answer> => {
    const known = find(table, key);
    const file = kept.file(key);
    if (known?.state !== 'done' || known.order.kind !== 'strike-off' || file === undefined)
      return { status: 404 };
    return { status: 200, picture: await strikeOffOf(known.order, file) };
  };

  const hand = async (request: IncomingMessage): Promise<Answer> => {
    const told = handSchema.safeParse(parsed(await read(request, MOST_WORDS)));
    if (!told.success) return { status: 400 };
    if (told.data.do === 'line') lostUntil = Date.now() + LOST;
    write(handle(table, told.data.do));
    return { status: 200, json: { trouble: table.trouble } };
  };

  const answer = (request: IncomingMessage): Promise<Answer> => {
    const [, first, key = '', part] = (request.url ?? '').split('/');
    const method = request.method ?? '';
    if (first === 'hand' && method === 'POST') return hand(request);
    if (first !== 'orders' || !PRINT_KEY.test(key)) return Promise.resolve({ status: 404 });
    if (part === undefined && method === 'PUT') return putOrder(request, key);
    if (part === undefined && method === 'GET') return Promise.resolve(answerOf(find(table, key)));
    if (part === undefined && method === 'DELETE') return callOrderOff(key);
    if (part === 'file' && method === 'PUT') return putFile(request, key);
    if (part === 'strike-off' && method === 'GET') return getStrikeOff(key);
    return Promise.resolve({ status: 405 });
  };

  const server = createServer((request, response) => {
    if (Date.now() < lostUntil) {
      request.socket.destroy();
      return;
    }
    const refusal = refusalOf(request, HOSTS);
    if (refusal !== undefined)
      return respond(response, { status: statusOf(refusal), json: problemOf(refusal) });
    answer(request).then(
      (said) => respond(response, said),
      (error: unknown) =>
        error instanceof TooMuch ? respond(response, { status: 413 }) : response.destroy(),
    );
  });
  const tick = setInterval(() => write(advance(table, (speed * TICK) / 1000)), TICK);
  await listen(server, port);
  return {
    port: (server.address() as AddressInfo).port,
    close: async () => {
      clearInterval(tick);
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    },
  };
}

/** More was sent than is taken. */
class TooMuch extends Error {}

interface Answer {
  readonly status: number;
  readonly json?: object;
  readonly picture?: Buffer;
}

function answerOf(order: TableOrder | undefined): Answer {
  if (order === undefined) return { status: 404 };
  const { key, state, printed, length, trouble, refusal } = order;
  return { status: 200, json: { key, state, printed, length, trouble, refusal } satisfies PrintAnswer };
}

function respond(response: ServerResponse, { status, json, picture }: Answer): void {
  const type = picture === undefined ? 'application/json' : 'image/png';
  response.writeHead(status, { 'content-type': type, 'cache-control': 'no-store' });
  response.end(picture ?? JSON.stringify(json ?? {}));
}

async function read(request: IncomingMessage, most: number): Promise<Uint8Array> {
  const pieces: Buffer[] = [];
  let size = 0;
  for await (const piece of request as AsyncIterable<Buffer>) {
    size += piece.length;
    if (size > most) throw new TooMuch();
    pieces.push(piece);
  }
  return Buffer.concat(pieces);
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    return undefined;
  }
}

function listen(server: Server, port: number): Promise<void> {
  return new Promise((done, refuse) => {
    server.once('error', refuse);
    server.listen(port, '127.0.0.1', done);
  });
}
