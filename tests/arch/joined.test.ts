import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { expect, it } from 'vitest';

const SOURCE = resolve(import.meta.dirname, '../../src');

/** What a generator hands on is joined by `joinedText`, whose type refuses what is no text. */
const JOINED_CALL = /\[\s*\.\.\.\s*\w+\([^\]]*\]\s*\.join\(/;

it('no pieces of what is made are joined without their type being asked', () => {
  const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).filter(
    (name) => /\.tsx?$/.test(name) && !name.includes('.test.') && !name.startsWith('cli'),
  );
  expect(files.length).toBeGreaterThan(900);
  expect(files.filter((name) => JOINED_CALL.test(readFileSync(join(SOURCE, name), 'utf8')))).toEqual([]);
});
