// Starts the built application on this machine and prints its address.
import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { createServer as createHttpServer } from 'node:http';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ROOT } from './ready.mjs';

const FIRST_PORT = 4321;
const PORTS = 50;

/** Milliseconds that a connection may rest: longer than clients do, so that none takes one that is just being ended. */
const REST = 65_000;

/**
 * Serves what is installed and built.
 * @param {{ demo: boolean }} options  whether the demo designs are hung, once
 */
export async function serve({ demo }) {
  const host = process.env['HOST'] ?? '127.0.0.1';
  const before = await import(built('tools/server/before.mjs'));
  const { prepare, makeGate, OWN, answerBroken, continueWhenRead, endInOrder } = before;
  const port = await wishedPort(host);
  const prepared = await prepare({ demo, host });
  if (prepared === undefined) process.exit(2);
  console.log(prepared.words);
  // The application is put behind a gate, so it must not listen by itself.
  Object.assign(process.env, {
    ASTRO_NODE_AUTOSTART: 'disabled',
    VETRO_WORKER: join(ROOT, 'dist/tools/server/worker.mjs'),
  });
  const { handler } = await import(built('server/entry.mjs'));
  const own = randomUUID();
  const gate = makeGate({
    own,
    host,
    moreHosts: process.env['VETRO_HOSTS'],
    passphrase: prepared.passphrase,
    assets: new Set(readdirSync(join(ROOT, 'dist/client/_astro'))),
    proxies: process.env['VETRO_PROXIES'],
    application: handler,
  });
  const server = createHttpServer({ keepAliveTimeout: REST }, gate);
  server.on('clientError', answerBroken);
  server.on('checkContinue', continueWhenRead(gate));
  await new Promise((resolve) => server.listen(Number(port), host, resolve));
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void end(server, endInOrder));
  // The first answer opens the database, starts the threads, takes up what was left and makes a backup; whoever comes next
  // need not wait for that.
  await fetch(`${addressOf(host, port)}api/backups`, { headers: { [OWN]: own } }).catch(() => undefined);
  console.log(`\n  Vetro is ready: ${addressOf(host, port)}\n  Ctrl C stops it.\n`);
}

/** Takes no more requests, puts back what goes on and closes the database; a second Ctrl C does not wait for that. */
async function end(server, endInOrder) {
  process.once('SIGINT', () => process.exit(1));
  server.close();
  await endInOrder();
  process.exit(0);
}

function built(path) {
  return pathToFileURL(join(ROOT, 'dist', path)).href;
}

/** An address that a browser on this machine can open. */
function addressOf(host, port) {
  const everywhere = host === '0.0.0.0' || host === '::';
  const name = everywhere ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host;
  return `http://${name}:${port}/`;
}

/** The port that PORT names, which must be free, or the first free one. */
async function wishedPort(host) {
  const wished = process.env['PORT']?.trim() ?? '';
  if (wished === '') return String(await freePort(host));
  const isPort = /^\d{1,5}$/.test(wished) && Number(wished) > 0 && Number(wished) < 65_536;
  if (!isPort) {
    console.error(
      `PORT is “${wished}”; a port is a whole number from 1 to 65535. Leave it out to take a free one.`,
    );
    process.exit(2);
  }
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
