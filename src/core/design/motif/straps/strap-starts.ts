import { type StrapSpec, USUAL_STRAPS } from '../../strap/strap-schema.ts';
import type { Making } from '../making-schema.ts';
import type { LineShape, Piece, PieceShape } from '../motif-schema.ts';
import { line, type MotifStart } from '../start-parts.ts';
import { usualPiece } from '../usual-piece.ts';
import { type KnotPanel, knotStrands, parseBreaks } from './knot-panel.ts';

const piece = usualPiece;

/** A strap with a thin line along each edge. */
function edged(gap: string, width: string, shade: string): StrapSpec {
  return { gap, edges: [{ inset: '0', width, shade }], centre: null, dip: null };
}

function strap(corners: string, width: string, spec: StrapSpec, more: Partial<LineShape> = {}): PieceShape {
  return line(corners, { width, strap: spec, ...more });
}

const SHADED: StrapSpec = {
  ...edged('1/5', '1/8', 'K'),
  dip: { kind: 'lines', count: 5, length: '3/2', apart: '3/10', width: '1/8', taper: true, shade: 'K' },
};

/** A circle of a radius: a square whose corners are rounded until they meet. */
function ring(radius: number, width: string, spec: StrapSpec): PieceShape {
  return oval(2 * radius, 2 * radius, width, spec);
}

/** A closed line whose shorter sides are half circles, round the middle of the piece. */
function oval(width: number, height: number, wide: string, spec: StrapSpec): PieceShape {
  const [x, y] = [width / 2, height / 2];
  const radius = String(Math.min(x, y));
  const points = [
    [x, y],
    [-x, y],
    [-x, -y],
    [x, -y],
  ].map(([across, up]) => ({ x: String(across), y: String(up), bend: 'corner' as const, radius }));
  return { ...strap('0,0', wide, spec, { run: 'closed', ends: 'round' }), points } as PieceShape;
}

const closed = (corners: string, width: string, spec: StrapSpec) =>
  strap(corners, width, spec, { run: 'closed' });

/** Straps beside each other, so many steps apart. */
function beside(count: number, x: string, y: string): readonly Making[] {
  return [{ kind: 'copies', count, x, y }];
}

/** So many straps each way, in blocks over and under each other. */
function basket(straps: number): Omit<MotifStart, 'key' | 'name' | 'what'> {
  const side = String(4 * straps);
  const spec = edged('1/8', '1/8', 'K');
  return {
    letters: 'KCB',
    order: () => ({
      box: { width: side, height: side },
      ground: 'K',
      straps: { ...USUAL_STRAPS, order: { by: 'basket', straps } },
      pieces: [
        piece(1, strap(`1,0 1,${side}`, '3/2', spec), '0', '0', {
          shade: 'C',
          made: [...beside(2 * straps, '2', '0')],
        }),
        piece(2, strap(`0,1 ${side},1`, '3/2', spec), '0', '0', {
          shade: 'B',
          made: [...beside(2 * straps, '0', '2')],
        }),
      ],
    }),
  };
}

/** A piece for each strand of a knot panel, one step a half cell, one step of margin all round. */
export function knotPieces(panel: KnotPanel, shade: string, spec: StrapSpec): readonly Piece[] {
  return knotStrands(panel).map((strand, at) => {
    const points = strand.map(([x, y]) => ({
      x: exactHalf(x + 1),
      y: exactHalf(y + 1),
      bend: 'curve' as const,
      radius: '0',
    }));
    const shape = { ...strap('0,0', '3/4', spec, { run: 'closed', ends: 'round' }), points } as PieceShape;
    return piece(at + 1, shape, '0', '0', { shade });
  });
}

function exactHalf(value: number): string {
  return Number.isInteger(value) ? String(value) : `${2 * value}/2`;
}

/** A motif of one knot panel. @throws CoreError as `knotStrands` */
export function knotOrder(panel: KnotPanel): ReturnType<MotifStart['order']> {
  const { columns, rows } = panel;
  return {
    box: { width: String(2 * columns + 2), height: String(2 * rows + 2) },
    ground: 'N',
    pieces: knotPieces(panel, 'O', edged('1/6', '1/10', 'K')),
  };
}

