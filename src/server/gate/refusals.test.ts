import { describe, expect, it } from 'vitest';
import { allowedHosts, hostName, isLoopback } from './hosts.ts';
import { refusalOf } from './refusals.ts';

const HOSTS = allowedHosts('127.0.0.1', 'looms.lan');

function code(method: string, headers: Record<string, string>): string | undefined {
  return refusalOf({ method, headers }, HOSTS)?.code;
}

describe('hosts', () => {
  it.each([
    ['127.0.0.1:4321', '127.0.0.1'],
    ['LocalHost', 'localhost'],
    ['[::1]:80', '::1'],
    ['a.b.example', 'a.b.example'],
    ['127.0.0.1:4321, evil', undefined],
    ['user@127.0.0.1', undefined],
    ['', undefined],
    [undefined, undefined],
  ])('reads %j as %j', (header, name) => {
    expect(hostName(header)).toBe(name);
  });

  it.each([
    ['127.0.0.1', true],
    ['127.8.9.1', true],
    ['::1', true],
    ['localhost', true],
    ['0.0.0.0', false],
    ['::', false],
    ['127.0.0.1.example', false],
    ['192.168.1.4', false],
  ])('%s is loopback: %s', (host, loopback) => {
    expect(isLoopback(host)).toBe(loopback);
  });

  it('of every address are those of this machine, not any name', () => {
    const all = allowedHosts('0.0.0.0');
    expect(all.has('127.0.0.1')).toBe(true);
    expect(all.has('0.0.0.0')).toBe(false);
    expect(all.has('vetro.example')).toBe(false);
  });
});

describe('refusals', () => {
  it.each([
    ['GET', 'rebound.example:4321', 'request/host'],
    ['GET', '127.0.0.1:4321', undefined],
    ['GET', 'looms.lan', undefined],
    ['HEAD', '[::1]:4321', undefined],
    ['TRACE', '127.0.0.1:4321', 'request/method'],
    ['CONNECT', '127.0.0.1:4321', 'request/method'],
  ])('%s at %s: %s', (method, host, refused) => {
    expect(code(method, { host })).toBe(refused);
  });

  it.each([
    ['its own page', { origin: 'http://127.0.0.1:4321' }, undefined],
    ['its own page behind TLS', { origin: 'https://127.0.0.1:4321' }, undefined],
    ['another port', { origin: 'http://127.0.0.1:9' }, 'request/foreign'],
    ['another site', { origin: 'https://evil.example' }, 'request/foreign'],
    ['no origin that may be named', { origin: 'null' }, 'request/foreign'],
    ['nobody', {}, 'request/foreign'],
    ['a program that says so', { 'x-vetro': 'script' }, undefined],
    ['a page that says so', { origin: 'https://evil.example', 'x-vetro': '1' }, 'request/foreign'],
  ])('writing for %s: %s', (_, headers, refused) => {
    for (const method of ['POST', 'PUT', 'DELETE']) {
      expect(code(method, { host: '127.0.0.1:4321', ...headers } as Record<string, string>)).toBe(refused);
    }
  });
});
