import type { Arrangement } from './lay-schema.ts';

/** Lays of one kind, as they are shown beside each other. */
export interface LayOffers {
  readonly kind: 'stepped' | 'mirrored' | 'turned' | 'sixty';
  readonly lays: readonly Arrangement[];
}

type Group = Extract<Arrangement, { kind: 'group' }>['group'];

const PARTS = ['1/2', '1/3', '2/3', '1/4'] as const;

function both(...groups: readonly Group[]): readonly Arrangement[] {
  return groups.flatMap((group) => [
    { kind: 'group', group, way: 'across' } as const,
    { kind: 'group', group, way: 'up' } as const,
  ]);
}

function each(...groups: readonly Group[]): readonly Arrangement[] {
  return groups.map((group) => ({ kind: 'group', group, way: 'across' }) as const);
}

/** The lays that are usual, and every plane group; groups that are others with right and up exchanged stand twice. */
export const LAY_OFFERS: readonly LayOffers[] = [
  {
    kind: 'stepped',
    lays: [
      { kind: 'straight' },
      ...PARTS.map((by) => ({ kind: 'half-drop', by }) as const),
      ...PARTS.map((by) => ({ kind: 'brick', by }) as const),
    ],
  },
  {
    kind: 'mirrored',
    lays: [...both('pm', 'pg'), ...each('p2mm', 'p2gg'), ...both('cm', 'p2mg', 'c2mm')],
  },
  { kind: 'turned', lays: [...both('p2'), ...each('p4', 'p4mm', 'p4gm')] },
  { kind: 'sixty', lays: each('p3', 'p3m1', 'p31m', 'p6', 'p6mm') },
];

/** All of them, in the order in which they are shown. */
export const ALL_LAYS: readonly Arrangement[] = LAY_OFFERS.flatMap(({ lays }) => lays);

/** Whether two are one lay. */
export function isSameLay(one: Arrangement, other: Arrangement): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
