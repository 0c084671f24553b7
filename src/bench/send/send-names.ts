import { wovenOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { filesOf } from '../../core/design/exchange/write-file.ts';
import { fileOf, isPicture, isStructure, SEND_FILES, type SendFile } from './send-store.ts';

/** What each file is called where it is chosen. */
export const FILE_NAMES: Readonly<Record<SendFile, string>> = {
  png: 'PNG',
  jpg: 'JPEG',
  tif: 'TIFF',
  webp: 'WebP',
  svg: 'SVG',
  pdf: 'PDF',
  txt: 'Counts',
  csv: 'CSV',
  faces: 'Faces',
  wif: 'WIF',
  json: 'Design',
  pack: 'Pack',
  strike: 'Strike-off',
  draft: 'Draft',
  paper: 'Point paper',
  squares: 'Squares',
  texture: 'Texture',
};

/** Pictures, drawings and the design itself can always be sent; files of text where the construction has them. */
function isSent(file: SendFile, design: Design): boolean {
  if (isStructure(file)) return false;
  return isPicture(file) || file === 'json' || filesOf(design).some((each) => each === fileOf(file));
}

/** Every file that a design may be sent as, those of its structure last. */
export function filesFor(design: Design): readonly SendFile[] {
  const structure = wovenOf(design) === undefined ? [] : SEND_FILES.filter(isStructure);
  return [...SEND_FILES.filter((file) => isSent(file, design)), ...structure];
}
