import { describe, expect, it } from 'vitest';
import { disc, motifOf } from '../../../../../tests/motif-of.ts';
import { motifFacts } from '../motif-facts.ts';

describe('what is thinnest', () => {
  const thin = (...of: Parameters<typeof motifOf>) => {
    const { smallestWidth, smallestGap } = motifFacts(motifOf(...of));
    return [smallestWidth?.toFixed(1), smallestGap?.toFixed(1)];
  };

  it.each<[string, Parameters<typeof motifOf>, (string | undefined)[]]>([
    // Steps of 5 mm in a box of 40 mm.
    [
      'a disc, and the ground between discs',
      [[{ shape: disc('3') }], { box: { width: '5', height: '5' } }],
      [undefined, '10.0'],
    ],
    [
      'bars across the edge',
      [[{ shape: { kind: 'rectangle', width: '6', height: '1', radii: '0' }, x: '0' }]],
      ['5.0', '10.0'],
    ],
    ['a ring', [[{ shape: { kind: 'ring', across: '6', band: '1/3' } }]], ['1.7', '10.0']],
    [
      'an outline of its own shade',
      [
        [
          {
            shape: disc('4'),
            outline: { width: '1/5', shade: 'R', side: 'inside', ends: 'round', dashes: null },
          },
        ],
      ],
      ['1.0', '20.0'],
    ],
    [
      'a crescent, in its middle',
      [
        [
          { shape: disc('4'), made: [{ kind: 'cut', with: [2] }] },
          { shape: disc('4'), x: '5' },
        ],
      ],
      ['4.9', '20.0'],
    ],
    [
      'a corner, which narrows to nothing',
      [[{ shape: { kind: 'star', points: 4, outer: '3', inner: '1' } }]],
      ['10.0', '10.0'],
    ],
    ['nothing', [[]], [undefined, undefined]],
  ])('of %s', (_, given, expected) => {
    expect(thin(...given)).toEqual(expected);
  });
});
