import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { KEYS } from '../../src/bench/frame/keys.ts';
import { DESIGN_VERSION, designSchema } from '../../src/core/design/design-schema.ts';
import { COUNTS_FIELDS } from '../../src/core/formats/counts-text.ts';

const DOCS = resolve(import.meta.dirname, '../../docs');

describe('the documents', () => {
  it('hold the schema that designs are read with (npm run schema writes it)', () => {
    const written: unknown = JSON.parse(readFileSync(join(DOCS, 'design.schema.json'), 'utf8'));
    const { $id: _, title: __, ...schema } = written as Record<string, unknown>;
    expect(schema).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(designSchema))));
  });

  it('name the version of the documents that are written', () => {
    const formats = readFileSync(join(DOCS, 'formats.md'), 'utf8');
    expect(formats).toContain(`version of this format, now ${DESIGN_VERSION};`);
    const changes = readFileSync(join(DOCS, '../CHANGELOG.md'), 'utf8');
    expect(changes).toMatch(new RegExp(`^## ${DESIGN_VERSION}$`, 'm'));
  });

  it('name every folder of the sources, and every room of the bench', () => {
    const architecture = readFileSync(join(DOCS, 'architecture.md'), 'utf8');
    const folders = (path: string) =>
      readdirSync(join(DOCS, '..', path), { withFileTypes: true })
        .filter((entry) => entry.isDirectory())
        .map(({ name }) => name);
    const named = (name: string) =>
      architecture.includes(`\`${name}\``) || architecture.includes(`/${name}\``);
    const all = [...folders('src/core'), ...folders('src/bench'), ...folders('src')].filter(
      (name) => name !== 'core',
    );
    expect(all.length).toBeGreaterThan(25);
    expect(all.filter((name) => !named(name))).toEqual([]);
  });

  it('link to nothing that is not there', () => {
    const files = readdirSync(DOCS, { recursive: true, encoding: 'utf8' }).filter((name) =>
      name.endsWith('.md'),
    );
    const all = [
      ...files.map((name) => join(DOCS, name)),
      ...['README.md', 'CONTRIBUTING.md'].map((name) => join(DOCS, '..', name)),
    ];
    const broken = all.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/\]\(([^)#:]+)\)/g)]
        .map(([, target]) => join(file, '..', target!))
        .filter((target) => !existsSync(target)),
    );
    expect(broken).toEqual([]);
  });

  it('list every key that the bench lists', () => {
    const readme = readFileSync(join(DOCS, '../README.md'), 'utf8');
    const rows = readme
      .slice(readme.indexOf('## Keys'), readme.indexOf('## The command line'))
      .split('\n')
      .filter((line) => line.startsWith('|'))
      .slice(2)
      .map((line) => line.split('|').map((cell) => cell.trim()))
      .map(([, where, keys, what]) => ({ where, keys, what }));
    const listed = KEYS.flatMap(({ where, keys: all }) =>
      all.map(({ keys, what }, index) => ({ where: index === 0 ? where : '', keys, what })),
    );
    expect(listed.length).toBeGreaterThan(20);
    expect(rows).toEqual(listed);
  });

  it('explain every field of the formats', () => {
    const formats = readFileSync(join(DOCS, 'formats.md'), 'utf8');
    const fields = [...Object.keys(designSchema.shape), ...COUNTS_FIELDS];
    expect(fields.filter((field) => !formats.includes(`\`${field}\``))).toEqual([]);
  });
});
