import fc from 'fast-check';
import { PLY_BLENDS } from '../src/core/colour/ply-blend.ts';
import type { ByKind } from '../src/core/design/constructions.ts';
import type {
  Design,
  MotifDesign,
  PlaidDesign,
  PliesDesign,
  StripeDesign,
  TilingDesign,
} from '../src/core/design/design-schema.ts';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { LAKE_STEAMER, LAKE_STEAMER_FILE } from '../src/core/design/lake-steamer.ts';
import type { Making, MakingKind } from '../src/core/design/motif/making-schema.ts';
import { OVERLAPS, type PieceFade, type PieceShape } from '../src/core/design/motif/motif-schema.ts';
import { SHAPES, type ShapeName, usualShape } from '../src/core/design/motif/shapes.ts';
import { usualPiece } from '../src/core/design/motif/usual-piece.ts';
import { newMotif, newPlaid, newStripe, newTiling } from '../src/core/design/new-design.ts';
import { asKind } from '../src/core/design/of-kind.ts';
import type { PaintPicture } from '../src/core/design/picture-schema.ts';
import type { PrintChoice } from '../src/core/design/plaid/plaid-schema.ts';
import { asPlies, layOver, USUAL_PLY, withPly } from '../src/core/design/plies/lay-over.ts';
import type { PlyContent } from '../src/core/design/plies/plies-schema.ts';
import type { StrapSpec } from '../src/core/design/strap/strap-schema.ts';
import { MEASURED } from '../src/core/design/stripe/stripe-schema.ts';
import type { FormSpec } from '../src/core/design/tiling/form-schema.ts';
import type { LinesSpec } from '../src/core/design/tiling/tiling-schema.ts';
import { slope } from '../src/core/exact/slope.ts';
import { MIRRORS, type Sequence } from '../src/core/thread/sequence.ts';
import type { WeaveSpec } from '../src/core/thread/weaves/weave-spec.ts';
import { parseWeave } from '../src/core/thread/weaves/weave-text.ts';
import { BAND_UNITS } from '../src/core/units/band-width.ts';

/** A design from thread-count text, with more lines when they are wished. */
export function sampleDesign(text: string): PlaidDesign {
  return asKind('plaid', designFromText(text, 'Sample'));
}

/** Two shades for a design that needs no more. */
export const TWO_SHADES = [
  { key: 'A', name: 'Slate water', hex: '#2e4c63' },
  { key: 'B', name: 'Ticket cream', hex: '#efe6cf' },
] as const;

export const SAMPLE = `shades: G=#24402f Boiler green, R=#8c2f25 Brake red, C=#efe6cf Ticket cream
warp: G/8 R6 C/4
weave: 2/2Z
density: 24/in
`;

/** Eleven periods of a black and a white stripe close exactly in 12 in; one is 327 3/11 px at 300 dpi. */
export const ELEVENTH: StripeDesign = newStripe({
  name: 'Eleven',
  shades: [
    { key: 'A', name: 'Ink', hex: '#000000' },
    { key: 'B', name: 'Paper', hex: '#ffffff' },
  ],
  bands: [
    { shade: 'A', width: '6/11in' },
    { shade: 'B', width: '6/11in' },
  ],
  slope: slope(1, 0),
});

const KEYS = ['A', 'B', 'C'];

/** A short sequence of three shades, mirrored or not. */
export const someSequence: fc.Arbitrary<Sequence> = fc.record({
  bands: fc.array(fc.record({ shade: fc.constantFrom(...KEYS), count: fc.integer({ min: 1, max: 9 }) }), {
    minLength: 1,
    maxLength: 5,
  }),
  mirror: fc.constantFrom(...MIRRORS),
});

const someHex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((value) => `#${value.toString(16).padStart(6, '0')}`);

const somePrint: fc.Arbitrary<PrintChoice> = fc.record({
  blend: fc.constantFrom('normal' as const, 'multiply' as const, 'screen' as const),
  strength: fc.constantFrom('1/2', '1', '7/20'),
  top: fc.constantFrom('warp' as const, 'weft' as const),
  ground: fc.constantFrom(null, 'C'),
});

