import type { Mixing } from '../core/colour/mixing.ts';
import { inColourway } from '../core/design/colourway.ts';
import { compile } from '../core/design/compile-design.ts';
import { wovenOf } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { pitchOf, pixelOf } from '../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../core/design/tiling/tiling-numbers.ts';
import { CoreError } from '../core/error.ts';
import type { Rational } from '../core/exact/rational.ts';
import {
  orderPicture,
  type PictureScale,
  parsePerStep,
  pixelSize,
  sizeOfSheet,
} from '../core/formats/picture-order.ts';
import { unitToPng } from '../core/formats/png/unit-png.ts';
import { parseRepeats, parseSheet, type Sheet } from '../core/formats/sheet.ts';
import { flattenedSvg } from '../core/formats/svg/flattened-svg.ts';
import { unitToSvgPieces } from '../core/formats/svg/unit-svg.ts';
import { parseDrawn, threadLook } from '../core/paint/cells/thread-light.ts';
import { parseResolution } from '../core/units/resolution.ts';
import { NODE_FILES, nodeCompressor } from '../server/sending/node-compressor.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';
import { writeStream } from './write-stream.ts';

export interface RenderOptions {
  readonly output: string;
  readonly perThread?: string;
  readonly dpi?: string;
  readonly size?: string;
  readonly repeats?: string;
  readonly colourway?: string;
  readonly drawn?: string;
  readonly underlap?: string;
  readonly mixing?: Mixing;
  readonly flatten?: boolean;
}

/** `vetro render`: a tile, or a sheet of repeats, as PNG or SVG by the file's ending. */
export async function renderCommand(path: string, options: RenderOptions): Promise<number> {
  const design = inColourway(readDesignFile(path), options.colourway);
  const unit = compile(design, await picturesOf(design));
  const scale = scaleOf(design, options);
  const sheet = sheetOf(design, options);
  refuseIdle(options, design);
  if (/\.svg$/i.test(options.output)) {
    const size = sizeOfSheet(unit, sheet);
    const pieces =
      options.flatten === true
        ? flattenedSvg(unit, design.name, { scale, sheet: size, ...NODE_FILES })
        : unitToSvgPieces(unit, design.name, { sheet: size, underlap: underlapOf(options, design) });
    await writeStream(options.output, pieces);
  } else if (/\.png$/i.test(options.output)) {
    const order = orderPicture(unit, scale, sheet);
    const look = threadLook(parseDrawn(options.drawn ?? 'flat')) ?? 'flat';
    await writeStream(options.output, unitToPng(unit, order, nodeCompressor, look, options.mixing));
  } else {
    throw new CoreError('file/kind-written', { name: options.output, kinds: ['png', 'svg'] });
  }
  return EXIT.fine;
}

function sheetOf(design: Design, options: RenderOptions): Sheet | undefined {
  const { size, repeats } = options;
  if (repeats !== undefined) return parseRepeats(repeats);
  if (size === undefined) return undefined;
  return parseSheet(size, design.lay.unit, pixelSize(scaleOf(design, options), pitchOf(design.lay)));
}

/** Options that would do nothing: who gives them expects something of them. */
function refuseIdle(options: RenderOptions, design: Design): void {
  const drawing = /\.svg$/i.test(options.output);
  const flatten = options.flatten === true;
  const idle: readonly (readonly [option: string, given: boolean, why: string])[] = [
    ['--dpi', drawing && !flatten && options.dpi !== undefined, 'a drawing has no pixels'],
    ['--per-thread', drawing && !flatten && options.perThread !== undefined, 'a drawing has no pixels'],
    ['--flatten', flatten && !drawing, 'a picture is flat'],
    ['--drawn', drawing && options.drawn !== undefined, 'a drawing shows flat shades'],
    ['--mixing', drawing && options.mixing === 'bytes', 'a drawing has no pixels'],
    ['--underlap', !drawing && options.underlap !== undefined, 'a picture needs none'],
    [
      '--drawn',
      wovenOf(design) === undefined && (options.drawn ?? 'flat') !== 'flat',
      'only woven cloth has threads',
    ],
  ];
  const found = idle.find(([, given]) => given);
  if (found !== undefined) throw new CoreError('option/idle', { option: found[0], why: found[2] });
}

function underlapOf({ underlap }: RenderOptions, design: Design): Rational | undefined {
  return underlap === undefined ? undefined : parseLengthOrNone(underlap, pixelOf(design.resolution));
}

function scaleOf(design: Design, { perThread, dpi }: RenderOptions): PictureScale {
  return perThread === undefined
    ? { dpi: parseResolution(dpi ?? design.resolution) }
    : { perStep: parsePerStep(perThread) };
}
