import { CoreError } from '../../error.ts';
import type { BareCode } from '../../error-facts.ts';
import { TEXT_FILES, type TextFile } from '../construction.ts';
import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';

/** What is wrong with asking for a file that a design has not. */
const NONE: Readonly<Record<TextFile, BareCode>> = {
  'counts.txt': 'tiling/no-counts',
  'counts.csv': 'tiling/no-counts',
  'draft.wif': 'weave/none',
  'draft.svg': 'weave/none',
  'paper.svg': 'weave/none',
  'faces.csv': 'tiling/none',
  'faces.json': 'tiling/none',
};

/** The files of text that a design can be written as. */
export function filesOf({ construction }: Design): readonly TextFile[] {
  const files = kindFor(construction).filesOf(construction);
  return TEXT_FILES.filter((file) => file in files);
}

/**
 * A design as a file of text.
 * @throws CoreError "tiling/no-counts" | "weave/none" | "tiling/none" where it has no such file, or of the writer
 */
export function writeFile(design: Design, file: TextFile): string {
  const write = kindFor(design.construction).filesOf(design.construction)[file];
  if (write === undefined) throw new CoreError(NONE[file]);
  return write(design);
}

export function designToText(design: Design): string {
  return writeFile(design, 'counts.txt');
}

export function designToCsv(design: Design): string {
  return writeFile(design, 'counts.csv');
}

export function designToWif(design: Design): string {
  return writeFile(design, 'draft.wif');
}
