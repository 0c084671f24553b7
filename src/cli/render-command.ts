import { wovenOf } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { CoreError } from '../core/error.ts';
import type { PictureOrder } from '../core/formats/picture-order.ts';
import { makeFile } from '../server/sending/make-file.ts';
import { writeStream } from '../server/sending/write-stream.ts';
import { driftSentence } from '../wording/sheet-words.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { rowsTold } from './rows-told.ts';
import { EXIT, tell } from './run.ts';

export interface RenderOptions {
  readonly output: string;
  readonly perThread?: string;
  readonly dpi?: string;
  readonly size?: string;
  readonly repeats?: string;
  readonly trueScale?: boolean;
  readonly colourway?: string;
  readonly drawn?: string;
  readonly underlap?: string;
  readonly mixing?: string;
  readonly flatten?: boolean;
  readonly shrink?: string;
  readonly quality?: string;
  readonly chroma?: string;
  readonly compression?: string;
  readonly profile?: boolean;
  readonly paper?: string;
  readonly bleed?: string;
  readonly marks?: boolean;
  readonly overlap?: string;
  readonly ticket?: boolean;
}

/** Kinds of files by their endings. */
const KINDS = ['png', 'jpg', 'tif', 'webp', 'svg', 'pdf'] as const;
type Kind = (typeof KINDS)[number];
const SPELLED: Readonly<Record<string, Kind>> = { jpeg: 'jpg', tiff: 'tif' };

/** `vetro render`: a tile, or a sheet of repeats, as the kind of file that its ending says. */
export async function renderCommand(path: string, options: RenderOptions): Promise<number> {
  const kind = kindOf(options.output);
  const design = readDesignFile(path);
  refuseIdle(kind, options, design);
  const query = queryOf(options);
  const pictures = await picturesOf(design);
  const progress = rowsTold();
  const { pieces } = makeFile({
    design,
    file: `tile.${kind}`,
    query,
    pictures,
    told: progress.told,
    ordered: tellDrift,
  });
  try {
    await writeStream(options.output, pieces);
  } finally {
    progress.end();
  }
  return EXIT.fine;
}

/** Says what lies on a sheet where each repeat is rounded to whole pixels. */
function tellDrift(order: PictureOrder): void {
  const words = driftSentence(order);
  if (words !== '') tell(`${words} With --true-scale each stands at its place.`);
}

function kindOf(output: string): Kind {
  const ending = /\.([a-z]+)$/i.exec(output)?.[1]?.toLowerCase() ?? '';
  const kind = SPELLED[ending] ?? KINDS.find((each) => each === ending);
  if (kind === undefined) throw new CoreError('file/kind-written', { name: output, kinds: [...KINDS] });
  return kind;
}

/** Options that a file is made by, as the server's addresses write them. */
const ASKED = [
  'perThread',
  'dpi',
  'size',
  'repeats',
  'colourway',
  'drawn',
  'underlap',
  'mixing',
  'shrink',
  'quality',
  'chroma',
  'compression',
  'paper',
  'bleed',
  'overlap',
] as const;

function queryOf(options: RenderOptions): URLSearchParams {
  const query = new URLSearchParams();
  for (const name of ASKED) {
    const text = options[name];
    if (text !== undefined) query.set(name, text);
  }
  if (options.trueScale === true) query.set('true-scale', '');
  if (options.flatten === true) query.set('flatten', '');
  if (options.profile === false) query.set('profile', 'none');
  if (options.marks === true) query.set('marks', '');
  if (options.ticket === false) query.set('ticket', 'none');
  return query;
}

/** Options that would do nothing: who gives them expects something of them. */
function refuseIdle(kind: Kind, options: RenderOptions, design: Design): void {
  const drawing = kind === 'svg';
  const flatten = options.flatten === true;
  const lossy = kind === 'jpg' || kind === 'webp';
  const idle: readonly (readonly [option: string, given: boolean, why: string])[] = [
    ['--dpi', drawing && !flatten && options.dpi !== undefined, 'a drawing has no pixels'],
    ['--per-thread', drawing && !flatten && options.perThread !== undefined, 'a drawing has no pixels'],
    ['--true-scale', options.trueScale === true && (drawing || kind === 'pdf'), 'a drawing has no pixels'],
    [
      '--true-scale',
      options.trueScale === true && options.size === undefined && options.repeats === undefined,
      'one repeat is a whole number of pixels; it is for sheets',
    ],
    ['--flatten', flatten && !drawing, 'a picture is flat'],
    ['--drawn', drawing && options.drawn !== undefined, 'a drawing shows flat shades'],
    ['--mixing', drawing && options.mixing === 'bytes', 'a drawing has no pixels'],
    ['--underlap', !drawing && options.underlap !== undefined, 'a picture needs none'],
    ['--quality', !lossy && options.quality !== undefined, 'only a JPEG or a WebP gives detail away'],
    [
      '--chroma',
      kind !== 'jpg' && options.chroma !== undefined,
      'only a JPEG’s colours may be coarser than its light',
    ],
    [
      '--compression',
      kind !== 'tif' && options.compression !== undefined,
      'only a TIFF is packed one way or another',
    ],
    [
      '--no-profile',
      (drawing || kind === 'png' || kind === 'pdf') && options.profile === false,
      'this kind embeds none',
    ],
    ...(['paper', 'bleed', 'overlap', 'marks'] as const).map(
      (name) => [`--${name}`, kind !== 'pdf' && options[name] !== undefined, 'only a PDF has pages'] as const,
    ),
    ['--no-ticket', kind !== 'pdf' && options.ticket === false, 'only a PDF has one'],
    [
      '--drawn',
      wovenOf(design) === undefined && (options.drawn ?? 'flat') !== 'flat',
      'only woven cloth has threads',
    ],
  ];
  const found = idle.find(([, given]) => given);
  if (found !== undefined) throw new CoreError('option/idle', { option: found[0], why: found[2] });
}
