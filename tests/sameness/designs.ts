import type { Design } from '../../src/core/design/design-schema.ts';
import { MOTIF_STARTS } from '../../src/core/design/motif/motif-starts.ts';
import { PLAID_STARTS } from '../../src/core/design/plaid/plaid-starts.ts';
import { PLIES_STARTS } from '../../src/core/design/plies/plies-starts.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { STRIPE_STARTS } from '../../src/core/design/stripe/stripe-starts.ts';
import { TILING_STARTS, tilingFromStart } from '../../src/core/design/tiling/tiling-starts.ts';
import { LARKMERE } from '../../src/server/demo/demo.ts';

/** Every start point and every demo design, by a name of its own. */
export function allDesigns(): readonly (readonly [name: string, design: Design])[] {
  return [
    ...PLAID_STARTS.map(({ key }) => [`start ${key}`, designFromStart('plaid', key, 7)] as const),
    ...STRIPE_STARTS.map(({ key }) => [`start stripe ${key}`, designFromStart('stripe', key)] as const),
    ...TILING_STARTS.map(({ key }) => [`start tiling ${key}`, tilingFromStart(key)] as const),
    ...MOTIF_STARTS.map(({ key }) => [`start motif ${key}`, designFromStart('motif', key, 7)] as const),
    ...PLIES_STARTS.map(({ key }) => [`start plies ${key}`, designFromStart('plies', key)] as const),
    ...LARKMERE.map(({ name, design }) => [`demo ${name}`, design()] as const),
    ['lines, gaps, fade and rings', layered()],
  ];
}

/** A tiling with everything over its faces that there is. */
function layered(): Design {
  const design = tilingFromStart('4.8.8');
  return {
    ...design,
    construction: {
      ...design.construction,
      rings: [
        { share: '3/4', shade: 'C' },
        { share: '1/2', shade: null },
      ],
      fade: { shades: ['B', 'O', 'M'], angle: 5, turned: true, of: '8' },
      gaps: { by: '0.7mm', corner: '1.5mm', shade: 'Z' },
      lines: [
        {
          what: 'sides',
          of: null,
          width: '0.5mm',
          shade: 'U',
          ends: 'sharp',
          dashes: null,
          skip: 1,
          every: 1,
          first: 0,
        },
        {
          what: 'spokes',
          of: '8',
          width: '0.4mm',
          shade: 'O',
          ends: 'round',
          dashes: { count: 2, share: '1/2' },
          skip: 1,
          every: 1,
          first: 0,
        },
        {
          what: 'stars',
          of: '8',
          width: '0.3mm',
          shade: 'B',
          ends: 'flat',
          dashes: null,
          skip: 3,
          every: 1,
          first: 0,
        },
      ],
    },
  };
}
