import { shadeOfLetter } from '../../colour/letter-shades.ts';
import { parseWeave } from '../../thread/weaves/weave-text.ts';
import type { StartPoint } from '../construction.ts';
import type { Design, PliesDesign } from '../design-schema.ts';
import type { Piece } from '../motif/motif-schema.ts';
import { disc, line } from '../motif/start-parts.ts';
import { usualPiece } from '../motif/usual-piece.ts';
import { newMotif, newStripe } from '../new-design.ts';
import { designFromStart } from '../starts.ts';
import { asPlies, layOver, withPly } from './lay-over.ts';
import { weaveTexture } from './weave-texture.ts';

type PliesStart = Omit<StartPoint<PliesDesign>, 'design'> & { readonly plies: () => PliesDesign };

const STARTS: readonly PliesStart[] = [
  {
    key: 'crossed-stripes',
    name: 'Crossed stripes',
    what: 'A stripe of three shades over itself, turned, at half strength: a printed plaid.',
    plies: () => {
      const stripe = stripeOf('Stripe', 1);
      return layOver(asPlies(stripe, null), stripeOf('Stripe across', 0), null, { strength: '50%' });
    },
  },
  {
    key: 'twill-texture',
    name: 'Woven texture',
    what: 'Threads of a twill as light and shade over a print, multiplied at 20 %.',
    plies: () =>
      layOver(
        asPlies(designFromStart('motif', 'fish-scale'), null),
        weaveTexture(parseWeave('2/2Z'), '2/2 twill Z, texture'),
        null,
        {
          scale: { to: 'count', count: '10' },
          blend: 'multiply',
          strength: '20%',
        },
      ),
  },
  {
    key: 'diamonds-in-gaps',
    name: 'Diamonds in the gaps',
    what: 'Fading diamonds, and the same in other shades moved by half their repeat into the gaps.',
    plies: () =>
      layOver(asPlies(diamonds('BW', 'Diamonds below'), null), diamonds('OC', 'Diamonds in the gaps'), null, {
        shift: { in: 'repeats', x: '1/2', y: '1/2' },
      }),
  },
  {
    key: 'fade-in-scales',
    name: 'Fade inside scales',
    what: 'A fade over the whole repeat that shows only where the scales are, over a plain shade.',
    plies: () => {
      const scale = apart();
      const below = asPlies(scale, null);
      const ground = withPly(
        { ...below, construction: { kind: 'plies', plies: [] } },
        {
          kind: 'shade',
          shade: 'N',
        },
      );
      const over = layOver(ground, scale, null);
      return withPly(over, { kind: 'fade', shades: ['G', 'J', 'C'], angle: '90' }, { clip: 1 });
    },
  },
];

/** Bands of three shades, down the cloth or across it. */
function stripeOf(name: string, rise: 0 | 1): Design {
  return newStripe({
    name,
    shades: [...'GCR'].map(shadeOfLetter),
    bands: [
      { shade: 'G', width: '8' },
      { shade: 'C', width: '4' },
      { shade: 'R', width: '2' },
      { shade: 'C', width: '4' },
    ],
    slope: { rise, run: 1 - rise },
  });
}

/** Diamonds from edge to edge of their box, so that they touch at their corners; between them the cloth is clear. */
function diamonds(letters: string, name: string): Design {
  const [first = '', last = ''] = letters;
  const diamond: Piece = usualPiece(1, line('0,2 2,0 0,-2 -2,0', { run: 'closed', width: null }), '2', '2', {
    fade: { kind: 'along', shades: [first, last], over: 'piece', angle: '90' },
  });
  return newMotif({
    name,
    shades: [...letters].map(shadeOfLetter),
    box: { width: '4', height: '4' },
    pieces: [diamond],
  });
}

/** Scales with gaps between them. */
function apart(): Design {
  return newMotif({
    name: 'Scales',
    shades: [...'NGJC'].map(shadeOfLetter),
    box: { width: '8', height: '8' },
    lay: { arrangement: { kind: 'brick', by: '1/2' } },
    pieces: [usualPiece(1, disc('7'), '4', '4', { shade: 'G' })],
  });
}

/** All of them, the plainest first. */
export const PLIES_STARTS: readonly StartPoint<PliesDesign>[] = STARTS.map(({ plies, ...start }) => ({
  ...start,
  design: () => ({ ...plies(), name: start.name, number: '' }),
}));