/** Weaves that are no plain twills, of every kind. */
export const someWeave: fc.Arbitrary<WeaveSpec> = fc.constantFrom(
  ...[
    '3/1/1/2Z',
    '2/1/1/1S step 2',
    'steps 2/2: 1 1 2',
    'warp rib 2/1',
    'weft rib 1/3',
    'hopsack 2/3',
    'herringbone 2/1 4',
    'pointed 2/2 5',
    'satin 5/2',
    'sateen 7/3',
    'honeycomb 4',
    'crepe 6 seed 2 floats 3',
    'shaded 5/2 in 3',
    'double',
    'double stitched',
    'blocks AB BA; A = 2/1Z; B = 1/2Z',
    'rows ##. .#. #.#',
    'draft 1 2 3 2; 1, 2 3, 1 3; 1 2 3',
  ].map(parseWeave),
);

/** Plaids of every kind: woven or printed, the weft turned or not, mirrored or not, weft of its own or not, any twill, densities that differ. */
export const someDesign: fc.Arbitrary<PlaidDesign> = fc
  .record({
    hexes: fc.tuple(someHex, someHex, someHex),
    warp: someSequence,
    weft: fc.option(someSequence, { nil: undefined }),
    turn: fc.integer({ min: 0, max: 12 }),
    print: fc.option(somePrint, { nil: undefined }),
    other: fc.option(someWeave, { nil: undefined }),
    over: fc.integer({ min: 1, max: 4 }),
    under: fc.integer({ min: 1, max: 4 }),
    hand: fc.constantFrom('Z' as const, 'S' as const),
    ends: fc.constantFrom('24', '37/2', '18.5', '40'),
    picks: fc.constantFrom('24', '22', '100/3'),
    per: fc.constantFrom('in' as const, 'cm' as const),
  })
  .map(({ hexes, warp, weft, turn, print, other, over, under, hand, ends, picks, per }) =>
    newPlaid({
      name: 'Any plaid',
      shades: KEYS.map((key, index) => ({ key, name: `Shade ${key}`, hex: hexes[index]! })),
      warp,
      weft,
      turn: weft === undefined ? turn : 0,
      print,
      // Plain weave has no hand.
      weave: other ?? { kind: 'twill', over, under, hand: over + under === 2 ? 'Z' : hand },
      lay: { ends, picks, per },
    }),
  );

/** Stripes of every kind: any slope and unit, widths with fractions, mirrored or not, with a clear shade or without. */
export const someStripe: fc.Arbitrary<StripeDesign> = fc
  .record({
    hexes: fc.tuple(someHex, someHex, someHex),
    bands: fc.array(
      fc.record({
        shade: fc.constantFrom(...KEYS),
        width: fc.constantFrom('1', '2.5', '1/3', '7', '0.75', '12', '2 mm', '1/4in'),
      }),
      { minLength: 1, maxLength: 7 },
    ),
    mirror: fc.constantFrom(...MIRRORS),
    unit: fc.constantFrom(...BAND_UNITS),
    rise: fc.integer({ min: -12, max: 12 }),
    run: fc.integer({ min: 0, max: 12 }),
    measured: fc.constantFrom(...MEASURED),
    clear: fc.constantFrom(null, 'B'),
  })
  .map(({ hexes, rise, run, ...order }) =>
    newStripe({
      name: 'Any stripe',
      shades: KEYS.map((key, index) => ({ key, name: `Shade ${key}`, hex: hexes[index]! })),
      slope: rise === 0 && run === 0 ? slope(1, 0) : slope(rise, run),
      ...order,
    }),
  );

const someProportion = fc.constantFrom('1', '3/4', '1.5', '7/5');
const someCount = fc.integer({ min: 1, max: 3 });

/** A tiling's form, of every kind. */
const someForm: fc.Arbitrary<FormSpec> = fc.oneof(
  fc.record({
    kind: fc.constant('regular' as const),
    name: fc.constantFrom('3.3.3.3.3.3', '4.8.8', '3.6.3.6'),
  }),
  fc.record({ kind: fc.constant('rows' as const), squares: someCount, triangles: someCount }),
  fc.record({ kind: fc.constant('rhombus' as const), across: someProportion, up: someProportion }),
  fc.record({
    kind: fc.constant('bricks' as const),
    height: someProportion,
    step: fc.constantFrom('0', '1/2', '1/3'),
  }),
  fc.record({ kind: fc.constant('basket' as const), count: someCount }),
  fc.record({ kind: fc.constant('squares' as const), small: fc.constantFrom('1/2', '1/3', '1') }),
  fc.record({ kind: fc.constant('octagons' as const), slant: someProportion }),
  fc.record({
    kind: fc.constant('triangles' as const),
    height: someProportion,
    tip: fc.constantFrom('0', '1/2'),
  }),
  fc.record({ kind: fc.constant('hexagons' as const), across: someProportion, up: someProportion }),
  fc.record({ kind: fc.constant('angled' as const), rise: someCount }),
  fc.record({ kind: fc.constant('parallelograms' as const), height: someProportion, lean: someProportion }),
  fc.record({ kind: fc.constant('kites' as const), above: someProportion, below: someProportion }),
  fc.record({ kind: fc.constant('pentagons' as const), half: fc.constantFrom('1/4', '1/3') }),
  fc.record({ kind: fc.constant('herringbone' as const), width: fc.constantFrom('1/2', '1/3') }),
  fc.record({ kind: fc.constant('hexagons-triangles' as const), other: someProportion }),
);

