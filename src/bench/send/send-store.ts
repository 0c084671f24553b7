import { create } from 'zustand';
import type { Mixing } from '../../core/colour/mixing.ts';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import type { Vector } from '../../core/exact/vector.ts';
import {
  LIBRARY_KINDS,
  type LibraryKind,
  type LibraryWish,
  readLibraryWish,
} from '../../core/formats/library-wish.ts';
import {
  type PictureOrder,
  type PictureScale,
  parsePerStep,
  pixelSize,
  type SheetFacts,
} from '../../core/formats/picture-order.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../core/formats/sheet.ts';
import { parseShrinkage, UNSHRUNK } from '../../core/formats/shrinkage.ts';
import type { Drawn } from '../../core/paint/cells/thread-light.ts';
import { USUAL_SUBSTRATE } from '../../core/print/substrate.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { type Attempt, attempt } from '../../wording/attempt.ts';

export const SEND_FILES = [
  'png',
  'jpg',
  'tif',
  'webp',
  'svg',
  'pdf',
  'txt',
  'csv',
  'faces',
  'wif',
  'json',
  'pack',
  'strike',
  'draft',
  'paper',
  'squares',
  'texture',
] as const;
export type SendFile = (typeof SEND_FILES)[number];

/** What is to be sent, as it was typed; it belongs to the bench, not to the design. */
export interface SendWish {
  readonly file: SendFile;
  readonly what: 'tile' | 'repeats' | 'size';
  readonly scale: 'thread' | 'dpi';
  readonly perThread: string;
  readonly size: string;
  /** Repeats across and down of a sheet. */
  readonly across: string;
  readonly down: string;
  /** Whether every repeat of a sheet in pixels stands at its true place. */
  readonly trueScale: boolean;
  /** How far faces run under their neighbours in an SVG; empty: as far as does no harm. */
  readonly underlap: string;
  /** Whether what blends in an SVG is a picture. */
  readonly flatten: boolean;
  /** How the threads of woven cloth look in a PNG. */
  readonly drawn: Drawn;
  /** How colours that share a pixel of a PNG are mixed. */
  readonly mixing: Mixing;
  /** By what warp and weft will shrink; empty: not at all. */
  readonly shrink: string;
  /** Of a JPEG or a WebP. */
  readonly quality: string;
  /** Of a JPEG. */
  readonly chroma: LibraryWish['chroma'];
  /** Of a TIFF. */
  readonly compression: LibraryWish['compression'];
  /** Whether the sRGB profile is embedded. */
  readonly profile: boolean;
  /** Of a PDF; empty: as large as the cloth. */
  readonly paper: string;
  readonly bleed: string;
  readonly marks: boolean;
  readonly ticket: boolean;
  /** What the page in a pack says first. */
  readonly words: string;
  /** Cloth that a strike-off is printed on, and whether it is shown washed. */
  readonly substrate: string;
  readonly washed: boolean;
  /** Of cloth that is ordered from a print house. */
  readonly clothLength: string;
  /** The strike-off that is shown: as it is foreseen, or as it came from the print house. */
  readonly strikeOff: 'foreseen' | 'came';
  /** Name of a colourway; empty: as it is. */
  readonly colourway: string;
}

export const useSend = create<SendWish>(() => ({
  file: 'png',
  what: 'tile',
  scale: 'dpi',
  perThread: '4',
  size: '300 x 300 mm',
  across: '2',
  down: '2',
  trueScale: false,
  underlap: '',
  flatten: false,
  drawn: 'flat',
  mixing: 'light',
  shrink: '',
  quality: '90',
  chroma: 'full',
  compression: 'lzw',
  profile: true,
  paper: '',
  bleed: '0 mm',
  marks: false,
  ticket: true,
  words: '',
  substrate: USUAL_SUBSTRATE,
  washed: false,
  clothLength: '500 mm',
  strikeOff: 'foreseen',
  colourway: '',
}));

/** What comes of a wish, as the preview found it last; undefined while it is not known. */
interface FoundOrder {
  readonly ordered: SendOrder | undefined;
  /** Whether that is of an earlier wish or design. */
  readonly isDue: boolean;
}

export const useSendOrder = create<FoundOrder>(() => ({ ordered: undefined, isDue: false }));

/** Whole pixels of a picture, and what its sheet holds. */
export interface SendOrder extends SheetFacts {
  readonly order: PictureOrder;
}

/** A wish in numbers, as the painter and the server's addresses take it. */
export interface SendNumbers {
  readonly scale: PictureScale;
  readonly sheet: Sheet | undefined;
  /** What lengths are multiplied by, each way, so that they are right when the cloth has shrunk. */
  readonly stretch: Vector;
  /** Whether every repeat stands at its true place. */
  readonly isTrue: boolean;
}

/** Reads a wish; the sentence says what of it is not right. */
export function readWish(wish: SendWish, design: Design): Attempt<SendNumbers> {
  return attempt(() => {
    const scale = scaleOf(wish, design);
    if (isLibrary(wish.file)) readLibraryWish(wish);
    return {
      scale,
      sheet: sheetOf(wish, design, scale),
      stretch: stretchOf(wish),
      isTrue: isTrueScale(wish),
    };
  });
}

/** Repeats of a sheet in pixels may be rounded, or stand at their true places; drawings know no pixels. */
export function isTrueScale({ file, what, trueScale }: SendWish): boolean {
  return trueScale && what !== 'tile' && isRaster(file);
}

/** @throws CoreError of the parts */
export function scaleOf(wish: SendWish, design: Design): PictureScale {
  return byThread(wish, design)
    ? { perStep: parsePerStep(wish.perThread) }
    : { dpi: parseResolution(design.resolution) };
}

