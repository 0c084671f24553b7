import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const SOURCE = resolve(import.meta.dirname, '../../src');

/** Topics of the core, lowest first; one may import itself and those of the rows above. */
const CORE: readonly (readonly string[])[] = [
  ['exact'],
  ['units', 'colour'],
  ['thread', 'shape', 'picture', 'print'],
  ['faces', 'bend'],
  ['tiling', 'scene'],
  ['repeat'],
  ['paint'],
  ['formats'],
  ['design'],
];

/** What each folder outside the core may import beside itself. */
const OUTSIDE: Readonly<Record<string, readonly string[]>> = {
  contracts: ['core'],
  wording: ['core', 'contracts'],
  server: ['core', 'contracts', 'wording'],
  workers: ['core', 'wording', 'kit'],
  kit: ['core', 'contracts', 'wording'],
  layouts: ['kit'],
  picture: ['core', 'contracts', 'wording', 'kit'],
  bench: ['core', 'contracts', 'wording', 'kit', 'workers', 'picture'],
  sent: ['core', 'contracts', 'wording', 'kit', 'workers'],
  backups: ['core', 'contracts', 'wording', 'kit', 'workers'],
  shelf: ['core', 'contracts', 'wording', 'kit', 'workers', 'picture'],
  cli: ['core', 'contracts', 'wording', 'server', 'kit'],
  pages: ['core', 'contracts', 'wording', 'kit', 'layouts', 'server', 'bench', 'shelf', 'sent', 'backups'],
};

/** What a construction's room may look into; it never sees another construction's. */
const FOR_CONSTRUCTIONS = ['state', 'cloth', 'rails', 'bands'] as const;

/** The rooms of the bench, and into which others each may look. */
const ROOMS: Readonly<Record<string, readonly string[]>> = {
  state: [],
  cloth: ['state'],
  rails: ['state', 'cloth'],
  bands: ['state', 'cloth', 'rails'],
  plaid: [...FOR_CONSTRUCTIONS, 'weave'],
  weave: FOR_CONSTRUCTIONS,
  stripe: FOR_CONSTRUCTIONS,
  straps: FOR_CONSTRUCTIONS,
  tiling: [...FOR_CONSTRUCTIONS, 'straps'],
  motif: [...FOR_CONSTRUCTIONS, 'straps'],
  plies: FOR_CONSTRUCTIONS,
  build: ['state', 'cloth', 'plaid', 'weave', 'stripe', 'tiling', 'motif', 'plies'],
  colours: ['state', 'cloth'],
  lay: ['state', 'cloth', 'build'],
  check: ['state', 'bands', 'build'],
  send: ['state', 'cloth'],
  'try-on': ['state', 'cloth'],
  frame: ['state', 'cloth', 'rails', 'bands', 'plies', 'build', 'colours', 'lay', 'check', 'send', 'try-on'],
};

/** Most files beside each other in one folder. */
const MOST_FILES = 30;

interface Import {
  readonly file: string;
  readonly target: string;
}

const FILES = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).filter(
  (path) => /\.(tsx?|astro)$/.test(path) && !path.endsWith('.test.ts'),
);

const IMPORTS: readonly Import[] = FILES.flatMap((file) =>
  [...readFileSync(join(SOURCE, file), 'utf8').matchAll(/from '(\.[^']+)'/g)].map(([, path]) => ({
    file,
    target: relative(SOURCE, resolve(SOURCE, dirname(file), path!)),
  })),
);

function levelOf(topic: string): number {
  return CORE.findIndex((row) => row.includes(topic));
}

describe('imports', () => {
  it('are found at all', () => {
    expect(FILES.length).toBeGreaterThan(120);
    expect(IMPORTS.length).toBeGreaterThan(300);
  });

  it('go down the spine within the core', () => {
    const wrong = IMPORTS.filter(({ file, target }) => {
      const [top, topic] = file.split('/');
      const [toTop, toTopic] = target.split('/');
      if (top !== 'core' || topic === toTopic || ['error.ts', 'error-facts.ts'].includes(toTopic!))
        return false;
      return toTop !== 'core' || !(levelOf(toTopic!) < levelOf(topic!));
    });
    expect(wrong).toEqual([]);
  });

  it('go only where a folder outside the core may look', () => {
    const wrong = IMPORTS.filter(({ file, target }) => {
      const [top] = file.split('/');
      const [toTop] = target.split('/');
      return top !== 'core' && top !== toTop && !OUTSIDE[top!]?.includes(toTop!);
    });
    expect(wrong).toEqual([]);
  });

  it('go only into the rooms of the bench that a room may look into', () => {
    const wrong = IMPORTS.filter(({ file, target }) => {
      const [[top, room], [toTop, toRoom]] = [file.split('/'), target.split('/')];
      if (top !== 'bench' || toTop !== 'bench' || room === toRoom) return false;
      return !ROOMS[room!]?.includes(toRoom!);
    });
    expect(wrong).toEqual([]);
    const rooms = new Set(
      FILES.filter((file) => file.startsWith('bench/')).map((file) => file.split('/')[1]!),
    );
    expect([...rooms].sort()).toEqual(Object.keys(ROOMS).sort());
  });

  it('come from folders that can be taken in at a glance', () => {
    const counts = new Map<string, number>();
    for (const file of FILES) counts.set(dirname(file), (counts.get(dirname(file)) ?? 0) + 1);
    expect([...counts].filter(([, count]) => count > MOST_FILES)).toEqual([]);
  });

  it('never bring Node or React into the core', () => {
    const foreign = FILES.filter((file) => file.startsWith('core/')).filter((file) =>
      /from '(node:|react|comlink|zustand|kysely)/.test(readFileSync(join(SOURCE, file), 'utf8')),
    );
    expect(foreign).toEqual([]);
  });
});
