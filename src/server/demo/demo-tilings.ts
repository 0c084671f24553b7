import type { Design } from '../../core/design/design-schema.ts';
import { newTiling, type TilingOrder } from '../../core/design/new-design.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { shadesUsed } from '../../core/design/shades-used.ts';
import type { Demo } from './demo.ts';
import { lineShades } from './line-shades.ts';

/** A tiling of the demo: its form, a side or the width of its repeat, and a shade for each kind of face. */
interface DemoTiling extends Omit<Partial<TilingOrder>, 'faces' | 'shades'> {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly form: TilingOrder['form'];
  readonly faces: string;
}

const TILINGS: readonly DemoTiling[] = [
  {
    number: 'LLR 027',
    name: 'Booking-hall floor',
    range: 'Stations',
    form: { kind: 'regular', name: '4.8.8' },
    size: '60 mm',
    colours: 'sides',
    faces: 'B R',
    rings: [
      { share: '1', shade: 'C' },
      { share: '11/12', shade: null },
      { share: '2/3', shade: 'Y' },
      { share: '7/12', shade: 'C' },
    ],
    lines: [
      { what: 'sides', of: '4|8', width: '4 mm', shade: 'K', ends: 'sharp', dashes: null, skip: 1 },
      {
        what: 'spokes',
        of: '4',
        width: '3 mm',
        shade: 'C',
        ends: 'round',
        dashes: null,
        skip: 1,
      },
    ],
  },
  {
    number: 'LLR 028',
    name: 'Waiting-room floor',
    range: 'Stations',
    form: { kind: 'regular', name: '6.6.6' },
    size: '50 mm',
    colours: 'neighbours',
    faces: 'C S R',
    gaps: { by: '1.5 mm', corner: '4 mm', shade: 'K' },
  },
  {
    number: 'LLR 029',
    name: 'Goods-yard setts',
    range: 'Stations',
    form: { kind: 'bricks', height: '2/5', step: '1/3' },
    size: '200 mm',
    colours: 'faces',
    faces: 'S L H',
    scatter: { times: 4, seed: 11, share: '1/2', by: '1/12' },
    gaps: { by: '4 mm', corner: '15 mm', shade: 'M' },
  },
  {
    number: 'LLR 030',
    name: 'Parcels-office parquet',
    range: 'Stations',
    form: { kind: 'herringbone', width: '1/4' },
    turn: 3,
    size: '240 mm',
    colours: 'directions',
    faces: 'P Y',
    fade: { shades: ['P', 'Y'], angle: 0, turned: true, of: null },
    gaps: { by: '1 mm', corner: '0', shade: 'K' },
  },
  {
    number: 'LLR 049',
    name: 'Tea-room tiles',
    range: 'Tea room',
    // Grown: a hexagon in squares, triangles between them, and two hexagons beyond.
    form: {
      kind: 'grown',
      faces: [
        { on: null, shape: 6 },
        ...[0, 1, 2, 3, 4, 5].map((side) => ({ on: { face: 0, side }, shape: 4 as const })),
        { on: { face: 1, side: 1 }, shape: 3 },
        { on: { face: 2, side: 1 }, shape: 3 },
        { on: { face: 1, side: 2 }, shape: 6 },
        { on: { face: 2, side: 2 }, shape: 6 },
      ],
    },
    size: '50 mm',
    colours: 'sides',
    faces: 'Y C B',
    lines: [
      { what: 'stars', of: '6', width: '3 mm', shade: 'L', ends: 'sharp', dashes: null, skip: 1 },
      {
        what: 'sides',
        of: null,
        width: '2 mm',
        shade: 'W',
        ends: 'round',
        dashes: null,
        skip: 1,
      },
      {
        what: 'rays',
        of: '4',
        width: '2 mm',
        shade: 'R',
        ends: 'flat',
        dashes: { count: 3, share: '1/2' },
        skip: 1,
      },
    ],
  },
  {
    number: 'LLR 048',
    name: 'Ticket paper',
    range: 'Tea room',
    form: { kind: 'regular', name: '3.6.3.6' },
    dual: true,
    size: '30 mm',
    measured: 'repeat',
    colours: 'directions',
    faces: 'C Y R',
  },
  {
    number: 'LLR 064',
    name: 'Luggage-hall floor',
    range: 'Stations',
    form: { kind: 'regular', name: '4.8.8' },
    size: '80 mm',
    colours: 'sides',
    faces: 'S C',
    lay: { slope: { up: 1, across: 2, asked: null } },
  },
  {
    number: 'LLR 068',
    name: 'Concourse stars',
    range: 'Stations',
    form: { kind: 'regular', name: '3.12.12' },
    size: '40 mm',
    faces: 'C',
    star: {
      angle: '75',
      apart: '0',
      line: {
        width: '5 mm',
        shade: 'Y',
        ends: 'sharp',
        strap: {
          gap: '1 mm',
          edges: [{ inset: '0', width: '0.6 mm', shade: 'K' }],
          centre: null,
          dip: null,
        },
      },
      fills: [{ sides: 12, shade: 'B' }],
      swapped: false,
      turned: [],
    },
  },
];

/** The document of one demo tiling. */
function tilingOf({ faces, range: _, ...order }: DemoTiling): Design {
  const keys = faces.split(' ');
  const design = newTiling({ ...order, shades: [], faces: keys });
  const shades = lineShades(shadesUsed(design.construction).map(({ key }) => ({ shade: key })));
  return readDesign({ ...design, shades });
}

export const DEMO_TILINGS: readonly Demo[] = TILINGS.map((each) => ({
  name: each.name,
  number: each.number ?? '',
  range: each.range,
  design: () => tilingOf(each),
}));
