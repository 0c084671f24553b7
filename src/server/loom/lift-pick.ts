import { connect } from 'node:net';
import { z } from 'zod';
import { errorFrom } from '../../core/error.ts';
import { readLines } from './read-lines.ts';
import { readWords } from './read-words.ts';

/** Milliseconds within which a loom must answer. */
const PATIENCE = 4000;

const answer = z.object({
  pick: z.int().optional(),
  raised: z.array(z.int()).optional(),
  error: z.string().optional(),
  shaft: z.int().optional(),
  shafts: z.int().optional(),
});

/**
 * Has a loom on this machine lift some shafts for a pick, and waits until it says that it did.
 * @returns the shafts that it raised
 * @throws CoreError "loom/absent" {port} | "loom/silent" | "loom/lost" | "loom/stopped" | "loom/jammed" |
 *         "loom/shafts" {shaft} | "loom/words" | "loom/other" {wanted, raised}
 */
export function liftPick(port: number, pick: number, lift: readonly number[]): Promise<number[]> {
  return new Promise((resolve, reject) => {
    const socket = connect({ port, host: '127.0.0.1' });
    let settled = false;
    const settle = (work: () => void) => {
      if (settled) return;
      settled = true;
      clearTimeout(timer);
      socket.destroy();
      work();
    };
    const fail = (code: string, facts: Record<string, string | number> = {}) =>
      settle(() => reject(errorFrom(code, facts)));
    const timer = setTimeout(() => fail('loom/silent'), PATIENCE);
    socket.once('connect', () => socket.write(`${JSON.stringify({ pick, lift })}\n`));
    socket.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'ECONNREFUSED' ? fail('loom/absent', { port: String(port) }) : fail('loom/lost'),
    );
    socket.once('close', () => fail('loom/lost'));
    const take = (line: string) => {
      const words = readWords(line, answer);
      if (words === undefined) {
        fail('loom/words');
        return;
      }
      const { pick: told, raised, error, shaft } = words;
      if (error !== undefined) {
        const known = ['stopped', 'jammed', 'shafts'].includes(error) ? error : 'words';
        fail(`loom/${known}`, shaft === undefined ? {} : { shaft });
      } else if (raised !== undefined && told === pick) {
        const same = raised.join() === [...lift].sort((a, b) => a - b).join();
        if (same) settle(() => resolve(raised));
        else fail('loom/other', { wanted: lift.join(' '), raised: raised.join(' ') });
      }
    };
    readLines(socket, take, () => fail('loom/words'));
  });
}
