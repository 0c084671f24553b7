import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

/** VETRO_ROOT names another checkout whose server is measured, so that two can be compared. */
const ROOT = resolve(process.env['VETRO_ROOT'] ?? '.');
const PORT = 4396;

export const ADDRESS = `http://127.0.0.1:${PORT}`;
export const HEADERS = { 'content-type': 'application/json', 'x-vetro': 'perf', origin: ADDRESS };

/** Starts the server with a database. @returns when it is ready */
export async function startServer(data: string): Promise<ChildProcess> {
  const server = spawn('node', ['scripts/demo.mjs'], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(PORT), VETRO_DATA: data },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((done) => {
    server.stdout.on('data', (text) => String(text).includes('ready') && done());
  });
  return server;
}

/** Stops the server and waits for its end. */
export async function stopServer(server: ChildProcess): Promise<void> {
  const ended = new Promise((done) => server.once('exit', done));
  server.kill();
  await ended;
}

/** Resident memory of a process and its threads, in megabytes: now, or the most that it ever was. */
export function memory({ pid }: ChildProcess, which: 'VmRSS' | 'VmHWM'): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Number(new RegExp(`${which}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024;
}

export async function timed<T>(work: () => Promise<T>): Promise<readonly [result: T, ms: number]> {
  const start = performance.now();
  const result = await work();
  return [result, performance.now() - start];
}

/** The version of documents that the measured server knows; what is sent here is the same in all of them. */
export function knownVersion(): number {
  const schema = readFileSync(join(ROOT, 'src/core/design/design-schema.ts'), 'utf8');
  return Number(/DESIGN_VERSION = (\d+)/.exec(schema)![1]);
}

/** Stores a design. */
export async function post(document: object): Promise<{ id: string; version: number }> {
  const answer = await fetch(`${ADDRESS}/api/designs`, {
    method: 'POST',
    headers: HEADERS,
    body: JSON.stringify({ document: { ...document, version: knownVersion() } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return (await answer.json()) as { id: string; version: number };
}

/** Writes a design over a version of it. */
export async function put(id: string, version: number, document: object): Promise<void> {
  const answer = await fetch(`${ADDRESS}/api/designs/${id}`, {
    method: 'PUT',
    headers: HEADERS,
    body: JSON.stringify({ version, document: { ...document, version: knownVersion() } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
}

/** What is left of some values below it. */
export function at(values: readonly number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))]!;
}
