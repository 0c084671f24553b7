import { Readable } from 'node:stream';
import { inColourway } from '../../core/design/colourway.ts';
import { compile } from '../../core/design/compile-design.ts';
import { TEXT_FILES } from '../../core/design/construction.ts';
import { asWoven } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { structureOf } from '../../core/design/exchange/structure-files.ts';
import { writeFile } from '../../core/design/exchange/write-file.ts';
import { pitchOf, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { CoreError } from '../../core/error.ts';
import { type Rational, rational } from '../../core/exact/rational.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import {
  orderPicture,
  type PictureScale,
  parsePerStep,
  pixelSize,
  sizeOfSheet,
} from '../../core/formats/picture-order.ts';
import { type StructureLook, structureToPng } from '../../core/formats/png/structure-png.ts';
import { unitToPng } from '../../core/formats/png/unit-png.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../core/formats/sheet.ts';
import { flattenedSvg } from '../../core/formats/svg/flattened-svg.ts';
import { unitToSvgPieces } from '../../core/formats/svg/unit-svg.ts';
import { parseDrawn, threadLook } from '../../core/paint/cells/thread-light.ts';
import { NO_PICTURES, type Pictures } from '../../core/shape/picture.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { NODE_FILES, nodeCompressor } from './node-compressor.ts';

/** Media types of files of text by their endings. */
const TYPES: Readonly<Record<string, string>> = {
  txt: 'text/plain; charset=utf-8',
  csv: 'text/csv; charset=utf-8',
  wif: 'text/plain; charset=utf-8',
  svg: 'image/svg+xml',
  json: 'application/json',
};

/** Makes one kind of file from a design, the wishes in the query, and the pictures that it shows. */
type Sender = (design: Design, query: URLSearchParams, pictures: Pictures) => Response;

const SENDERS: Readonly<Record<string, Sender>> = {
  ...textSenders(),
  'tile.png': (design, query, pictures) => {
    const unit = compile(design, pictures);
    const scale = scaleOf(design, query);
    const order = orderPicture(unit, scale, sheetOf(design, query));
    const look = threadLook(parseDrawn(query.get('drawn') ?? 'flat')) ?? 'flat';
    const mixing = query.get('mixing') === 'bytes' ? 'bytes' : 'light';
    return picture(unitToPng(unit, order, nodeCompressor, look, mixing));
  },
  'tile.svg': (design, query, pictures) => {
    const unit = compile(design, pictures);
    const sheet = sizeOfSheet(unit, sheetOf(design, query));
    if (query.has('flatten')) {
      return drawing(
        flattenedSvg(unit, design.name, { scale: scaleOf(design, query), sheet, ...NODE_FILES }),
      );
    }
    return drawing(unitToSvgPieces(unit, design.name, { sheet, underlap: underlapOf(query, design) }));
  },
  'swatch.png': (design, query, pictures) => picture(swatch(design, query, pictures)),
  'design.json': (design) => text('application/json', writeDesignText(design)),
  'paper.png': (design, query) => picture(structurePicture(design, query, 'paper')),
  'texture.png': (design, query) => picture(structurePicture(design, query, 'texture')),
};

/** Files of text, each of the type that its ending says. */
function textSenders(): Readonly<Record<string, Sender>> {
  return Object.fromEntries(
    TEXT_FILES.map((file) => [
      file,
      (design: Design) => text(TYPES[file.slice(file.indexOf('.') + 1)]!, writeFile(design, file)),
    ]),
  );
}

/** How far faces run under their neighbours; left out, as far as does no harm. */
function underlapOf(query: URLSearchParams, design: Design): Rational | undefined {
  const underlap = query.get('underlap') ?? '';
  return underlap === '' ? undefined : parseLengthOrNone(underlap, pixelOf(design.resolution));
}

/** A file that is asked for. */
export interface SendOrder {
  readonly design: Design;
  readonly file: string;
  readonly query: URLSearchParams;
  /** Those that the design shows. */
  readonly pictures?: Pictures;
}

