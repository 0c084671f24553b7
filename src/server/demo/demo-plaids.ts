import type { Design } from '../../core/design/design-schema.ts';
import { parsePrint } from '../../core/design/exchange/counts-text.ts';
import { parseDensityPair } from '../../core/design/exchange/text-parts.ts';
import type { Lay } from '../../core/design/lay/lay-schema.ts';
import { newPlaid } from '../../core/design/new-design.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { parseThreadCount } from '../../core/formats/thread-count.ts';
import { parseWeave } from '../../core/thread/weaves/weave-text.ts';
import type { Demo } from './demo.ts';
import { lineShades } from './line-shades.ts';

/** A plaid of the demo: its counts, how they are crossed, and how dense they are. */
interface DemoDesign {
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
  readonly lay?: Partial<Lay>;
}

const PLAIDS: readonly DemoDesign[] = [
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
  {
    number: 'LLR 061',
    name: 'Observation-car lozenge',
    range: 'Carriages',
    warp: 'G10 Y2 G8 C2 R8',
    weave: '2/2Z',
    density: '24/in',
    lay: { arrangement: { kind: 'group', group: 'p2mm', way: 'across' } },
  },
  {
    number: 'LLR 062',
    name: 'Cake-box paper',
    range: 'Tea room',
    warp: 'C12 R3 C3 B6',
    weave: 'plain',
    print: 'normal 1/2',
    density: '16/in',
    lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
  },
];

/** The document of one demo design; it lists the shades that it uses, in order of appearance. */
function designOf({ name, number, warp, weft, weave, print, pivots, density, lay }: DemoDesign): Design {
  const read = (text: string) => parseThreadCount(text, { card: undefined, pivots: pivots ?? 'shared' });
  const sequences = [read(warp), ...(weft === undefined ? [] : [read(weft)])] as const;
  const shades = lineShades(sequences.flatMap(({ bands }) => bands));
  return readDesign(
    newPlaid({
      name,
      number,
      shades,
      warp: sequences[0],
      weft: sequences[1],
      weave: parseWeave(weave),
      print: print === undefined ? undefined : parsePrint(print),
      lay: { ...parseDensityPair(density), ...lay },
    }),
  );
}

export const DEMO_PLAIDS: readonly Demo[] = PLAIDS.map((each) => ({ ...each, design: () => designOf(each) }));
