import { ARCHIMEDEAN } from '../../tiling/forms/archimedean.ts';
import {
  basket,
  bricks,
  herringbone,
  hexagons,
  hexagonsAndTriangles,
  kites,
  octagons,
  parallelograms,
  pentagons,
  rhombus,
  rhombusByAngle,
  rows,
  triangles,
  twoSquares,
} from '../../tiling/forms/families.ts';
import { TWO_KINDS } from '../../tiling/forms/two-kinds.ts';
import type { TilingForm } from '../../tiling/tiling-form.ts';
import {
  type FormSpec,
  parseHalf,
  parseLean,
  parseNarrow,
  parsePart,
  parseProportion,
  parseSmall,
} from './tiling-schema.ts';

type PlainForm = Exclude<FormSpec, { kind: 'grown' }>;

/** How each family is built from its numbers. */
const BUILD: { readonly [K in PlainForm['kind']]: (spec: Extract<PlainForm, { kind: K }>) => TilingForm } = {
  regular: (spec) => ARCHIMEDEAN[spec.name],
  'two-kinds': (spec) => TWO_KINDS[spec.name],
  rows: (spec) => rows(spec.squares, spec.triangles),
  rhombus: (spec) => rhombus(parseProportion(spec.across), parseProportion(spec.up)),
  bricks: (spec) => bricks(parseProportion(spec.height), parsePart(spec.step)),
  basket: (spec) => basket(spec.count),
  squares: (spec) => twoSquares(parseSmall(spec.small)),
  octagons: (spec) => octagons(parseProportion(spec.slant)),
  triangles: (spec) => triangles(parseProportion(spec.height), parsePart(spec.tip)),
  hexagons: (spec) => hexagons(parseProportion(spec.across), parseProportion(spec.up)),
  angled: (spec) => rhombusByAngle(spec.rise),
  parallelograms: (spec) => parallelograms(parseProportion(spec.height), parseLean(spec.lean)),
  kites: (spec) => kites(parseProportion(spec.above), parseProportion(spec.below)),
  pentagons: (spec) => pentagons(parseHalf(spec.half)),
  herringbone: (spec) => herringbone(parseNarrow(spec.width)),
  'hexagons-triangles': (spec) => hexagonsAndTriangles(parseProportion(spec.other)),
};

/** A form as data, whatever numbers it is said by. */
export function formOf<K extends PlainForm['kind']>(spec: Extract<PlainForm, { kind: K }>): TilingForm {
  return BUILD[spec.kind as K](spec);
}
