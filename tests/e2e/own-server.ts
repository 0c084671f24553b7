import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { PORT } from '../../playwright.config.ts';

const ROOT = resolve(import.meta.dirname, '../..');

export interface OwnServer {
  readonly address: string;
  readonly child: ChildProcess;
  /** What it has printed so far, on both outputs. */
  readonly said: () => string;
  /** Ends it at once, as a crash would, and waits until it is gone. */
  readonly kill: () => Promise<void>;
  /** Ends it as Ctrl C or a service manager does. @returns its exit code */
  readonly end: (signal: 'SIGINT' | 'SIGTERM') => Promise<number | null>;
}

/** A database file of its own in a new folder. */
export function ownDatabase(): string {
  return join(mkdtempSync(join(tmpdir(), 'vetro-own-')), 'vetro.db');
}

/** Those that were started last, by their ports: where its test failed, nobody ended one. */
const running = new Map<string, { readonly child: ChildProcess; readonly gone: Promise<void> }>();
process.once('exit', () => {
  for (const { child } of running.values()) child.kill('SIGKILL');
});

/**
 * Starts the built application for one test, on an empty shelf; its own words tell when it is ready. It takes the port
 * beside that of the worker's server, so a worker has one at a time.
 */
export async function startOwn(
  data: string,
  env: Readonly<Record<string, string>> = {},
  /** Files that it writes can be so many kibibytes long: beyond, the disk is full for it. */
  longest?: number,
): Promise<OwnServer> {
  const port = env['PORT'] ?? String(PORT + 1);
  running.get(port)?.child.kill('SIGKILL');
  await running.get(port)?.gone;
  const [command, args] =
    longest === undefined
      ? ['node', ['scripts/serve-built.mjs']]
      : ['bash', ['-c', `trap '' XFSZ; ulimit -f ${longest}; exec node scripts/serve-built.mjs`]];
  const child = spawn(command, args, {
    cwd: ROOT,
    env: { ...process.env, VETRO_DATA: data, ...env, PORT: port },
  });
  let text = '';
  const hear = (piece: Buffer) => {
    text += String(piece);
  };
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  const gone = new Promise<void>((done) => child.once('exit', () => done()));
  running.set(port, { child, gone });
  while (!/Vetro is ready: (\S+)/.test(text)) {
    if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}: ${text}`);
    await new Promise((again) => setTimeout(again, 50));
  }
  const address = /Vetro is ready: (\S+?)\/?\s/.exec(text)![1]!;
  const kill = () => {
    child.kill('SIGKILL');
    return gone;
  };
  const end = async (signal: 'SIGINT' | 'SIGTERM') => {
    child.kill(signal);
    await gone;
    return child.exitCode;
  };
  return { address, child, said: () => text, kill, end };
}
