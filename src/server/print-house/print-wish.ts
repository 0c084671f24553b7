import type { PrintOrder } from '../../contracts/print-house.ts';
import { inColourway } from '../../core/design/colourway.ts';
import { compile } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { holdsWhole, orderPicture } from '../../core/formats/picture-order.ts';
import { parseClothLength } from '../../core/print/cloth-length.ts';
import { substrateOf, USUAL_SUBSTRATE } from '../../core/print/substrate.ts';
import type { Pictures } from '../../core/shape/picture.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { stretchOf } from '../sending/query-wishes.ts';

/** Cloth that a strike-off takes when nothing is said. */
const USUAL = '500 mm';

/** What is to be printed of a design. Query: `substrate`, `length`, `dpi`, `shrink`, `colourway`. */
export interface PrintWish {
  readonly design: Design;
  readonly kind: PrintOrder['kind'];
  readonly query: URLSearchParams;
}

/** What the file that is printed is asked for by: one repeat. */
export function tileQuery({ design, query }: PrintWish): URLSearchParams {
  const tile = new URLSearchParams({ dpi: query.get('dpi') ?? design.resolution });
  for (const name of ['colourway', 'shrink']) {
    const value = query.get(name) ?? '';
    if (value !== '') tile.set(name, value);
  }
  return tile;
}

/** @throws CoreError "print/substrate" {text, known} | "print/length" {text}, or of the picture */
export function printOrderOf(wish: PrintWish, pictures: Pictures): PrintOrder {
  const { design, kind, query } = wish;
  const dpi = parseResolution(tileQuery(wish).get('dpi')!);
  const coloured = inColourway(design, query.get('colourway') ?? '');
  const picture = orderPicture(compile(coloured, pictures), { dpi }, undefined, stretchOf(query));
  return {
    name: design.name,
    kind,
    substrate: substrateOf(query.get('substrate') ?? USUAL_SUBSTRATE).key,
    length: toNumber(parseClothLength(query.get('length') ?? USUAL, pixelOf(design.resolution))),
    dpi: toNumber(dpi),
    width: picture.width,
    height: picture.height,
    repeats: holdsWhole(picture),
  };
}
