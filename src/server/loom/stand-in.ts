import { createServer, type Socket } from 'node:net';
import { z } from 'zod';
import { readLines } from './read-lines.ts';
import { readWords } from './read-words.ts';

/** What the stand-in is doing. */
export type LoomState = 'ready' | 'stopped' | 'jammed';

/** What is said to it: lift these shafts for this pick, or a hand at the loom. */
const order = z.union([
  z.strictObject({ pick: z.int().min(0), lift: z.array(z.int().min(1)) }),
  z.strictObject({ do: z.enum(['stop', 'go', 'jam', 'clear', 'drop']) }),
]);

export interface StandIn {
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** Longest line that is read, in characters. */
const MAX_LINE = 4000;

/**
 * A stand-in for a dobby loom, for trying and for tests: it listens on this machine, takes a lift at a time as a line of
 * JSON and says which shafts it raised. docs/formats.md describes its words.
 *
 * @param delay  milliseconds that a pick takes
 */
export function startStandIn({
  port,
  shafts,
  delay,
}: {
  readonly port: number;
  readonly shafts: number;
  readonly delay: number;
}): Promise<StandIn> {
  let state: LoomState = 'ready';
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
    const say = (words: object) => socket.write(`${JSON.stringify(words)}\n`);
    say({ loom: 'stand-in', shafts, state });
    const take = (line: string) => {
      const words = line.length > MAX_LINE ? undefined : readWords(line, order);
      if (words === undefined) {
        say({ error: 'words' });
      } else if ('do' in words) {
        const told = words.do;
        if (told === 'drop') for (const each of sockets) each.destroy();
        else {
          state = told === 'stop' ? 'stopped' : told === 'jam' ? 'jammed' : 'ready';
          say({ state });
        }
      } else {
        const { pick, lift } = words;
        const wrong = lift.find((shaft) => shaft > shafts);
        if (wrong !== undefined) say({ pick, error: 'shafts', shaft: wrong });
        else if (state !== 'ready') say({ pick, error: state });
        else setTimeout(() => say({ pick, raised: [...lift].sort((a, b) => a - b) }), delay);
      }
    };
    readLines(socket, take, () => socket.destroy());
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      resolve({
        port: typeof address === 'object' && address !== null ? address.port : port,
        close: () =>
          new Promise((closed) => {
            for (const socket of sockets) socket.destroy();
            server.close(() => closed());
          }),
      });
    });
  });
}
