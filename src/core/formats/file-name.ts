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
}

/** The name of a file that is sent: "Scullery cloth 2041 Night point paper.png". */
export function fileNameOf({ name, file, number = '', colourway = '', size = '' }: NamedFile): string {
  const words = [name, number, colourway, WORDS.get(file) ?? '', size.replaceAll('"', ' in')];
  const plain = cleanText(words.filter((word) => word !== '').join(' ')).replace(REFUSED, '-');
  const ending = file.slice(file.indexOf('.'));
  // Names that begin with a point are hidden by some systems.
  return `${plain.trim().replace(/^\./, '-').slice(0, 200)}${ending}`;
}