/**
 * The file of that name for a design. Query: `perThread` or `dpi`, `repeats` or `size` for a sheet; `mixing` for a picture's; `underlap` for a drawing's faces, `flatten` for one that blends; `drawn` for how a picture's threads look; `colourway` by name; `save` to download it.
 * @throws CoreError "request/missing", or of the sender
 */
export function sendFile({ design, file, query, pictures = NO_PICTURES }: SendOrder): Response {
  if (!Object.hasOwn(SENDERS, file)) throw new CoreError('request/missing');
  const sender = SENDERS[file]!;
  const colourway = query.get('colourway') ?? '';
  const response = sender(inColourway(design, colourway), query, pictures);
  if (query.has('save')) {
    const sheet = isSheet(query);
    response.headers.set(
      'content-disposition',
      disposition(fileNameOf({ name: design.name, file, colourway, sheet })),
    );
  }
  return response;
}

/** Pixels an inch at which the shelf shows every swatch: half true size on an ordinary monitor. */
const SWATCH_DPI = 48;

/** A crop of the cloth at the shelf's one scale. Query: `across`, `down` in pixels, `times` for finer monitors. */
function swatch(design: Design, query: URLSearchParams, pictures: Pictures): AsyncIterable<Uint8Array> {
  const times = clamp(query.get('times'), 1, 4);
  const dpi = rational(SWATCH_DPI * times);
  const side = (name: string) => clamp(query.get(name), 1, 800) * times;
  const sheet: Sheet = { kind: 'crop', width: side('across'), height: side('down') };
  const unit = compile(design, pictures);
  return unitToPng(unit, orderPicture(unit, { dpi }, sheet), nodeCompressor);
}

/** The structure alone, `perThread` pixels a thread. */
function structurePicture(
  design: Design,
  query: URLSearchParams,
  look: StructureLook,
): AsyncIterable<Uint8Array> {
  const scale = parsePerStep(query.get('perThread') ?? '12');
  return structureToPng(structureOf(asWoven(design)), look, scale, nodeCompressor);
}

function clamp(text: string | null, least: number, most: number): number {
  const value = Math.round(Number(text ?? least));
  return value >= least ? Math.min(value, most) : least;
}

function scaleOf(design: Design, query: URLSearchParams): PictureScale {
  const perThread = query.get('perThread');
  return perThread === null
    ? { dpi: parseResolution(query.get('dpi') ?? design.resolution) }
    : { perStep: parsePerStep(perThread) };
}

function isSheet(query: URLSearchParams): boolean {
  return (query.get('size') ?? query.get('repeats') ?? '') !== '';
}

function sheetOf(design: Design, query: URLSearchParams): Sheet | undefined {
  if (!isSheet(query)) return undefined;
  const repeats = query.get('repeats') ?? '';
  if (repeats !== '') return parseRepeats(repeats);
  return parseSheet(
    query.get('size')!,
    design.lay.unit,
    pixelSize(scaleOf(design, query), pitchOf(design.lay)),
  );
}

function picture(bytes: AsyncIterable<Uint8Array>): Response {
  const stream = Readable.toWeb(Readable.from(bytes)) as ReadableStream<Uint8Array>;
  return new Response(stream, { headers: { 'content-type': 'image/png' } });
}

function drawing(pieces: Iterable<string> | AsyncIterable<string>): Response {
  const bytes = Readable.from(pieces, { objectMode: true }).map((piece) => Buffer.from(piece as string));
  const stream = Readable.toWeb(bytes) as ReadableStream<Uint8Array>;
  return new Response(stream, { headers: { 'content-type': 'image/svg+xml' } });
}

function text(type: string, body: string): Response {
  return new Response(body, { headers: { 'content-type': type } });
}

/** A download's name, for old and new readers. Source: RFC 6266, §4.3. */
function disposition(name: string): string {
  const plain = name.replace(/[^\w .-]/g, '_');
  return `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`;
}
