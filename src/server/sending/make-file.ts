import { inColourway } from '../../core/design/colourway.ts';
import { compile } from '../../core/design/compile-design.ts';
import { TEXT_FILES } from '../../core/design/construction.ts';
import { asWoven } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { structureOf } from '../../core/design/exchange/structure-files.ts';
import { writeFile } from '../../core/design/exchange/write-file.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { rational } from '../../core/exact/rational.ts';
import { LIBRARY_KINDS, type LibraryKind } from '../../core/formats/library-wish.ts';
import { COLLECTION_SCALE } from '../../core/formats/page/collection.ts';
import {
  orderPicture,
  type PictureOrder,
  parsePerStep,
  sizeOfSheet,
} from '../../core/formats/picture-order.ts';
import { strikeOffPng } from '../../core/formats/png/strike-off-png.ts';
import { type StructureLook, structureToPng } from '../../core/formats/png/structure-png.ts';
import { unitToPng } from '../../core/formats/png/unit-png.ts';
import type { Sheet } from '../../core/formats/sheet.ts';
import { UNSHRUNK } from '../../core/formats/shrinkage.ts';
import { flattenedSvg } from '../../core/formats/svg/flattened-svg.ts';
import { unitToSvgPieces } from '../../core/formats/svg/unit-svg.ts';
import { leftOf, substrateOf, USUAL_SUBSTRATE } from '../../core/print/substrate.ts';
import { NO_PICTURES, type Pictures } from '../../core/shape/picture.ts';
import { libraryPicture } from './library-picture.ts';
import { NODE_FILES, nodeCompressor } from './node-compressor.ts';
import { packFile } from './pack-file.ts';
import { pdfFile } from './pdf/pdf-file.ts';
import { libraryWishOf, lookOf, pictureOf, scaleOf, sheetOf, stretchOf, underlapOf } from './query-wishes.ts';

/** Media types by the endings of files. */
const TYPES: Readonly<Record<string, string>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  tif: 'image/tiff',
  webp: 'image/webp',
  svg: 'image/svg+xml',
  pdf: 'application/pdf',
  txt: 'text/plain; charset=utf-8',
  csv: 'text/csv; charset=utf-8',
  wif: 'text/plain; charset=utf-8',
  json: 'application/json',
  zip: 'application/zip',
};

/** A file piece by piece, of bytes or of text. */
type Pieces = AsyncIterable<Uint8Array | string> | Iterable<string>;

/** What a file is made from. */
interface Making {
  /** In the colourway that was asked for. */
  readonly design: Design;
  readonly query: URLSearchParams;
  readonly pictures: Pictures;
  /** Further designs, for a file that holds several. */
  readonly others: readonly Shown[];
  readonly told: Told;
  /** Hears of the whole pixels of a picture, before it is made. */
  readonly ordered: (order: PictureOrder) => void;
}

/** A design and the pictures that it shows. */
export interface Shown {
  readonly design: Design;
  readonly pictures: Pictures;
}

/** Hears of rows: how many there are, and how many of them are made. */
export type Told = (made: number, of: number) => void;

/** What is wrong with an order is told before its pieces are asked for. */
type Maker = (making: Making) => Pieces;

const MAKERS: Readonly<Record<string, Maker>> = {
  ...textMakers(),
  ...libraryMakers(),
  'tile.png': ({ design, query, pictures, told, ordered }) => {
    const unit = compile(design, pictures);
    const order = pictureOf(unit, design, query);
    ordered(order);
    const { look, mixing } = lookOf(query);
    return unitToPng(unit, order, nodeCompressor, look, mixing, (rows) => told(rows, order.height));
  },
  'tile.svg': ({ design, query, pictures }) => {
    const unit = compile(design, pictures);
    const sheet = sizeOfSheet(unit, sheetOf(design, query));
    const stretch = stretchOf(query);
    if (query.has('flatten')) {
      const scale = scaleOf(design, query);
      return flattenedSvg(unit, design.name, { scale, sheet, stretch, ...NODE_FILES });
    }
    return unitToSvgPieces(unit, design.name, { sheet, stretch, underlap: underlapOf(design, query) });
  },
  'tile.pdf': ({ design, query, pictures, told }) =>
    pdfFile({ design, unit: compile(design, pictures), query, pictures, told }),
  'strike-off.png': ({ design, query, pictures, told }) => {
    const unit = compile(design, pictures);
    const substrate = substrateOf(query.get('substrate') ?? USUAL_SUBSTRATE);
    const stretch = query.has('washed') ? leftOf(substrate) : undefined;
    const order = pictureOf(unit, design, query, stretch ?? UNSHRUNK);
    return strikeOffPng(unit, order, substrate, nodeCompressor, (rows) => told(rows, order.height));
  },
  'collection.pdf': collection,
  'pack.zip': ({ design, query, pictures }) =>
    packFile(
      design,
      query,
      (file, asked) => makeFile({ design, file, query: asked, pictures }).pieces,
      new Date(),
    ),
  'swatch.png': swatch,
  'design.json': ({ design }) => [writeDesignText(design)],
  'paper.png': (making) => structurePicture(making, 'paper'),
  'texture.png': (making) => structurePicture(making, 'texture'),
};

