import type { TilingOrder } from '../../core/design/new-design.ts';

/** The Larkmere Light Railway's cloth: an invented line's carriages, stations, uniform and tea room. */

/** The line's shades: letter, name, colour. */
export const LINE_SHADES = {
  G: ['Boiler green', '#24402f'],
  R: ['Brake red', '#8c2f25'],
  Y: ['Signal ochre', '#c79a3b'],
  C: ['Ticket cream', '#efe6cf'],
  B: ['Slate water', '#2e4c63'],
  S: ['Ballast', '#7f96a3'],
  K: ['Lamp black', '#262b2d'],
  W: ['Steam white', '#fbf8f0'],
  P: ['Copper pipe', '#b86f52'],
  H: ['Heather bank', '#6d4f63'],
  M: ['Mossy sleeper', '#5f6b43'],
  L: ['Lake mist', '#b4c5c6'],
} as const satisfies Record<string, readonly [name: string, hex: string]>;

/** A stripe of the demo: widths in millimetres, and where its lines run. */
export interface DemoStripe {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly bands: string;
  readonly slope: string;
  /** The angle that was asked for, in degrees. */
  readonly asked?: string;
  readonly measured: 'across' | 'edge';
}

export const LARKMERE_STRIPES: readonly DemoStripe[] = [
  {
    number: 'LLR 020',
    name: 'Compartment blind',
    range: 'Carriages',
    bands: 'B14 C6 Y2 C6',
    slope: '7/10',
    asked: '35',
    measured: 'across',
  },
  {
    number: 'LLR 025',
    name: 'Platform awning',
    range: 'Stations',
    bands: 'G/40 C4 G4 C/40',
    slope: 'down',
    measured: 'across',
  },
  {
    number: 'LLR 046',
    name: 'Straw wrapper',
    range: 'Tea room',
    bands: 'R8 W6 L2 W4',
    slope: '1/1',
    asked: '45',
    measured: 'edge',
  },
];

/** A tiling of the demo: its form, a side or the width of its repeat, and a shade for each kind of face. */
export interface DemoTiling extends Omit<Partial<TilingOrder>, 'faces' | 'shades'> {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly form: TilingOrder['form'];
  readonly faces: string;
}

export const LARKMERE_TILINGS: readonly DemoTiling[] = [
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
];

export interface DemoDesign {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  /** Thread counts; slashes mark pivots that are shared unless `pivots` says otherwise. */
  readonly warp: string;
  readonly weft?: string;
  readonly weave: string;
  /** Given: printed, not woven. */
  readonly print?: string;
  readonly pivots?: 'doubled';
  readonly density: string;
}

export const LARKMERE: readonly DemoDesign[] = [
  {
    number: 'LLR 014',
    name: 'Third-class moquette',
    range: 'Carriages',
    warp: 'G/8 R6 Y2 G4 C/4',
    weave: '2/2Z',
    density: '24/in',
  },
  {
    number: 'LLR 015',
    name: 'First-class rug',
    range: 'Carriages',
    warp: 'B/20 K4 B4 C2 P10 C/4',
    weave: '2/2Z',
    density: '24/in',
  },
  {
    number: 'LLR 016',
    name: 'Lakeside saloon curtain',
    range: 'Carriages',
    warp: 'H/16 M6 C2 M6 L12 Y/4',
    weave: '2/2S',
    density: '32/in',
  },
  {
    number: 'LLR 017',
    name: 'Blind ticking',
    range: 'Carriages',
    warp: 'W12 B2 W2 B4 W2 B2',
    weft: 'W4',
    weave: '3/1Z',
    density: '48 x 40/in',
  },
  {
    number: 'LLR 018',
    name: 'Luggage-rack webbing',
    range: 'Carriages',
    warp: 'M/12 K2 Y2 K2 M4 C/4',
    weft: 'M4',
    weave: '3/1Z',
    density: '24 x 20/in',
  },
  {
    number: 'LLR 019',
    name: 'Sleeping-car blanket',
    range: 'Carriages',
    warp: 'H/16 C2 H14 M4 H10 Y2 H10 M4 C/24',
    weave: '2/2Z',
    density: '16/in',
  },
  {
    number: 'LLR 021',
    name: 'Booking-hall bench',
    range: 'Stations',
    warp: 'S/14 W2 B8 W2 K/10',
    weave: '2/2Z',
    density: '24/in',
  },
  {
    number: 'LLR 022',
    name: 'Lamp-room stripe',
    range: 'Stations',
    warp: 'G10 C2 G2 C2 G2 C2 Y12',
    weft: 'G4',
    weave: '3/1S',
    density: '24/in',
  },
  {
    number: 'LLR 023',
    name: 'Porter’s apron check',
    range: 'Stations',
    warp: 'B8 W8',
    weave: 'plain',
    density: '32/in',
  },
  {
    number: 'LLR 024',
    name: 'Waiting-room cushion',
    range: 'Stations',
    warp: 'R/18 Y2 R4 Y2 G12 C2 G/4',
    weave: '2/2Z',
    pivots: 'doubled',
    density: '32/in',
  },
  {
    number: 'LLR 031',
    name: 'Guard’s shepherd check',
    range: 'Uniform',
    warp: 'K6 W6',
    weave: '2/2Z',
    density: '24/in',
  },
  {
    number: 'LLR 032',
    name: 'Houndstooth van coat',
    range: 'Uniform',
    warp: 'K4 C4',
    weave: '2/2Z',
    density: '16/in',
  },
  {
    number: 'LLR 033',
    name: 'Stationmaster’s tattersall',
    range: 'Uniform',
    warp: 'C10 B2 C10 P2',
    weave: 'plain',
    density: '48/in',
  },
  {
    number: 'LLR 034',
    name: 'Driver’s neckerchief',
    range: 'Uniform',
    warp: 'R/20 W2 R4 W2 R4 K/8',
    weave: '2/2Z',
    density: '48/in',
  },
  {
    number: 'LLR 041',
    name: 'Platform gingham',
    range: 'Tea room',
    warp: 'R12 W12',
    weave: 'plain',
    density: '48/in',
  },
  {
    number: 'LLR 045',
    name: 'Timetable wrapping paper',
    range: 'Tea room',
    warp: 'L12 W12',
    weave: 'plain',
    print: 'multiply 1 warp',
    density: '24/in',
  },
  {
    number: 'LLR 042',
    name: 'Tea-towel windowpane',
    range: 'Tea room',
    warp: 'W18 B2 W18 Y2',
    weave: 'plain',
    density: '32/in',
  },
  {
    number: 'LLR 043',
    name: 'Tattersall napkin',
    range: 'Tea room',
    warp: 'C10 R2 C12 G2 C10 Y2 C10',
    weave: 'plain',
    density: '32/in',
  },
  {
    number: 'LLR 044',
    name: 'Scullery glass cloth',
    range: 'Tea room',
    warp: 'W/24 R2 W2 R8 W2 R/2',
    weft: 'W/36 R2 W2 R/2',
    weave: 'plain',
    density: '32 x 28/in',
  },
  {
    number: 'LLR 026',
    name: 'Signal-box herringbone',
    range: 'Stations',
    warp: 'K24',
    weft: 'C4',
    weave: 'herringbone 2/2 12',
    density: '36/in',
  },
  {
    number: 'LLR 047',
    name: 'Refreshment towel',
    range: 'Tea room',
    warp: 'W60 B4 W4 B4',
    weave: 'honeycomb 5',
    density: '24/in',
  },
];
