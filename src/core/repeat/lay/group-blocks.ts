/** Plane groups that upright boxes can be copied by; for those with third and sixth turns see `sixty-groups.ts`. */
export const BOX_GROUPS = [
  'pm',
  'pg',
  'cm',
  'p2',
  'p2mm',
  'p2mg',
  'p2gg',
  'c2mm',
  'p4',
  'p4mm',
  'p4gm',
] as const;
export type BoxGroup = (typeof BOX_GROUPS)[number];

/** How a copy stands in its box: as drawn, mirrored left to right or top to bottom, turned, or mirrored in a diagonal. */
export const STANDS = ['same', 'across', 'down', 'half', 'left', 'right', 'diagonal', 'other'] as const;
export type BoxStand = (typeof STANDS)[number];

/** A copy of the box's pieces, so many boxes to the right and upward. */
export interface BlockCopy {
  readonly right: number;
  readonly up: number;
  readonly stand: BoxStand;
}

/** Boxes that come again together, by two ways in boxes. */
export interface GroupBlock {
  readonly ways: readonly [readonly [right: number, up: number], readonly [right: number, up: number]];
  readonly copies: readonly BlockCopy[];
  /** Whether its copies are turned by quarters, or mirrored in a diagonal: the box has to be a square. */
  readonly square: boolean;
  /** Whether the edges of all its boxes are mirrors: the upright ones, the level ones. */
  readonly mirrors: { readonly upright: boolean; readonly level: boolean };
}

const at = (right: number, up: number, ...stands: readonly BoxStand[]): readonly BlockCopy[] =>
  stands.map((stand) => ({ right, up, stand }));

const block = (
  ways: GroupBlock['ways'],
  copies: readonly (readonly BlockCopy[])[],
  { upright = false, level = false, square = false } = {},
): GroupBlock => ({ ways, copies: copies.flat(), square, mirrors: { upright, level } });

/** So many boxes across and up. */
const whole = (across: number, up: number): GroupBlock['ways'] => [
  [across, 0],
  [0, up],
];

/**
 * The boxes that make up each group, each box what is copied; for the last two half of a box, beside a diagonal.
 * Source: D. Schattschneider, The plane symmetry groups: their recognition and notation, Amer. Math. Monthly 85 (1978)
 * 439–450, fundamental regions; from memory.
 */
const BLOCKS: Readonly<Record<BoxGroup, GroupBlock>> = {
  pm: block(whole(2, 1), [at(0, 0, 'same'), at(1, 0, 'across')], { upright: true }),
  pg: block(whole(1, 2), [at(0, 0, 'same'), at(0, 1, 'across')]),
  cm: block(
    [
      [1, 1],
      [0, 2],
    ],
    [at(0, 0, 'same'), at(1, 0, 'across')],
    { upright: true },
  ),
  p2: block(whole(2, 1), [at(0, 0, 'same'), at(1, 0, 'half')]),
  p2mm: block(whole(2, 2), [at(0, 0, 'same'), at(1, 0, 'across'), at(0, 1, 'down'), at(1, 1, 'half')], {
    upright: true,
    level: true,
  }),
  p2mg: block(whole(2, 2), [at(0, 0, 'same'), at(1, 0, 'across'), at(0, 1, 'half'), at(1, 1, 'down')], {
    upright: true,
  }),
  p2gg: block(whole(2, 2), [at(0, 0, 'same'), at(1, 0, 'down'), at(0, 1, 'across'), at(1, 1, 'half')]),
  c2mm: block(
    [
      [2, 1],
      [0, 2],
    ],
    [at(0, 0, 'same'), at(1, 0, 'half'), at(0, 1, 'down'), at(1, 1, 'across')],
    { level: true },
  ),
  p4: block(whole(2, 2), [at(0, 0, 'same'), at(1, 0, 'left'), at(1, 1, 'half'), at(0, 1, 'right')], {
    square: true,
  }),
  p4mm: block(
    whole(2, 2),
    [
      at(0, 0, 'same', 'diagonal'),
      at(1, 0, 'across', 'left'),
      at(0, 1, 'down', 'right'),
      at(1, 1, 'half', 'other'),
    ],
    { square: true, upright: true, level: true },
  ),
  p4gm: block(
    whole(2, 2),
    [
      at(0, 0, 'same', 'other'),
      at(1, 0, 'left', 'down'),
      at(1, 1, 'half', 'diagonal'),
      at(0, 1, 'right', 'across'),
    ],
    { square: true },
  ),
};

/** The same with right and up changed for each other. */
const TRANSPOSED: Readonly<Record<BoxStand, BoxStand>> = {
  same: 'same',
  across: 'down',
  down: 'across',
  half: 'half',
  left: 'right',
  right: 'left',
  diagonal: 'diagonal',
  other: 'other',
};

/** The boxes of a group; `up` has its mirrors and rows the other way. */
export function groupBlock(group: BoxGroup, way: 'across' | 'up'): GroupBlock {
  const found = BLOCKS[group];
  if (way === 'across') return found;
  const [[a, b], [c, d]] = found.ways;
  return {
    ...found,
    mirrors: { upright: found.mirrors.level, level: found.mirrors.upright },
    ways: [
      [b, a],
      [d, c],
    ],
    copies: found.copies.map(({ right, up, stand }) => ({ right: up, up: right, stand: TRANSPOSED[stand] })),
  };
}