function textMakers(): Readonly<Record<string, Maker>> {
  return Object.fromEntries(
    TEXT_FILES.map((file) => [file, ({ design }: Making) => [writeFile(design, file)]]),
  );
}

function libraryMakers(): Readonly<Record<string, Maker>> {
  const maker =
    (kind: LibraryKind): Maker =>
    ({ design, query, pictures, told, ordered }) => {
      const unit = compile(design, pictures);
      const order = pictureOf(unit, design, query);
      ordered(order);
      const wish = libraryWishOf(query);
      return libraryPicture({ unit, order, kind, wish, look: lookOf(query) }, (rows) =>
        told(rows, order.height),
      );
    };
  return Object.fromEntries(LIBRARY_KINDS.map((kind) => [`tile.${kind}`, maker(kind)]));
}

/** A file that is asked for. */
export interface FileWish {
  readonly design: Design;
  /** As the server calls it, such as "tile.png". */
  readonly file: string;
  readonly query: URLSearchParams;
  /** Those that the design shows. */
  readonly pictures?: Pictures;
  readonly others?: readonly Shown[];
  readonly told?: Told;
  /** Hears of the whole pixels of a picture, before it is made. */
  readonly ordered?: (order: PictureOrder) => void;
}

/** A file that can be made. */
export interface MadeFile {
  readonly type: string;
  readonly pieces: Pieces;
}

/**
 * The file of that name for a design. Query: `perThread` or `dpi`, `repeats` or `size` for a sheet, `shrink`; `mixing` and
 * `drawn` for a picture, `quality`, `chroma`, `compression` and `profile` for one of the image library's; `underlap` for a
 * drawing's faces, `flatten` for one that blends; `paper`, `bleed`, `marks`, `overlap` and `ticket` for a PDF; `substrate` and `washed` for a
 * strike-off; `title` and `scale` for a collection sheet; `colourway` by name.
 * @throws CoreError "request/missing", or of the maker
 */
export function makeFile({
  design,
  file,
  query,
  pictures = NO_PICTURES,
  others = [],
  told = () => {},
  ordered = () => {},
}: FileWish): MadeFile {
  refuseUnknown(file);
  const coloured = inColourway(design, query.get('colourway') ?? '');
  const pieces = MAKERS[file]!({ design: coloured, query, pictures, others, told, ordered });
  return { type: typeOf(file), pieces };
}

/** @throws CoreError "request/missing" where no design has a file of that name */
export function refuseUnknown(file: string): void {
  if (!Object.hasOwn(MAKERS, file)) throw new CoreError('request/missing');
}

/** Media type of a file, by its ending. */
export function typeOf(file: string): string {
  return TYPES[file.slice(file.lastIndexOf('.') + 1)]!;
}

/** The design and further ones on pages at one scale. */
async function* collection({ design, query, pictures, others, told }: Making): AsyncIterable<Uint8Array> {
  // Only who makes one loads what writes its pages.
  const { collectionFile } = await import('./collection/collection-file.ts');
  const designs = [{ design, pictures }, ...others];
  const title = query.get('title') ?? design.name;
  const scale = query.get('scale') ?? COLLECTION_SCALE;
  yield await collectionFile({ title, designs, scale, at: new Date() }, told);
}

/** Pixels an inch at which the shelf shows every swatch: half true size on an ordinary monitor. */
const SWATCH_DPI = 48;

/** A crop of the cloth at the shelf's one scale. Query: `across`, `down` in pixels, `times` for finer monitors. */
function swatch({ design, query, pictures }: Making): Pieces {
  const times = clamp(query.get('times'), 1, 4);
  const dpi = rational(SWATCH_DPI * times);
  const side = (name: string) => clamp(query.get(name), 1, 800) * times;
  const sheet: Sheet = { kind: 'crop', width: side('across'), height: side('down') };
  const unit = compile(design, pictures);
  return unitToPng(unit, orderPicture(unit, { dpi }, sheet), nodeCompressor);
}

/** The structure alone, `perThread` pixels a thread. */
function structurePicture({ design, query }: Making, look: StructureLook): Pieces {
  const scale = parsePerStep(query.get('perThread') ?? '12');
  return structureToPng(structureOf(asWoven(design)), look, scale, nodeCompressor);
}

function clamp(text: string | null, least: number, most: number): number {
  const value = Math.round(Number(text ?? least));
  return value >= least ? Math.min(value, most) : least;
}
