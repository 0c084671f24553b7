import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { NO_PICTURES } from '../../src/core/shape/picture.ts';
import { collectionFile } from '../../src/server/sending/collection/collection-file.ts';

/** Collection sheets as other programs read them: poppler (pdfinfo, pdftotext) and qpdf. */
const folder = mkdtempSync(join(tmpdir(), 'vetro-collection-'));
afterAll(() => rmSync(folder, { recursive: true }));

const AT = new Date('2026-03-01T10:00:00Z');

function collection(designs: readonly Design[], scale = '50%'): Promise<Uint8Array> {
  const shown = designs.map((design) => ({ design, pictures: NO_PICTURES }));
  return collectionFile({ title: 'Stations', designs: shown, scale, at: AT });
}

const FLOOR = designFromStart('tiling', '4.8.8');
const HEXAGONS = designFromStart('tiling', '6.6.6');

describe('a collection sheet', () => {
  it('has six designs on a page, each with its name and number, and is sound', async () => {
    const designs = Array.from({ length: 7 }, (_, at) => ({
      ...(at % 2 === 0 ? FLOOR : HEXAGONS),
      number: `LLR ${at + 1}`,
    }));
    const path = join(folder, 'stations.pdf');
    writeFileSync(path, await collection(designs));
    expect(execFileSync('qpdf', ['--check', path], { encoding: 'utf8' })).toContain('No syntax');
    const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
    expect(info).toMatch(/Title: +Stations/);
    expect(info).toMatch(/Pages: +2/);
    // A4. Source: ISO 216.
    expect(info).toMatch(/Page size: +595\.276 x 841\.89 pts/);
    const second = execFileSync('pdftotext', ['-f', '2', '-l', '2', path, '-'], { encoding: 'utf8' });
    expect(second).toContain('LLR 7');
    expect(second).toContain('50 % of true size, sheet 2 of 2');
    expect(second).not.toContain('LLR 6');
  });

  it.each<[string, readonly Design[], string]>([
    ['collection/empty', [], '50%'],
    ['collection/scale', [FLOOR], '0.1%'],
    ['collection/scale', [FLOOR], '11'],
    ['collection/too-many', Array.from({ length: 201 }, () => FLOOR), '50%'],
  ])('refuses with %s', async (code, designs, scale) => {
    await expect(collection(designs, scale)).rejects.toMatchObject({ code });
  });
});
