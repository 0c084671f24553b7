import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import { expect } from 'vitest';
import { compile } from '../src/core/design/compile-design.ts';
import type { Design } from '../src/core/design/design-schema.ts';
import { rational } from '../src/core/exact/rational.ts';
import { orderPicture } from '../src/core/formats/picture-order.ts';
import { unitToPng } from '../src/core/formats/png/unit-png.ts';
import { makeFile } from '../src/server/sending/make-file.ts';
import { nodeCompressor } from '../src/server/sending/node-compressor.ts';
import { picturesOf } from './pictures-of.ts';

const folder = mkdtempSync(join(tmpdir(), 'vetro-pdf-'));
// Files of tests share this module, so it goes with the process and not with the first of them.
process.once('exit', () => rmSync(folder, { recursive: true, force: true }));

let files = 0;

/** A design's PDF, in a file. @returns its path */
export async function pdf(design: Design, query: string): Promise<string> {
  const { pieces } = makeFile({
    design,
    pictures: picturesOf(design),
    file: 'tile.pdf',
    query: new URLSearchParams(query),
  });
  const bytes: Uint8Array[] = [];
  for await (const piece of pieces) bytes.push(piece as Uint8Array);
  files += 1;
  const path = join(folder, `${files}.pdf`);
  writeFileSync(path, Buffer.concat(bytes));
  return path;
}

/** What a program prints. */
export function told(program: string, args: readonly string[]): string {
  return execFileSync(program, [...args], { encoding: 'utf8' });
}

/** How other programs paint one page of a PDF into a PNG. */
const READERS = {
  poppler: (path: string, dpi: number, page: number, root: string) => {
    const only = ['-f', String(page), '-l', String(page), '-singlefile'];
    execFileSync('pdftoppm', ['-r', String(dpi), ...only, '-png', path, root]);
  },
  mupdf: (path: string, dpi: number, page: number, root: string) => {
    execFileSync('mutool', ['draw', '-q', '-r', String(dpi), '-o', `${root}.png`, path, String(page)]);
  },
  ghostscript: (path: string, dpi: number, page: number, root: string) => {
    const one = [`-dFirstPage=${page}`, `-dLastPage=${page}`, '-dTextAlphaBits=4', '-dGraphicsAlphaBits=4'];
    const out = ['-q', '-dNOPAUSE', '-dBATCH', '-sDEVICE=png16m', `-r${dpi}`, `-sOutputFile=${root}.png`];
    execFileSync('gs', [...out, ...one, path]);
  },
} as const;

export type Reader = keyof typeof READERS;

/** A page as a reader paints it. */
export function painted(path: string, dpi: number, page = 1, reader: Reader = 'poppler'): PNG {
  const root = join(folder, 'page');
  READERS[reader](path, dpi, page, root);
  return PNG.sync.read(readFileSync(`${root}.png`));
}

/** The same cloth as we paint it, of that many pixels from its upper left corner. */
export async function ours(
  design: Design,
  dpi: number,
  { width, height }: { readonly width: number; readonly height: number },
): Promise<PNG> {
  const unit = compile(design, picturesOf(design));
  const order = orderPicture(unit, { dpi: rational(dpi) }, { kind: 'crop', width, height });
  const pieces: Uint8Array[] = [];
  for await (const piece of unitToPng(unit, order, nodeCompressor)) pieces.push(piece);
  return PNG.sync.read(Buffer.concat(pieces));
}

/** Part of the pixels of which some byte differs by more than that. */
export function differing(a: PNG, b: PNG, more: number): number {
  expect([a.width, a.height]).toEqual([b.width, b.height]);
  let count = 0;
  for (let at = 0; at < a.data.length; at += 4) {
    const apart = [0, 1, 2].some((part) => Math.abs(a.data[at + part]! - b.data[at + part]!) > more);
    if (apart) count += 1;
  }
  return count / (a.width * a.height);
}
