// Starts the built application on this machine and prints its address.
import { createServer } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './ready.mjs';

const FIRST_PORT = 4321;
const PORTS = 50;

/** @param {{ demo: boolean }} options  whether the demo designs are hung, once */
export async function serve({ demo }) {
  ensureInstalled();
  ensureBuilt();
  const { prepare } = await import(pathToFileURL(join(ROOT, 'dist/server/prepare.mjs')).href);
  const words = await prepare(demo);
  if (words === undefined) process.exit(2);
  console.log(words);
  const host = process.env['HOST'] ?? '127.0.0.1';
  const port = await wishedPort(host);
  Object.assign(process.env, { HOST: host, PORT: port });
  await import(pathToFileURL(join(ROOT, 'dist/server/entry.mjs')).href);
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}/`;
  await answering(address);
  console.log(`\n  Vetro is ready: ${address}\n  Ctrl C stops it.\n`);
}

/** The port that PORT names, which must be free, or the first free one. */
async function wishedPort(host) {
  const wished = process.env['PORT'];
  if (wished === undefined) return String(await freePort(host));
  if (await isFree(host, Number(wished))) return wished;
  console.error(
    `Port ${wished} on ${host} cannot be used. Name another with PORT, or none to take a free one.`,
  );
  process.exit(2);
}

async function freePort(host) {
  for (let port = FIRST_PORT; port < FIRST_PORT + PORTS; port += 1) {
    if (await isFree(host, port)) return port;
  }
  console.error(`No port from ${FIRST_PORT} to ${FIRST_PORT + PORTS - 1} is free. Name one with PORT.`);
  process.exit(1);
}

function isFree(host, port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

/** Waits until the server answers; it has nothing to load, so ten seconds are plenty. */
async function answering(address) {
  for (let tries = 0; tries < 100; tries += 1) {
    const answer = await fetch(`${address}api/shelf`).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  console.error('The server does not answer.');
  process.exit(1);
}
