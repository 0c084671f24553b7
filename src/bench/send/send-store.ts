import { create } from 'zustand';
import type { Mixing } from '../../core/colour/mixing.ts';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import {
  type PictureOrder,
  type PictureScale,
  parsePerStep,
  pixelSize,
  type SheetFacts,
} from '../../core/formats/picture-order.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../core/formats/sheet.ts';
import type { Drawn } from '../../core/paint/cells/thread-light.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { type Attempt, attempt } from '../../wording/attempt.ts';

export const SEND_FILES = [
  'png',
  'svg',
  'txt',
  'csv',
  'faces',
  'wif',
  'json',
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
  /** How far faces run under their neighbours in an SVG; empty: as far as does no harm. */
  readonly underlap: string;
  /** Whether what blends in an SVG is a picture. */
  readonly flatten: boolean;
  /** How the threads of woven cloth look in a PNG. */
  readonly drawn: Drawn;
  /** How colours that share a pixel of a PNG are mixed. */
  readonly mixing: Mixing;
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
  underlap: '',
  flatten: false,
  drawn: 'flat',
  mixing: 'light',
  colourway: '',
}));

/** What comes of the wish, as the preview found it; undefined while it is not known. */
export const useSendOrder = create<{ readonly ordered: SendOrder | undefined }>(() => ({
  ordered: undefined,
}));

/** Whole pixels of a picture, and what its sheet holds. */
export interface SendOrder extends SheetFacts {
  readonly order: PictureOrder;
}

/** A wish in numbers, as the painter and the server's addresses take it. */
export interface SendNumbers {
  readonly scale: PictureScale;
  readonly sheet: Sheet | undefined;
}

/** Reads a wish; the sentence says what of it is not right. */
export function readWish(wish: SendWish, design: Design): Attempt<SendNumbers> {
  return attempt(() => {
    const scale = scaleOf(wish, design);
    return { scale, sheet: sheetOf(wish, design, scale) };
  });
}

/** @throws CoreError of the parts */
export function scaleOf(wish: SendWish, design: Design): PictureScale {
  return byThread(wish, design)
    ? { perStep: parsePerStep(wish.perThread) }
    : { dpi: parseResolution(design.resolution) };
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
  svg: 'tile.svg',
  txt: 'counts.txt',
  csv: 'counts.csv',
  faces: 'faces.csv',
  wif: 'draft.wif',
  json: 'design.json',
  draft: 'draft.svg',
  paper: 'paper.png',
  squares: 'paper.svg',
  texture: 'texture.png',
};

/** A file as the server calls it. */
export function fileOf(file: SendFile): string {
  return FILE_NAMES[file];
}

/** A version of a design as the server has it. */
interface Stored {
  readonly id: string;
  readonly version: number;
}

/** Address of the file that a wish asks for, of the version that is meant. */
export function addressOf({ id, version }: Stored, wish: SendWish, design: Design): string {
  const query = new URLSearchParams({ save: '', v: String(version) });
  if (wish.file === 'png') {
    if (byThread(wish, design)) query.set('perThread', wish.perThread);
    else query.set('dpi', design.resolution);
    if (wish.mixing !== 'light') query.set('mixing', wish.mixing);
    if (drawnAs(wish, design) !== 'flat') query.set('drawn', wish.drawn);
  }
  if (wish.file === 'paper' || wish.file === 'texture') query.set('perThread', wish.perThread);
  if (wish.file === 'svg' && wish.underlap !== '') query.set('underlap', wish.underlap);
  if (isFlattened(wish, design)) {
    query.set('flatten', '');
    query.set('dpi', design.resolution);
  }
  if (wish.colourway !== '') query.set('colourway', wish.colourway);
  if (wish.what === 'repeats' && isPicture(wish.file)) query.set('repeats', repeatsText(wish));
  if (wish.what === 'size' && isPicture(wish.file)) query.set('size', wish.size);
  return `/api/designs/${id}/files/${FILE_NAMES[wish.file]}?${query}`;
}

/** Whether an SVG of what blends is asked for as a picture. */
export function isFlattened({ file, flatten }: SendWish, { construction }: Design): boolean {
  return file === 'svg' && flatten && kindFor(construction).drawing === 'flatten';
}

/** Threads are drawn in a PNG of woven cloth; in all else there are none. */
export function drawnAs({ file, drawn }: SendWish, design: Design): Drawn {
  return file === 'png' && wovenOf(design) !== undefined ? drawn : 'flat';
}

/** Pixels a thread are for cloth that has threads. */
function byThread({ file, scale }: SendWish, design: Design): boolean {
  return file === 'png' && scale === 'thread' && inThreads(design);
}

/** Files that show the structure alone. */
export function isStructure(file: SendFile): boolean {
  return file === 'draft' || file === 'squares' || file === 'paper' || file === 'texture';
}

/** Name of the file that a wish asks for, as it is saved. */
export function savedName({ file, colourway, what }: SendWish, { name }: Design): string {
  return fileNameOf({ name, file: FILE_NAMES[file], colourway, sheet: isPicture(file) && what !== 'tile' });
}

export function isPicture(file: SendFile): boolean {
  return file === 'png' || file === 'svg';
}
