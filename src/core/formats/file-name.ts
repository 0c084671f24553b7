import { cleanText } from './clean-text.ts';

/** What tells files of one kind apart, where a design has more than one of them. */
const WORDS: ReadonlyMap<string, string> = new Map([
  ['draft.svg', 'draft'],
  ['paper.svg', 'point paper'],
  ['paper.png', 'point paper'],
  ['texture.png', 'texture'],
  ['faces.csv', 'faces'],
  ['strike-off.png', 'strike-off'],
  ['print.png', 'printed'],
  ['print.txt', 'print run'],
]);

/** Characters that some file system refuses. Source: Microsoft Learn, "Naming Files, Paths, and Namespaces". */
const REFUSED = /[\\/:*?"<>|]/g;

/** Names that stand for devices, whatever ending follows. Source: the same. */
const DEVICE = /^(con|prn|aux|nul|com[0-9¹²³]|lpt[0-9¹²³])(?=\.|$)/i;

/** Marks that turn the direction of what follows, so that an ending reads as another. Source: Unicode Standard Annex 9, §2. */
const DIRECTIONS = /[\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/g;

/** Bytes of a name but for its ending, in UTF-8; file systems take 255 of all. */
const MOST_BYTES = 200;

export interface NamedFile {
  /** The design's. */
  readonly name: string;
  /** The file as the server calls it, such as "paper.png". */
  readonly file: string;
  /** The design's number, where it has one. */
  readonly number?: string;
  readonly colourway?: string;
  /** A sheet's, as it was asked for, such as "300 x 200 mm". */
  readonly size?: string;
  /** By what the cloth will shrink, where it was made larger for that. */
  readonly shrink?: string;
}

/** The name of a file that is sent: "Scullery cloth 2041 Night point paper.png". */
export function fileNameOf({
  name,
  file,
  number = '',
  colourway = '',
  size = '',
  shrink = '',
}: NamedFile): string {
  const words = [
    name,
    number,
    colourway,
    WORDS.get(file) ?? '',
    size.replaceAll('"', ' in'),
    shrink === '' ? '' : `for shrinkage ${shrink}`,
  ];
  const plain = cleanText(
    words
      .filter((word) => word !== '')
      .join(' ')
      .replace(DIRECTIONS, ''),
  ).replace(REFUSED, '-');
  const ending = file.slice(file.indexOf('.'));
  // Names that begin with a point are hidden by some systems.
  const stem = shortened(plain.trim().replace(/^\./, '-'), MOST_BYTES).replace(DEVICE, '$1-');
  return `${stem}${ending}`;
}

/** Names of files that lie in one folder: where two are one to some file system, the later is numbered. */
export function distinctNames(names: readonly string[]): readonly string[] {
  const taken = new Set<string>();
  const seenAs = (name: string) => name.normalize('NFC').toLowerCase();
  return names.map((name) => {
    const dot = name.indexOf('.') === -1 ? name.length : name.indexOf('.');
    let distinct = name;
    for (let number = 2; taken.has(seenAs(distinct)); number += 1) {
      distinct = `${name.slice(0, dot)} ${number}${name.slice(dot)}`;
    }
    taken.add(seenAs(distinct));
    return distinct;
  });
}

/** As many whole characters as fit into so many bytes of UTF-8. */
function shortened(text: string, most: number): string {
  let bytes = 0;
  let short = '';
  for (const character of text) {
    const code = character.codePointAt(0)!;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
    if (bytes > most) return short.trimEnd();
    short += character;
  }
  return short;
}
