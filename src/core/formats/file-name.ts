import { cleanText } from './clean-text.ts';

/** What tells files of one kind apart, where a design has more than one of them. */
const WORDS: ReadonlyMap<string, string> = new Map([
  ['draft.svg', 'draft'],
  ['paper.svg', 'point paper'],
  ['paper.png', 'point paper'],
  ['texture.png', 'texture'],
  ['faces.csv', 'faces'],
]);

/** Characters that some file system refuses. Source: Microsoft Learn, "Naming Files, Paths, and Namespaces". */
const REFUSED = /[\\/:*?"<>|]/g;

export interface NamedFile {
  /** The design's. */
  readonly name: string;
  /** The file as the server calls it, such as "paper.png". */
  readonly file: string;
  readonly colourway?: string;
  /** Whether it is a sheet of repeats. */
  readonly sheet?: boolean;
}

/** The name of a file that is sent: "Scullery cloth Night point paper.png". */
export function fileNameOf({ name, file, colourway = '', sheet = false }: NamedFile): string {
  const words = [name, colourway, WORDS.get(file) ?? '', sheet ? 'sheet' : ''];
  const plain = cleanText(words.filter((word) => word !== '').join(' ')).replace(REFUSED, '-');
  const ending = file.slice(file.indexOf('.'));
  // Names that begin with a point are hidden by some systems.
  return `${plain.trim().replace(/^\./, '-').slice(0, 200)}${ending}`;
}
