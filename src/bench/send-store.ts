import { create } from 'zustand';
import type { Mixing } from '../core/colour/mixing.ts';
import { type Design, isPlaid, isWoven } from '../core/design/design-schema.ts';
import type { Rectangle } from '../core/exact/vector.ts';
import { type PictureScale, parsePerStep, parseSheet } from '../core/formats/picture-order.ts';
import type { Drawn } from '../core/paint/thread-light.ts';
import { parseResolution } from '../core/units/resolution.ts';
import { type Attempt, attempt } from '../wording/attempt.ts';

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
  readonly what: 'tile' | 'sheet';
  readonly scale: 'thread' | 'dpi';
  readonly perThread: string;
  readonly size: string;
  /** How far faces run under their neighbours in an SVG; empty: as far as does no harm. */
  readonly underlap: string;
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
  underlap: '',
  drawn: 'flat',
  mixing: 'light',
  colourway: '',
}));

/** A wish in numbers, as the painter and the server's addresses take it. */
export interface SendNumbers {
  readonly scale: PictureScale;
  readonly sheet: Rectangle | undefined;
}

/** Reads a wish; the sentence says what of it is not right. */
export function readWish(wish: SendWish, design: Design): Attempt<SendNumbers> {
  const { lay, resolution } = design;
  return attempt(() => ({
    scale: byThread(wish, design)
      ? { perStep: parsePerStep(wish.perThread) }
      : { dpi: parseResolution(resolution) },
    sheet: wish.what === 'sheet' ? parseSheet(wish.size, lay.unit) : undefined,
  }));
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

/** Address of the file that a wish asks for. */
export function addressOf(id: string, wish: SendWish, design: Design): string {
  const query = new URLSearchParams({ save: '' });
  if (wish.file === 'png') {
    if (byThread(wish, design)) query.set('perThread', wish.perThread);
    else query.set('dpi', design.resolution);
    if (wish.mixing !== 'light') query.set('mixing', wish.mixing);
    if (drawnAs(wish, design) !== 'flat') query.set('drawn', wish.drawn);
  }
  if (wish.file === 'paper' || wish.file === 'texture') query.set('perThread', wish.perThread);
  if (wish.file === 'svg' && wish.underlap !== '') query.set('underlap', wish.underlap);
  if (wish.colourway !== '') query.set('colourway', wish.colourway);
  if (wish.what === 'sheet' && isPicture(wish.file)) query.set('size', wish.size);
  return `/api/designs/${id}/files/${FILE_NAMES[wish.file]}?${query}`;
}

/** Threads are drawn in a PNG of woven cloth; in all else there are none. */
export function drawnAs({ file, drawn }: SendWish, design: Design): Drawn {
  return file === 'png' && isWoven(design) ? drawn : 'flat';
}

/** Pixels a thread are for cloth that has threads. */
function byThread({ file, scale }: SendWish, design: Design): boolean {
  return file === 'png' && scale === 'thread' && isPlaid(design);
}

/** Files that show the structure alone. */
export function isStructure(file: SendFile): boolean {
  return file === 'draft' || file === 'squares' || file === 'paper' || file === 'texture';
}

/** Ending of a file's name. */
export function endingOf(file: SendFile): string {
  return FILE_NAMES[file].split('.')[1]!;
}

export function isPicture(file: SendFile): boolean {
  return file === 'png' || file === 'svg';
}