const CARRIED = { [LAKE_STEAMER.hash]: LAKE_STEAMER_FILE };

const someLines: fc.Arbitrary<LinesSpec> = fc.record({
  what: fc.constantFrom('sides' as const, 'spokes' as const, 'rays' as const, 'stars' as const),
  of: fc.constant(null),
  width: fc.constantFrom('0.5 mm', '1 mm'),
  shade: fc.constantFrom(...KEYS),
  ends: fc.constantFrom('round' as const, 'sharp' as const, 'flat' as const),
  dashes: fc.constantFrom(null, { count: 2, share: '1/2' }),
  skip: fc.constant(1),
  every: fc.constantFrom(1, 2),
  first: fc.constantFrom(0, 1),
});

/** Tilings of every form that is not a list: stretched, sheared, with rings, gaps and lines or without. */
export const someTiling: fc.Arbitrary<TilingDesign> = fc
  .record({
    hexes: fc.tuple(someHex, someHex, someHex),
    form: someForm,
    turn: fc.constantFrom(0, 6),
    stretch: someProportion,
    shear: fc.constantFrom('0', '0', '1/2'),
    colours: fc.constantFrom('sides' as const, 'directions' as const, 'faces' as const),
    rings: fc.array(fc.record({ share: fc.constantFrom('1/2', '3/4'), shade: fc.constantFrom('B', null) }), {
      maxLength: 1,
    }),
    gaps: fc.constantFrom(null, { by: '0.5 mm', corner: '1 mm', shade: 'C' }),
    letters: fc.constantFrom(null, {
      text: 'K&',
      font: 'mono' as const,
      height: '3 mm',
      shade: 'A',
      turned: true,
      of: null,
    }),
    lines: fc.array(someLines, { maxLength: 2 }),
    picture: fc.constantFrom(null, null, { picture: LAKE_STEAMER, turned: true, of: null }),
  })
  .map(({ hexes, ...order }) =>
    newTiling({
      name: 'Any tiling',
      shades: KEYS.map((key, index) => ({ key, name: `Shade ${key}`, hex: hexes[index]! })),
      pictures: CARRIED,
      ...order,
    }),
  );

const someSteps = fc.constantFrom('1', '3/2', '2', '5 mm', '7/3');
const someWay = fc.constantFrom('0', '1', '-1/2', '4', '13 mm', '40 px');
const someMade: fc.Arbitrary<Making> = fc.oneof(
  fc.record({ kind: fc.constant('copies' as const), count: someCount, x: someWay, y: someWay }),
  fc.record({
    kind: fc.constant('round' as const),
    count: someCount,
    x: someWay,
    y: someWay,
    by: fc.constantFrom(null, '30'),
  }),
  fc.record({
    kind: fc.constant('mirror' as const),
    x: someWay,
    y: someWay,
    angle: fc.constantFrom('90', '20'),
  }),
  fc.record({
    kind: fc.constant('bands' as const),
    side: fc.constantFrom('outward' as const, 'inward' as const),
    corner: fc.constantFrom('round' as const, 'sharp' as const, 'flat' as const),
    bands: fc.array(
      fc.record({ width: fc.constantFrom('1/4', '1/8'), shade: fc.constantFrom('A', 'B', null) }),
      {
        minLength: 1,
        maxLength: 2,
      },
    ),
  }),
  fc.record({ kind: fc.constant('rounded' as const), radius: fc.constantFrom('0', '1/4') }),
  fc.record({
    kind: fc.constant('cut' as const),
    with: fc.array(fc.constant(1), { minLength: 1, maxLength: 1 }),
  }),
);

