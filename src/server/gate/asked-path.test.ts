import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { askedPath } from './asked-path.ts';

describe('what is asked for', () => {
  it.each([
    ['/', { path: '/', query: '' }],
    ['/bench/3f-2_a~b.c', { path: '/bench/3f-2_a~b.c', query: '' }],
    ['/api/shelf?search=a%20b&from=2', { path: '/api/shelf', query: '?search=a%20b&from=2' }],
    ['/enter?wrong', { path: '/enter', query: '?wrong' }],
  ])('%s is in normal form', (url, asked) => {
    expect(askedPath(url)).toEqual(asked);
  });

  it.each([
    undefined,
    '',
    'api/shelf',
    '*',
    'http://127.0.0.1/api/shelf',
    '//api/shelf',
    '/api//shelf',
    '/api/shelf/',
    '/_astro/..',
    '/_astro/../api/shelf',
    '/./api/shelf',
    '/%61pi/shelf',
    '/_astro/%2e%2e',
    '/_astro%2f..',
    '/_astro\\..',
    '/api/shelf;x',
    '/api/shelf#x',
    '/api/shelf?a#b',
    '/api/shelf?a b',
    '/api/sh\u0000elf',
    '/ſhelf',
    `/${'a'.repeat(5000)}`,
  ])('%j is not', (url) => {
    expect(askedPath(url)).toBeUndefined();
  });

  it('is the path that a browser, and the application behind, would make of it', () => {
    let normal = 0;
    const part = fc.constantFrom(
      '/',
      '.',
      '..',
      '%2e',
      '%2F',
      '\\',
      'api',
      'shelf',
      '_astro',
      '?',
      '#',
      ':',
      '@',
      ' ',
      'a',
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 8 }), (parts) => {
        const url = `/${parts.join('')}`;
        const asked = askedPath(url);
        if (asked === undefined) return;
        normal += 1;
        const served = new URL(`http://127.0.0.1${url}`);
        expect(decodeURIComponent(served.pathname)).toBe(asked.path);
        expect(served.hash).toBe('');
      }),
      { numRuns: 3000 },
    );
    expect(normal).toBeGreaterThan(100);
  });
});