/** Motifs of straps that go over and under each other. */
export const STRAP_STARTS: readonly MotifStart[] = [
  {
    key: 'lattice-of-straps',
    name: 'Lattice of straps',
    what: 'Two straps cross over and under in turn; lines run into where one dips.',
    letters: 'CZK',
    order: () => ({
      box: { width: '8', height: '8' },
      ground: 'C',
      pieces: [
        piece(1, strap('0,0 8,8', '2', SHADED), '0', '0', { shade: 'Z' }),
        piece(2, strap('0,8 8,0', '2', SHADED), '0', '0', { shade: 'Z' }),
      ],
    }),
  },
  {
    key: 'trellis-of-straps',
    name: 'Trellis of straps',
    what: 'Straps across and up in turn, darker where they dip, a dashed line along the middle.',
    letters: 'NCZKS',
    order: () => {
      const spec: StrapSpec = {
        ...edged('1/6', '1/8', 'K'),
        centre: { width: '1/8', shade: 'K', dashes: { length: '2/5', gap: '2/5' } },
        dip: { kind: 'shade', length: '1', shade: 'S' },
      };
      return {
        box: { width: '8', height: '8' },
        ground: 'N',
        pieces: [
          piece(1, strap('0,2 8,2', '2', spec), '0', '0', { shade: 'C', made: [...beside(2, '0', '4')] }),
          piece(2, strap('2,0 2,8', '2', spec), '0', '0', { shade: 'Z', made: [...beside(2, '4', '0')] }),
        ],
      };
    },
  },
  {
    key: 'woven-squares',
    name: 'Squares woven into each other',
    what: 'A square and one on its corner cross eight times, a smaller pair inside them.',
    letters: 'CRBK',
    order: () => {
      const spec = edged('1/4', '1/8', 'K');
      return {
        box: { width: '16', height: '16' },
        ground: 'C',
        pieces: [
          piece(1, closed('5,5 -5,5 -5,-5 5,-5', '1', spec), '8', '8', { shade: 'R' }),
          piece(2, closed('7,0 0,7 -7,0 0,-7', '1', spec), '8', '8', { shade: 'B' }),
          piece(3, closed('5/2,5/2 -5/2,5/2 -5/2,-5/2 5/2,-5/2', '3/5', spec), '8', '8', { shade: 'R' }),
          piece(4, closed('7/2,0 0,7/2 -7/2,0 0,-7/2', '3/5', spec), '8', '8', { shade: 'B' }),
        ],
      };
    },
  },
  {
    key: 'basket-of-two',
    name: 'Basket of two straps',
    what: 'Two straps together go over two and under two.',
    ...basket(2),
  },
  {
    key: 'basket-of-three',
    name: 'Basket of three straps',
    what: 'Three straps together go over three and under three.',
    ...basket(3),
  },
  {
    key: 'linked-rings',
    name: 'Rings linked in rows',
    what: 'Each ring goes through its neighbours, over one side and under the other.',
    letters: 'COK',
    order: () => ({
      box: { width: '4', height: '8' },
      ground: 'C',
      pieces: [piece(1, ring(3, '4/5', edged('1/6', '1/10', 'K')), '2', '4', { shade: 'O' })],
    }),
  },
  {
    key: 'chain',
    name: 'Chain',
    what: 'Wide and narrow links by turns, each through the next.',
    letters: 'BZK',
    order: () => {
      const spec = edged('1/8', '1/10', 'K');
      return {
        box: { width: '12', height: '6' },
        ground: 'B',
        pieces: [
          piece(1, oval(8, 4, '4/5', spec), '3', '3', { shade: 'Z' }),
          piece(2, oval(6, 2, '4/5', spec), '9', '3', { shade: 'Z' }),
        ],
      };
    },
  },
  {
    key: 'plait-border',
    name: 'Plait of four strands',
    what: 'Four strands go from edge to edge of a border and lie over and under in turn.',
    letters: 'CPK',
    order: () => {
      const spec: StrapSpec = {
        ...edged('1/8', '1/12', 'K'),
        dip: { kind: 'lines', count: 3, length: '1/2', apart: '1/5', width: '1/12', taper: true, shade: 'K' },
      };
      const strand = line('0,1 3,4 6,1', { width: '3/4', strap: spec, ends: 'round' }) as LineShape;
      const points = strand.points.map((point) => ({ ...point, radius: '1' }));
      return {
        box: { width: '6', height: '8' },
        ground: 'C',
        pieces: [
          piece(1, { ...strand, points }, '0', '3/2', { shade: 'P', made: [...beside(4, '3/2', '0')] }),
        ],
      };
    },
  },
  {
    key: 'knot-panel',
    name: 'Knot panel',
    what: 'Strands through the middles of the sides of a grid of 4 × 3, turned back at walls.',
    letters: 'NOK',
    order: () => knotOrder({ columns: 4, rows: 3, breaks: parseBreaks('4,3- 2,3| 6,3|') }),
  },
  {
    key: 'cane-seat',
    name: 'Cane seat',
    what: 'Canes in three directions leave hexagons open; each goes over one and under the next.',
    letters: 'NJK',
    order: () => ({
      box: { width: '4', height: '4' },
      lay: { arrangement: { kind: 'group', group: 'p3', way: 'across' } },
      ground: 'N',
      pieces: [
        piece(1, strap('0,0 4,0', '1', edged('1/10', '1/12', 'K')), '2', '0', { shade: 'J', turn: '60' }),
      ],
    }),
  },
  {
    key: 'fret',
    name: 'Fret',
    what: 'One strap turns square and goes through itself once a box.',
    letters: 'CGK',
    order: () => ({
      box: { width: '8', height: '10' },
      ground: 'C',
      pieces: [
        piece(1, strap('0,3 6,3 6,7 3,7 3,1 8,1 8,3', '1', edged('1/4', '1/8', 'K')), '0', '1', {
          shade: 'G',
        }),
      ],
    }),
  },
];