const somePoints = fc.array(
  fc.record({
    x: fc.constant('1'),
    y: fc.constantFrom('0', '1', '-1'),
    bend: fc.constantFrom('corner' as const, 'curve' as const),
    radius: fc.constantFrom('0', '1/8'),
  }),
  { minLength: 3, maxLength: 5 },
);

const SOME_STRAPS: readonly StrapSpec[] = [
  { gap: '1/8', edges: [], centre: null, dip: null },
  {
    gap: '0',
    edges: [{ inset: '0', width: '1/16', shade: 'B' }],
    centre: { width: '1/16', shade: 'A', dashes: { length: '1/4', gap: '1/8' } },
    dip: { kind: 'lines', count: 2, length: '1/4', apart: '1/16', width: '1/32', taper: true, shade: 'B' },
  },
  { gap: '1/16', edges: [], centre: null, dip: { kind: 'shade', length: '1/4', shade: 'B' } },
];

const someShape: fc.Arbitrary<PieceShape> = fc.oneof(
  fc.constantFrom(...(Object.keys(SHAPES) as ShapeName[])).map(usualShape),
  fc.record({ kind: fc.constant('disc' as const), across: someSteps }),
  fc
    .record({
      points: somePoints,
      run: fc.constantFrom('open' as const, 'onward' as const),
      width: fc.constantFrom('1/2', '1/4'),
      ends: fc.constantFrom('round' as const, 'sharp' as const, 'flat' as const),
      dashes: fc.constantFrom(null, { length: '1/2', gap: '1/3' }),
      // Seldom: many crossings take long.
      strap: fc.oneof(
        { weight: 6, arbitrary: fc.constant(null) },
        { weight: 1, arbitrary: fc.constantFrom(...SOME_STRAPS) },
      ),
    })
    .map(({ points, ...line }) => ({
      kind: 'line' as const,
      points: points.map((point, at) => ({ ...point, x: String(at * 2) })),
      ...line,
    })),
);

const COPYING: readonly MakingKind[] = ['copies', 'round', 'mirror', 'grid', 'moved'];

