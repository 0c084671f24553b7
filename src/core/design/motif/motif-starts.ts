import { shadeOfLetter } from '../../colour/letter-shades.ts';
import { randomNumbers } from '../../exact/random-numbers.ts';
import type { StartPoint } from '../construction.ts';
import type { MotifDesign } from '../design-schema.ts';
import { LAKE_STEAMER, LAKE_STEAMER_FILE } from '../lake-steamer.ts';
import { newMotif } from '../new-design.ts';
import type { Making } from './making-schema.ts';
import type { Piece } from './motif-schema.ts';
import { curved, disc, line, type MotifStart, rectangle } from './start-parts.ts';
import { STRAP_STARTS } from './straps/strap-starts.ts';
import { usualPiece } from './usual-piece.ts';

const piece = usualPiece;

const rounded = (radius: string): Making => ({ kind: 'rounded', radius });
const round = (count: number, x: string, y: string): Making => ({ kind: 'round', count, x, y, by: null });
const mirror = (x: string, y: string, angle: string): Making => ({ kind: 'mirror', x, y, angle });

const WAVE = '0,0 2,1 4,0 6,-1 8,0';

const STARTS: readonly MotifStart[] = [
  {
    key: 'dots',
    name: 'Dots',
    what: 'A disc of half a box’s width in every box, straight.',
    letters: 'CB',
    order: () => ({
      box: { width: '4', height: '4' },
      ground: 'C',
      pieces: [piece(1, disc('2'), '2', '2', { shade: 'B' })],
    }),
  },
  {
    key: 'dots-half-drop',
    name: 'Dots in half-drop',
    what: 'Each column of dots lies half a box lower than its neighbour.',
    letters: 'NW',
    order: () => ({
      box: { width: '4', height: '4' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      ground: 'N',
      pieces: [piece(1, disc('3/2'), '2', '2', { shade: 'W' })],
    }),
  },
  {
    key: 'fish-scale',
    name: 'Fish scale',
    what: 'Discs of 1, 2/3 and 1/3, rows half a disc apart and moved by half; lower rows lie on top.',
    letters: 'BZOC',
    order: () => ({
      box: { width: '8', height: '4' },
      lay: { arrangement: { kind: 'brick', by: '1/2' } },
      ground: 'C',
      overlap: 'down',
      pieces: [
        piece(1, disc('8'), '4', '2', {
          shade: 'B',
          outline: { width: '1/4', shade: 'C', side: 'inside', ends: 'round', dashes: null },
        }),
        piece(2, disc('16/3'), '4', '2', { shade: 'Z' }),
        piece(3, disc('8/3'), '4', '2', { shade: 'O' }),
      ],
    }),
  },
  {
    key: 'scallop',
    name: 'Scallop rows',
    what: 'Discs side by side in straight columns, each row half over the one above, edged with a thin band.',
    letters: 'PCR',
    order: () => ({
      box: { width: '6', height: '3' },
      ground: 'C',
      overlap: 'down',
      pieces: [
        piece(1, disc('6'), '3', '0', {
          shade: 'P',
          outline: { width: '1/2', shade: 'R', side: 'inside', ends: 'round', dashes: null },
        }),
      ],
    }),
  },
  {
    key: 'arc-scale',
    name: 'Scales from arcs',
    what: 'Arc bands one inside the other, each scale with a soft shadow; a fade goes over all.',
    letters: 'NZCBK',
    order: () => ({
      box: { width: '8', height: '4' },
      lay: { arrangement: { kind: 'brick', by: '1/2' } },
      ground: 'N',
      overlap: 'down',
      pieces: [
        piece(1, { kind: 'sector', across: '8', inner: '0', from: '0', to: '180' }, '4', '0', {
          fade: { kind: 'along', shades: ['N', 'B', 'N'], over: 'repeat', angle: '0' },
          shadow: { x: '0', y: '1/3', softness: '1/2', shade: 'K', strength: '60%' },
        }),
        ...(['8', '6', '4', '2'] as const).map((across, at) =>
          piece(
            at + 2,
            { kind: 'sector', across, inner: `${across} - 4/5`, from: '0', to: '180' },
            '4',
            '0',
            {
              shade: at % 2 === 0 ? 'C' : 'Z',
            },
          ),
        ),
      ],
    }),
  },
  {
    key: 'wave',
    name: 'Wave',
    what: 'A curve through points at quarters of the box: it leaves at the height and slope at which it comes in.',
    letters: 'ZB',
    order: () => ({
      box: { width: '8', height: '4' },
      ground: 'Z',
      pieces: [piece(1, curved(WAVE, { width: '1' }), '0', '2', { shade: 'B' })],
    }),
  },
  {
    key: 'wave-flipped',
    name: 'Waves flipped',
    what: 'Rows of waves, every second one upside down.',
    letters: 'WBJ',
    order: () => ({
      box: { width: '8', height: '8' },
      ground: 'W',
      pieces: [
        piece(1, curved(WAVE, { width: '1' }), '0', '2', { shade: 'B' }),
        piece(2, curved(WAVE, { width: '1' }), '0', '6', { shade: 'J', mirrored: true, turn: '180', x: '0' }),
      ],
    }),
  },
  {
    key: 'zigzag',
    name: 'Zigzag',
    what: 'A band through corners; its sides rise by twice its height over its width.',
    letters: 'CRK',
    order: () => ({
      box: { width: '6', height: '5' },
      ground: 'C',
      pieces: [
        piece(1, line('0,0 3,2 6,0', { width: '1' }), '0', '1', { shade: 'R' }),
        piece(2, line('0,0 3,2 6,0', { width: '1/4' }), '0', '3', { shade: 'K' }),
      ],
    }),
  },
  {
    key: 'chevron',
    name: 'Chevron',
    what: 'A hexagon less the same hexagon moved down.',
    letters: 'WG',
    order: () => {
      const hexagon = line('0,0 3,3 6,0 6,-5 3,-2 0,-5', {
        run: 'closed',
        width: null,
      });
      return {
        box: { width: '6', height: '4' },
        ground: 'W',
        pieces: [
          piece(1, hexagon, '0', '1', { shade: 'G', made: [{ kind: 'cut', with: [2] }] }),
          piece(2, hexagon, '0', '-1'),
        ],
      };
    },
  },
  {
    key: 'argyle',
    name: 'Argyle',
    what: 'Diamonds 3 wide and 4 high in three shades, dashed lines through their middles; closes on 2 × 2 of them.',
    letters: 'SRMC',
    order: () => {
      const diamond = line('-3/2,0 0,2 3/2,0 0,-2', { run: 'closed', width: null });
      const over = line('0,0 6,8', { width: '1/10', dashes: { length: '1/4', gap: '1/6' } });
      return {
        box: { width: '6', height: '8' },
        step: '10 mm',
        ground: 'S',
        pieces: [
          piece(1, diamond, '3/2', '2', { shade: 'R', made: [{ kind: 'copies', count: 2, x: '3', y: '4' }] }),
          piece(2, diamond, '9/2', '2', {
            shade: 'M',
            made: [{ kind: 'copies', count: 2, x: '-3', y: '4' }],
          }),
          piece(3, over, '0', '0', { shade: 'C', made: [{ kind: 'copies', count: 2, x: '3', y: '0' }] }),
          piece(4, over, '0', '0', {
            shade: 'C',
            mirrored: true,
            made: [{ kind: 'copies', count: 2, x: '3', y: '0' }],
          }),
        ],
      };
    },
  },
  {
    key: 'interlocking-bars',
    name: 'Interlocking bars',
    what: 'A bar three squares down and one to the right, and the same turned by half: they lock in half-drop.',
    letters: 'CSA',
    order: () => ({
      box: { width: '2', height: '4' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      step: '10 mm',
      ground: 'C',
      pieces: [
        piece(1, rectangle('4/5', '14/5'), '1/2', '3/2', {
          shade: 'S',
          made: [
            { kind: 'join', with: [2] },
            rounded('1/4'),
            { kind: 'round', count: 2, x: '1', y: '2', by: '180' },
          ],
        }),
        piece(2, rectangle('9/5', '4/5'), '1', '1/2'),
      ],
    }),
  },
  {
    key: 'crosses',
    name: 'Locked crosses',
    what: 'Crosses of five squares, each row two squares further: they fill the plane but for a thin line.',
    letters: 'CJ',
    order: () => ({
      box: { width: '5', height: '1' },
      lay: { arrangement: { kind: 'brick', by: '2/5' } },
      ground: 'C',
      pieces: [
        piece(1, rectangle('14/5', '4/5'), '5/2', '1/2', {
          shade: 'J',
          made: [{ kind: 'join', with: [2] }, rounded('1/10')],
        }),
        piece(2, rectangle('4/5', '14/5'), '5/2', '1/2'),
      ],
    }),
  },
  {
    key: 'nested-squares',
    name: 'Nested squares',
    what: 'A square on its corner with bands inward, one after another.',
    letters: 'CNOR',
    order: () => ({
      box: { width: '8', height: '8' },
      ground: 'C',
      pieces: [
        piece(1, rectangle('5', '5'), '4', '4', {
          turn: '45',
          shade: 'R',
          made: [
            {
              kind: 'bands',
              side: 'inward',
              corner: 'sharp',
              bands: [
                { width: '1/2', shade: 'N' },
                { width: '1/4', shade: null },
                { width: '3/4', shade: 'O' },
                { width: '1/4', shade: null },
              ],
            },
          ],
        }),
      ],
    }),
  },
  {
    key: 'pinwheel',
    name: 'Pinwheel of six',
    what: 'One blade turned six times about the middle of the box.',
    letters: 'WVY',
    order: () => ({
      box: { width: '6', height: '6' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      ground: 'W',
      pieces: [
        piece(1, curved('0,0 1,3/2 5/2,2 2,1/2', { run: 'closed', width: null }), '3', '3', {
          shade: 'V',
          made: [round(6, '3', '3')],
        }),
        piece(2, disc('1'), '3', '3', { shade: 'Y' }),
      ],
    }),
  },
  {
    key: 'quatrefoil',
    name: 'Quatrefoil',
    what: 'Four discs round a square, joined, with a band around.',
    letters: 'NCO',
    order: () => ({
      box: { width: '6', height: '6' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      ground: 'N',
      pieces: [
        piece(1, disc('2'), '4', '3', {
          shade: 'O',
          made: [
            round(4, '3', '3'),
            { kind: 'join', with: [2] },
            {
              kind: 'bands',
              side: 'outward',
              corner: 'round',
              bands: [
                { width: '1/4', shade: null },
                { width: '1/3', shade: 'C' },
              ],
            },
          ],
        }),
        piece(2, rectangle('2', '2'), '3', '3'),
      ],
    }),
  },
  {
    key: 'ogee',
    name: 'Ogee',
    what: 'Curves that swell and narrow in turn, mirrored, so that neighbours share every line.',
    letters: 'GCA',
    order: () => ({
      box: { width: '8', height: '12' },
      ground: 'G',
      pieces: [
        piece(
          1,
          curved('0,0 1/2,3/2 2,3 7/2,9/2 4,6', { run: 'open', width: '1/3', ends: 'round' }),
          '0',
          '0',
          {
            shade: 'C',
            made: [mirror('4', '6', '90'), mirror('4', '6', '0')],
          },
        ),
        piece(2, { kind: 'ellipse', width: '2', height: '4' }, '0', '6', {
          shade: 'A',
          made: [{ kind: 'copies', count: 2, x: '4', y: '6' }],
        }),
      ],
    }),
  },
  {
    key: 'meander',
    name: 'Meander',
    what: 'A key that turns inward on a line that goes on, between two thin lines.',
    letters: 'CU',
    order: () => ({
      box: { width: '6', height: '7' },
      ground: 'C',
      pieces: [
        piece(1, line('0,0 0,5 4,5 4,2 2,2 2,3', { run: 'open', width: '1/2', ends: 'sharp' }), '1', '1', {
          shade: 'U',
        }),
        piece(2, line('0,0 6,0', { width: '1/2' }), '0', '1', { shade: 'U' }),
        piece(3, line('0,0 6,0', { width: '1/4' }), '0', '1/4', { shade: 'U' }),
        piece(4, line('0,0 6,0', { width: '1/4' }), '0', '27/4', { shade: 'U' }),
      ],
    }),
  },
  {
    key: 'trellis',
    name: 'Trellis',
    what: 'Two lines that cross in the middle of the box, a diamond at every crossing.',
    letters: 'CMO',
    order: () => ({
      box: { width: '6', height: '8' },
      ground: 'C',
      pieces: [
        piece(1, line('0,0 6,8', { width: '1/2' }), '0', '0', { shade: 'M' }),
        piece(2, line('0,0 6,8', { width: '1/2' }), '0', '0', { shade: 'M', mirrored: true }),
        piece(3, rectangle('1', '1'), '3', '4', {
          turn: '45',
          shade: 'O',
          made: [{ kind: 'copies', count: 2, x: '3', y: '4' }],
        }),
      ],
    }),
  },
  {
    key: 'stars',
    name: 'Stars',
    what: 'Stars of eight points, each joined with the third after it, small ones between.',
    letters: 'IYC',
    order: () => ({
      box: { width: '8', height: '8' },
      ground: 'I',
      pieces: [
        piece(1, { kind: 'starStep', points: 8, skip: 3, radius: '3' }, '4', '4', { shade: 'Y' }),
        piece(2, { kind: 'star', points: 4, outer: '3/2', inner: '1/2' }, '0', '0', { shade: 'C' }),
      ],
    }),
  },
  {
    key: 'leaves',
    name: 'Leaves',
    what: 'What lies in two discs at once, turned four times about the middle.',
    letters: 'CFM',
    order: () => ({
      box: { width: '8', height: '8' },
      ground: 'C',
      pieces: [
        piece(1, disc('4'), '3', '6', {
          shade: 'F',
          made: [{ kind: 'overlap', with: [2] }, round(4, '4', '4')],
        }),
        piece(2, disc('4'), '5', '6'),
        piece(3, disc('1'), '4', '4', { shade: 'M', made: [{ kind: 'copies', count: 2, x: '4', y: '4' }] }),
      ],
    }),
  },
  {
    key: 'confetti',
    name: 'Confetti',
    what: 'Bars and dots strewn by a seed; choose it again for others.',
    letters: 'CRBOJ',
    order: (seed) => ({ box: { width: '12', height: '12' }, ground: 'C', pieces: confetti(seed) }),
  },
  {
    key: 'slates',
    name: 'Slates',
    what: 'Slates in half brick, each lighter or darker by a seed; they come again after three boxes.',
    letters: 'NZK',
    order: (seed) => ({
      box: { width: '4', height: '5' },
      lay: { arrangement: { kind: 'brick', by: '1/2' } },
      ground: 'K',
      overlap: 'up',
      vary: { boxes: 3, seed },
      pieces: [
        piece(1, rectangle('19/5', '7', '0, 0, 3/2, 3/2'), '2', '3/2', {
          shade: 'Z',
          vary: '30%',
          shadow: { x: '0', y: '-1/5', softness: '1/5', shade: 'K', strength: '60%' },
        }),
      ],
    }),
  },
  {
    key: 'glow',
    name: 'Glowing lamps',
    what: 'Discs that fade from the middle outward, in half-drop.',
    letters: 'NYOC',
    order: () => ({
      box: { width: '6', height: '6' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      ground: 'N',
      pieces: [
        piece(1, disc('5'), '3', '3', {
          fade: { kind: 'outward', shades: ['C', 'Y', 'O', 'N'], over: 'piece' },
        }),
      ],
    }),
  },
  {
    key: 'monogram',
    name: 'Monogram',
    what: 'Letters of a shipped font in a ring, in half-drop.',
    letters: 'CGR',
    order: () => ({
      box: { width: '8', height: '8' },
      lay: { arrangement: { kind: 'half-drop', by: '1/2' } },
      ground: 'C',
      pieces: [
        piece(1, { kind: 'ring', across: '6', band: '1/3' }, '4', '4', { shade: 'R' }),
        piece(2, { kind: 'letters', text: 'LLR', font: 'bricolage-bold', height: '3/2' }, '4', '4', {
          shade: 'G',
        }),
      ],
    }),
  },
  {
    key: 'four-corners',
    name: 'Four corners',
    what: 'A box whose four corners differ, mirrored both ways: like comes to lie on like, after 2 × 2 boxes.',
    letters: 'CBRGO',
    order: () => ({
      box: { width: '6', height: '6' },
      ground: 'C',
      lay: { arrangement: { kind: 'group', group: 'p2mm', way: 'across' } },
      pieces: [
        piece(1, disc('5'), '0', '0', { shade: 'B' }),
        piece(2, { kind: 'ring', across: '4', band: '1/2' }, '6', '0', { shade: 'R' }),
        piece(3, rectangle('3', '3'), '0', '6', { shade: 'G', turn: '45' }),
        piece(4, disc('2'), '6', '6', { shade: 'O' }),
        piece(5, line('1,1 5/2,4 5,5', { run: 'open', width: '1/2', ends: 'round' }), '0', '0', {
          shade: 'R',
        }),
      ],
    }),
  },
  {
    key: 'hexagon-packing',
    name: 'Hexagon packing',
    what: 'A picture in every cell of a hexagon packing: 56 × 97 pixels for 1 : √3, right to 1 in 18 000.',
    letters: 'CB',
    order: () => ({
      step: '4 px',
      box: { width: '56', height: '97/2' },
      lay: { arrangement: { kind: 'brick', by: '1/2' } },
      ground: 'C',
      pieces: [
        piece(1, { kind: 'polygon', sides: 6, measured: 'flats', size: '54' }, '28', '97/4', {
          picture: LAKE_STEAMER,
          outline: { width: '1', shade: 'B', side: 'inside', ends: 'sharp', dashes: null },
        }),
      ],
      pictures: { [LAKE_STEAMER.hash]: LAKE_STEAMER_FILE },
    }),
  },
  {
    key: 'empty',
    name: 'Empty box',
    what: 'Nothing but a ground: pieces are added on the bench.',
    letters: 'CBO',
    order: () => ({ box: { width: '8', height: '8' }, ground: 'C', pieces: [] }),
  },
];

/** Places of the confetti's grid, along each side. */
const ROWS = 6;

/** A piece near the middle of each cell of a grid. */
function confetti(seed: number): readonly Piece[] {
  const next = randomNumbers(seed);
  const among = (count: number) => next() % count;
  return Array.from({ length: ROWS * ROWS }, (_, at) => {
    const tenths = (cell: number) => `${2 * cell + 1} + ${among(11) - 5}/10`;
    const x = tenths(at % ROWS);
    const y = tenths(Math.floor(at / ROWS));
    const shape = among(3) === 0 ? disc('3/5') : rectangle('7/5', '2/5', '1/5');
    return piece(at + 1, shape, x, y, { turn: String(15 * among(24)), shade: 'RBOJ'[among(4)]! });
  });
}

/** What to begin a motif from. */
export const MOTIF_STARTS: readonly StartPoint<MotifDesign>[] = [...STARTS, ...STRAP_STARTS].map(
  ({ key, name, what, letters, order }) => ({
    key,
    name,
    what,
    design: (seed) => {
      const { pieces, ...more } = order(seed);
      return newMotif({ name, shades: [...letters].map(shadeOfLetter), pieces: [...pieces], ...more });
    },
  }),
);