function stretchOf({ shrink }: SendWish): Vector {
  return shrink.trim() === '' ? UNSHRUNK : parseShrinkage(shrink);
}

function sheetOf(wish: SendWish, design: Design, scale: PictureScale): Sheet | undefined {
  switch (wish.what) {
    case 'tile':
      return undefined;
    case 'repeats':
      return parseRepeats(repeatsText(wish));
    case 'size':
      return parseSheet(wish.size, design.lay.unit, pixelSize(scale, pitchOf(design.lay)));
    default:
      return wish.what satisfies never;
  }
}

function repeatsText({ across, down }: SendWish): string {
  return `${across} x ${down}`;
}

/** The name that the server has for a kind of file. */
const FILE_NAMES: Readonly<Record<SendFile, string>> = {
  png: 'tile.png',
  jpg: 'tile.jpg',
  tif: 'tile.tif',
  webp: 'tile.webp',
  svg: 'tile.svg',
  pdf: 'tile.pdf',
  txt: 'counts.txt',
  csv: 'counts.csv',
  faces: 'faces.csv',
  wif: 'draft.wif',
  json: 'design.json',
  pack: 'pack.zip',
  strike: 'strike-off.png',
  draft: 'draft.svg',
  paper: 'paper.png',
  squares: 'paper.svg',
  texture: 'texture.png',
};

/** A file as the server calls it. */
export function fileOf(file: SendFile): string {
  return FILE_NAMES[file];
}

/** What a wish asks for, as the server's addresses write it. */
export function queryOf(wish: SendWish, design: Design): URLSearchParams {
  const query = new URLSearchParams();
  if (isRaster(wish.file)) {
    if (byThread(wish, design)) query.set('perThread', wish.perThread);
    else query.set('dpi', design.resolution);
    if (wish.mixing !== 'light') query.set('mixing', wish.mixing);
    if (drawnAs(wish, design) !== 'flat') query.set('drawn', wish.drawn);
  }
  if (wish.file === 'jpg' || wish.file === 'webp') query.set('quality', wish.quality);
  if (wish.file === 'jpg') query.set('chroma', wish.chroma);
  if (wish.file === 'tif') query.set('compression', wish.compression);
  if (isLibrary(wish.file) && !wish.profile) query.set('profile', 'none');
  if (wish.file === 'pack') {
    query.set('dpi', design.resolution);
    if (wish.words.trim() !== '') query.set('words', wish.words);
  }
  if (wish.file === 'strike') {
    query.set('dpi', design.resolution);
    query.set('substrate', wish.substrate);
    if (wish.washed) query.set('washed', '');
  }
  if (wish.file === 'pdf') {
    query.set('dpi', design.resolution);
    if (wish.paper !== '') query.set('paper', wish.paper);
    if (wish.bleed.trim() !== '' && wish.bleed !== '0 mm') query.set('bleed', wish.bleed);
    if (wish.marks) query.set('marks', '');
    if (!wish.ticket) query.set('ticket', 'none');
  }
  if (wish.file === 'paper' || wish.file === 'texture') query.set('perThread', wish.perThread);
  if (wish.file === 'svg' && wish.underlap !== '') query.set('underlap', wish.underlap);
  if (isFlattened(wish, design)) {
    query.set('flatten', '');
    query.set('dpi', design.resolution);
  }
  if (wish.colourway !== '') query.set('colourway', wish.colourway);
  if (isPicture(wish.file)) {
    if (wish.what === 'repeats') query.set('repeats', repeatsText(wish));
    if (wish.what === 'size') query.set('size', wish.size);
    if (isTrueScale(wish)) query.set('true-scale', '');
    if (wish.shrink.trim() !== '' && wish.file !== 'strike') query.set('shrink', wish.shrink);
  }
  return query;
}

/** What is asked of a print house. */
export function printQueryOf(wish: SendWish, design: Design): URLSearchParams {
  const query = new URLSearchParams({
    substrate: wish.substrate,
    length: wish.clothLength,
    dpi: design.resolution,
  });
  if (wish.shrink.trim() !== '') query.set('shrink', wish.shrink);
  if (wish.colourway !== '') query.set('colourway', wish.colourway);
  return query;
}

/** Whether an SVG of what blends is asked for as a picture. */
export function isFlattened({ file, flatten }: SendWish, { construction }: Design): boolean {
  return file === 'svg' && flatten && kindFor(construction).drawing === 'flatten';
}

/** Threads are drawn in a PNG of woven cloth; in all else there are none. */
export function drawnAs({ file, drawn }: SendWish, design: Design): Drawn {
  return isRaster(file) && wovenOf(design) !== undefined ? drawn : 'flat';
}

/** Pixels a thread are for cloth that has threads. */
function byThread({ file, scale }: SendWish, design: Design): boolean {
  return isRaster(file) && scale === 'thread' && inThreads(design);
}

/** Files that show the structure alone. */
export function isStructure(file: SendFile): boolean {
  return file === 'draft' || file === 'squares' || file === 'paper' || file === 'texture';
}

/** Pictures and drawings of the repeat, or of a sheet of it. */
export function isPicture(file: SendFile): boolean {
  return isRaster(file) || ['svg', 'pdf', 'pack', 'strike'].includes(file);
}

/** Pictures in whole pixels. */
export function isRaster(file: SendFile): boolean {
  return file === 'png' || isLibrary(file);
}

/** Pictures that an image library writes. */
export function isLibrary(file: SendFile): file is LibraryKind {
  return LIBRARY_KINDS.some((kind) => kind === file);
}