/** Motifs of up to four pieces of every shape, further made and laid every way. */
export const someMotif: fc.Arbitrary<MotifDesign> = fc
  .record({
    hexes: fc.tuple(someHex, someHex, someHex),
    arrangement: fc.constantFrom(
      { kind: 'straight' as const },
      { kind: 'half-drop' as const, by: '1/2' },
      { kind: 'brick' as const, by: '2/5' },
      { kind: 'group' as const, group: 'p2gg' as const, way: 'across' as const },
      { kind: 'group' as const, group: 'cm' as const, way: 'up' as const },
      { kind: 'group' as const, group: 'p31m' as const, way: 'across' as const },
      { kind: 'free' as const, across: { x: '8', y: '1' }, up: { x: '-2', y: '4' } },
    ),
    overlap: fc.constantFrom(...OVERLAPS),
    ground: fc.constantFrom('C', null),
    vary: fc.constantFrom({ boxes: 1, seed: 0 }, { boxes: 2, seed: 5 }),
    shapes: fc.array(
      fc.record({
        shape: someShape,
        x: someWay,
        y: someWay,
        turn: fc.constantFrom('0', '45', '100/7'),
        mirrored: fc.boolean(),
        made: fc.array(someMade, { maxLength: 2 }),
        fade: fc.constantFrom<PieceFade | null>(
          null,
          { kind: 'along' as const, shades: ['A', 'B', 'C'], over: 'piece' as const, angle: '30' },
          { kind: 'outward' as const, shades: ['C', 'A'], over: 'repeat' as const },
        ),
        picture: fc.constantFrom<PaintPicture | null>(null, null, LAKE_STEAMER, {
          ...LAKE_STEAMER,
          fit: 'fitted',
        }),
        shadow: fc.constantFrom(null, { x: '1/4', y: '-1/4', softness: '1/5', shade: 'B', strength: '40%' }),
        vary: fc.constantFrom(null, '30%'),
        outline: fc.constantFrom(null, {
          width: '1/5',
          shade: 'B',
          side: 'inside' as const,
          ends: 'round' as const,
          dashes: null,
        }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
  })
  .map(({ hexes, shapes, arrangement, ...order }) =>
    newMotif({
      lay: { arrangement },
      name: 'Any motif',
      shades: KEYS.map((key, index) => ({ key, name: `Shade ${key}`, hex: hexes[index]! })),
      box: { width: '8', height: '4' },
      // The first piece is what others are cut by, and is made with none itself.
      pieces: shapes.map(({ shape, x, y, ...more }, at) => ({
        ...usualPiece(at + 1, shape, x, y, { shade: 'A', ...more }),
        // A line that goes on has no edges for a picture, nor has a strap, which is but copied.
        picture:
          shape.kind === 'line' && (shape.run === 'onward' || shape.strap !== null) ? null : more.picture,
        outline: shape.kind === 'line' && shape.strap !== null ? null : more.outline,
        made: more.made.filter(({ kind }) =>
          shape.kind === 'line' && shape.strap !== null ? COPYING.includes(kind) : at > 0 || kind !== 'cut',
        ),
      })),
      pictures: CARRIED,
      ...order,
    }),
  );

const someLook = fc.record({
  scale: fc.constantFrom(
    { to: 'count' as const, count: '2' },
    { to: 'count' as const, count: '3' },
    { to: 'count' as const, count: '3/2' },
  ),
  shift: fc.constantFrom(
    { in: 'length' as const, x: '0', y: '0' },
    { in: 'length' as const, x: '1 mm', y: '-7/3' },
    { in: 'repeats' as const, x: '1/2', y: '1/4' },
  ),
  blend: fc.constantFrom(...PLY_BLENDS),
  strength: fc.constantFrom('1', '20%', '1/2'),
  clip: fc.constantFrom(null, null, 0),
  shown: fc.constantFrom(true, true, true, false),
});

const somePlain: fc.Arbitrary<PlyContent> = fc.constantFrom<PlyContent>(
  { kind: 'shade', shade: 'A' },
  { kind: 'fade', shades: ['A', 'A'], angle: '30' },
);

/** Small squares, so that so many of one go into another both ways. */
const squarePlaid: fc.Arbitrary<Design> = fc
  .record({
    hexes: fc.tuple(someHex, someHex, someHex),
    bands: fc.array(fc.record({ shade: fc.constantFrom(...KEYS), count: fc.integer({ min: 1, max: 3 }) }), {
      minLength: 1,
      maxLength: 3,
    }),
    under: fc.integer({ min: 1, max: 2 }),
  })
  .map(({ hexes, bands, under }) =>
    newPlaid({
      name: 'Any square',
      shades: KEYS.map((key, index) => ({ key, name: `Shade ${key}`, hex: hexes[index]! })),
      warp: { bands, mirror: 'none' },
      weave: { kind: 'twill', over: 1, under, hand: 'Z' },
    }),
  );

const squareTiling: fc.Arbitrary<Design> = fc
  .constantFrom<FormSpec>({ kind: 'regular', name: '4.8.8' }, { kind: 'basket', count: 2 })
  .map((form) =>
    newTiling({ name: 'Squares', shades: KEYS.map((key) => ({ key, name: key, hex: '#8090a0' })), form }),
  );

/** Motifs whose pieces have one shade each over a ground, so that nothing but edges is mixed. */
export const somePlainMotif: fc.Arbitrary<MotifDesign> = someMotif.map((design) => {
  const { construction } = design;
  const pieces = construction.pieces.map((piece) => ({ ...piece, fade: null, picture: null, shadow: null }));
  return { ...design, construction: { ...construction, ground: 'C', pieces } };
});

/** Plies of a square tiling or plaid, over it its own kind, a shade or a fade, and over these something more. */
export const somePlies: fc.Arbitrary<PliesDesign> = fc
  .record({
    lowest: fc.oneof(squarePlaid, squareTiling),
    over: squarePlaid,
    look: someLook,
    plain: somePlain,
    further: someLook,
    twice: fc.boolean(),
  })
  .map(({ lowest, over, look, plain, further, twice }) => {
    const two = layOver(asPlies(lowest, null), over, { id: 'over', version: 3 }, look);
    const three = withPly(two, plain, { ...further, scale: USUAL_PLY.scale, clip: further.clip && 1 });
    const named = { ...three, name: 'Any plies', number: '' };
    const twiceAcross = { scale: { to: 'count' as const, count: '2' } };
    return twice ? layOver(asPlies(over, null), named, null, twiceAcross) : named;
  });

/** Designs of every construction. Another one is another line. */
export const SOME_OF: { readonly [K in keyof ByKind]: fc.Arbitrary<Design> } = {
  plaid: someDesign,
  stripe: someStripe,
  tiling: someTiling,
  motif: someMotif,
  plies: somePlies,
};
