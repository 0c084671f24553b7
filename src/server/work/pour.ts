import type { MessagePort } from 'node:worker_threads';
import { type Outcome, outcomeOf, valueIn } from './outcome.ts';

/** What a thread says of a file: its head, then its bytes piece by piece, then that this was all. */
type Said =
  | { readonly kind: 'head'; readonly head: Outcome<Head> }
  | { readonly kind: 'piece'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'end' }
  | { readonly kind: 'broken' };

/** What the server says: it has passed so many pieces on, or nobody wants the rest. */
type Asked = 'more' | 'stop';

interface Head {
  readonly headers: readonly (readonly [string, string])[];
}

/** Pieces that may be under way; more are made only when some were passed on. */
const UNDER_WAY = 8;

/** In a thread: makes a file and sends it through a port, no faster than it is taken. */
export async function pourInto(port: MessagePort, make: () => Promise<Response>): Promise<void> {
  let room = UNDER_WAY;
  let stopped = false;
  let wake = () => {};
  port.on('message', (asked: Asked) => {
    if (asked === 'more') room += 1;
    else stopped = true;
    wake();
  });
  const say = (said: Said, transfer: readonly ArrayBuffer[] = []) => port.postMessage(said, [...transfer]);
  try {
    const head = await outcomeOf(make);
    if ('problem' in head) return say({ kind: 'head', head });
    const { headers, body } = head.value;
    say({ kind: 'head', head: { value: { headers: [...headers] } } });
    const reader = body!.getReader();
    for (let next = await reader.read(); !next.done; next = await reader.read()) {
      while (room === 0 && !stopped) await new Promise<void>((resolve) => (wake = resolve));
      if (stopped) return await reader.cancel();
      room -= 1;
      const bytes = Uint8Array.from(next.value);
      say({ kind: 'piece', bytes }, [bytes.buffer]);
    }
    say({ kind: 'end' });
  } catch (error) {
    say({ kind: 'broken' });
    throw error;
  } finally {
    port.close();
  }
}

/**
 * On the server: the file that comes through a port, as an answer. When nobody reads it on, the thread is told to stop.
 * @param done  settles when the thread has done its work or has died
 * @throws CoreError of the file's maker
 */
export function pouredFrom(port: MessagePort, done: Promise<unknown>): Promise<Response> {
  return new Promise((resolve, reject) => {
    let sink: ReadableStreamDefaultController<Uint8Array> | undefined;
    const broken = (error: unknown) => {
      sink?.error(error);
      reject(error);
      port.close();
    };
    const open = (head: Outcome<Head>) => {
      const { headers } = valueIn(head);
      const stream = new ReadableStream<Uint8Array>(
        {
          start: (controller) => {
            sink = controller;
          },
          pull: () => port.postMessage('more' satisfies Asked),
          cancel: () => port.postMessage('stop' satisfies Asked),
        },
        { highWaterMark: UNDER_WAY },
      );
      resolve(new Response(stream, { headers: Object.fromEntries(headers) }));
    };
    port.on('message', (said: Said) => {
      try {
        if (said.kind === 'head') open(said.head);
        else if (said.kind === 'piece') sink?.enqueue(said.bytes);
        else if (said.kind === 'end') sink?.close();
        else broken(new Error('a file broke off in its thread'));
      } catch (error) {
        // The reader has gone, or the file could not be begun.
        broken(error);
      }
    });
    done.catch(broken);
  });
}
