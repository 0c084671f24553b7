import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { designSchema } from '../../src/core/design/design-schema.ts';
import { COUNTS_FIELDS } from '../../src/core/formats/counts-text.ts';

const DOCS = resolve(import.meta.dirname, '../../docs');

describe('the documents', () => {
  it('hold the schema that designs are read with (npm run schema writes it)', () => {
    const written: unknown = JSON.parse(readFileSync(join(DOCS, 'design.schema.json'), 'utf8'));
    const { $id: _, title: __, ...schema } = written as Record<string, unknown>;
    expect(schema).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(designSchema))));
  });

  it('explain every field of the formats', () => {
    const formats = readFileSync(join(DOCS, 'formats.md'), 'utf8');
    const fields = [...Object.keys(designSchema.shape), ...COUNTS_FIELDS];
    expect(fields.filter((field) => !formats.includes(`\`${field}\``))).toEqual([]);
  });
});
