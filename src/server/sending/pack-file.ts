import { Zip, ZipPassThrough } from 'fflate';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { cleanLines } from '../../core/formats/clean-text.ts';
import { distinctNames, fileNameOf } from '../../core/formats/file-name.ts';
import { formatCardCsv } from '../../core/formats/shade-card.ts';
import { sizeText } from './query-wishes.ts';

/** A part of a pack, piece by piece. */
export type PackPieces = AsyncIterable<Uint8Array | string> | Iterable<string>;

/** Makes one of a design's files. */
export type MakePart = (file: string, query: URLSearchParams) => PackPieces;

/** Longest words of one's own, in characters. */
const MOST_WORDS = 4000;

/** What goes on from the pack's query to its parts. */
const HANDED_ON = ['dpi', 'perThread', 'mixing', 'drawn', 'shrink', 'colourway'] as const;

/** A file of the pack, and its name in it. */
interface Part {
  readonly name: string;
  readonly pieces: () => PackPieces;
}

/**
 * A zip with all that a customer needs of a design: one repeat, a sheet where a size was asked for, its ticket as PDF, its
 * shades, every colourway's repeat, the design itself, and a page to read. Query: `size` or `repeats` for the sheet, `words`
 * for what the page says first; the rest as for a picture.
 * @param at  the time that the zip says of its files
 * @throws CoreError "pack/words" {most}
 */
export function packFile(
  design: Design,
  query: URLSearchParams,
  make: MakePart,
  at: Date,
): AsyncIterable<Uint8Array> {
  const words = cleanLines(query.get('words') ?? '');
  if (words.length > MOST_WORDS) throw new CoreError('pack/words', { most: MOST_WORDS });
  return zipped(partsOf(design, query, make, words), at);
}

function partsOf(design: Design, query: URLSearchParams, make: MakePart, words: string): readonly Part[] {
  const { name, number } = design;
  const handedOn = new URLSearchParams();
  for (const key of HANDED_ON) {
    const value = query.get(key);
    if (value !== null) handedOn.set(key, value);
  }
  const part = (file: string, more: Readonly<Record<string, string>> = {}): Part => {
    const asked = new URLSearchParams(handedOn);
    for (const [key, value] of Object.entries(more)) asked.set(key, value);
    const colourway = asked.get('colourway') ?? '';
    return {
      name: fileNameOf({
        name,
        number,
        file,
        colourway,
        size: sizeText(asked),
        shrink: asked.get('shrink') ?? '',
      }),
      pieces: () => make(file, asked),
    };
  };
  const sheet = ['size', 'repeats'].flatMap((key) => {
    const value = query.get(key) ?? '';
    return value === '' ? [] : [part('tile.png', { [key]: value })];
  });
  const parts = [
    part('tile.png'),
    ...sheet,
    {
      ...part('tile.pdf', { paper: 'A4' }),
      name: fileNameOf({ name: `${name} ticket`, number, file: 'tile.pdf' }),
    },
    ...design.colourways.map((each) => part('tile.png', { colourway: each.name })),
    {
      name: fileNameOf({ name: `${name} shades`, number, file: 'card.csv' }),
      pieces: () => [formatCardCsv(design.shades)],
    },
    part('design.json'),
  ];
  const [first = '', ...names] = distinctNames(['Read me.txt', ...parts.map((each) => each.name)]);
  const named = parts.map((each, at) => ({ ...each, name: names[at]! }));
  return [{ name: first, pieces: () => [readme(design, names, words)] }, ...named];
}

function readme({ name, number, notes }: Design, names: readonly string[], words: string): string {
  const title = number === '' ? name : `${name}, ${number}`;
  const paragraphs = [title, words, notes, `In this folder:\n${names.map((each) => `  ${each}`).join('\n')}`];
  return `${paragraphs.filter((each) => each.trim() !== '').join('\n\n')}\n`;
}

/** Files one after another in a zip. They are stored as they are: what is large in them is packed already. */
async function* zipped(parts: readonly Part[], at: Date): AsyncIterable<Uint8Array> {
  const ready: Uint8Array[] = [];
  let broken: Error | undefined;
  const zip = new Zip((error, bytes) => {
    if (error !== null) broken = error;
    else ready.push(bytes);
  });
  const hand = function* () {
    if (broken !== undefined) throw broken;
    yield* ready.splice(0);
  };
  for (const { name, pieces } of parts) {
    const entry = new ZipPassThrough(name);
    entry.mtime = at;
    zip.add(entry);
    for await (const piece of pieces()) {
      entry.push(typeof piece === 'string' ? Buffer.from(piece) : Uint8Array.from(piece));
      yield* hand();
    }
    entry.push(new Uint8Array(0), true);
    yield* hand();
  }
  zip.end();
  yield* hand();
}
