import type { Archimedean } from '../../../tiling/forms/archimedean.ts';
import type { TilingOrder } from '../../new-design.ts';
import type { StarSpec } from './star-schema.ts';

type Fill = readonly [sides: number, shade: string];

interface StarStart {
  readonly key: string;
  readonly name: string;
  readonly what: string;
  readonly order: Pick<TilingOrder, 'form'> & Partial<TilingOrder>;
}

interface StarOrder {
  readonly name: Archimedean;
  readonly size: string;
  readonly angle: string;
  readonly apart?: string;
  readonly line: StarSpec['line'];
  readonly ground: string;
  readonly fills: readonly Fill[];
}

function stars({ name, size, angle, apart = '0', line, ground, fills }: StarOrder): StarStart['order'] {
  return {
    form: { kind: 'regular', name },
    size,
    faces: [ground],
    star: {
      angle,
      apart,
      line,
      fills: fills.map(([sides, shade]) => ({ sides, shade })),
      swapped: false,
      turned: [],
    },
  };
}

function straps(width: string, gap: string, shade: string, edge: string): StarSpec['line'] {
  const edges = [{ inset: '0', width: '0.3 mm', shade: edge }];
  return { width, shade, ends: 'sharp', strap: { gap, edges, centre: null, dip: null } };
}

/** Tilings whose sides send out lines that make stars. */
export const STAR_STARTS: readonly StarStart[] = [
  {
    key: 'eight-pointed-stars',
    name: 'Eight-pointed stars',
    what: 'Straps at 67.5° to the sides of octagons and squares, over and under in turn.',
    order: stars({
      name: '4.8.8',
      size: '20 mm',
      angle: '67.5',
      line: straps('3 mm', '0.6 mm', 'C', 'B'),
      ground: 'B',
      fills: [[8, 'O']],
    }),
  },
  {
    key: 'six-pointed-stars',
    name: 'Six-pointed stars',
    what: 'Lines at 60° to the sides of hexagons, the stars filled.',
    order: stars({
      name: '6.6.6',
      size: '15 mm',
      angle: '60',
      line: { width: '1 mm', shade: 'C', ends: 'sharp', strap: null },
      ground: 'U',
      fills: [[6, 'M']],
    }),
  },
  {
    key: 'twelve-pointed-stars',
    name: 'Twelve-pointed stars',
    what: 'Straps at 75° to the sides of dodecagons and triangles.',
    order: stars({
      name: '3.12.12',
      size: '15 mm',
      angle: '75',
      line: straps('2 mm', '0.5 mm', 'Z', 'B'),
      ground: 'C',
      fills: [[12, 'B']],
    }),
  },
  {
    key: 'stars-and-rosettes',
    name: 'Stars and rosettes',
    what: 'Straps that start apart from each other on the sides of 4.6.12, stars filled by their kind.',
    order: stars({
      name: '4.6.12',
      size: '20 mm',
      angle: '55',
      apart: '1/4',
      line: straps('1.5 mm', '0.4 mm', 'C', 'B'),
      ground: 'M',
      fills: [
        [12, 'O'],
        [6, 'U'],
        [4, 'B'],
      ],
    }),
  },
];
