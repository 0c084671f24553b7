import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Command } from 'commander';
import { describe, expect, it } from 'vitest';
import { type ByKind, KINDS } from '../../core/design/constructions.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { designFromStart, startsOf } from '../../core/design/starts.ts';
import { addNewFromStart } from './new-from-start.ts';
import { addNewCommands } from './new-program.ts';

const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-starts-'));

/** The design that a command of that kind writes. */
function made(kind: keyof ByKind, ...options: readonly string[]) {
  const file = join(mkdtempSync(join(tmpdir(), 'vetro-new-')), 'design.json');
  const make = new Command();
  addNewFromStart(make, kind);
  make.parse([kind, ...options, '-o', file], { from: 'user' });
  return readDesignText(readFileSync(file, 'utf8'));
}

describe.each(Object.keys(KINDS) as (keyof ByKind)[])('a new %s from a start point', (kind) => {
  it('is the first one when none is named', () => {
    expect(made(kind)).toEqual(designFromStart(kind, startsOf(kind)[0]!.key));
  });

  it('takes another name, number and resolution', () => {
    const last = startsOf(kind).at(-1)!.key;
    const design = made(kind, '--from', last, '--name', 'Lamp', '--number', 'LLR 9', '--resolution', '150');
    const { construction } = designFromStart(kind, last);
    expect(design).toMatchObject({ name: 'Lamp', number: 'LLR 9', resolution: '150', construction });
  });
});

describe.each(Object.keys(KINDS) as (keyof ByKind)[])('the command for a new %s', (kind) => {
  it.each(startsOf(kind).map(({ key }) => key))('makes %s by its name', (key) => {
    const file = join(FOLDER, `${kind}-${key}.json`);
    const make = new Command('new');
    addNewCommands(make);
    make.parse([kind, '--from', key, '-o', file], { from: 'user' });
    const { construction } = readDesignText(readFileSync(file, 'utf8'));
    expect(construction.kind).toBe(kind);
    expect(construction).toEqual(designFromStart(kind, key).construction);
  });
});

describe('start points', () => {
  it('are told when another is asked for', () => {
    expect(() => designFromStart('tiling', 'nowhere')).toThrow('start/unknown');
  });
});
