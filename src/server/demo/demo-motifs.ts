import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { Lay } from '../../core/design/lay/lay-schema.ts';
import type { Motif } from '../../core/design/motif/motif-schema.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { shadesUsed, withShadeReplaced } from '../../core/design/shades-used.ts';
import { designFromStart } from '../../core/design/starts.ts';
import type { Demo } from './demo.ts';
import { lineShades } from './line-shades.ts';

/** A motif of the demo: a start point with the line's shades in the place of its own, at another size. */
interface DemoMotif {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly start: string;
  /** The line's letter for each of the start point's, "B>L". */
  readonly shades: string;
  readonly step: string;
  readonly lay?: Partial<Lay>;
}

const MOTIFS: readonly DemoMotif[] = [
  {
    number: 'LLR 050',
    name: 'Slipway roof scales',
    range: 'Boathouse',
    start: 'fish-scale',
    shades: 'B>B C>C Z>L O>Y',
    step: '5 mm',
  },
  {
    number: 'LLR 051',
    name: 'Lake steamer wave border',
    range: 'Boathouse',
    start: 'wave-flipped',
    shades: 'W>C B>B J>S',
    step: '5 mm',
  },
  {
    number: 'LLR 052',
    name: 'Guard’s argyle socks',
    range: 'Uniform',
    start: 'argyle',
    shades: 'S>B R>R M>G C>C',
    step: '12 mm',
  },
  {
    number: 'LLR 053',
    name: 'Signal-lamp lattice',
    range: 'Boathouse',
    start: 'trellis',
    shades: 'C>K M>S O>Y',
    step: '6 mm',
  },
  {
    number: 'LLR 054',
    name: 'Platform railings',
    range: 'Boathouse',
    start: 'interlocking-bars',
    shades: 'C>C S>G',
    step: '8 mm',
  },
  {
    number: 'LLR 055',
    name: 'Ticket-clip stars',
    range: 'Boathouse',
    start: 'stars',
    shades: 'I>R Y>C C>Y',
    step: '4 mm',
  },
  {
    number: 'LLR 056',
    name: 'Boat-shed lozenges',
    range: 'Boathouse',
    start: 'nested-squares',
    shades: 'C>L N>B O>Y R>R',
    step: '6 mm',
  },
  {
    number: 'LLR 058',
    name: 'Ticket-office corner tiles',
    range: 'Stations',
    start: 'four-corners',
    shades: 'C>C B>B R>R G>G O>Y',
    step: '8 mm',
  },
  {
    number: 'LLR 057',
    name: 'Steamer-pier tiles',
    range: 'Boathouse',
    start: 'hexagon-packing',
    shades: 'C>C B>S',
    step: '1 mm',
  },
  {
    number: 'LLR 065',
    name: 'Lamp-room rosettes',
    range: 'Stations',
    start: 'four-corners',
    shades: 'C>C B>B R>R G>G O>Y',
    step: '8 mm',
    lay: { arrangement: { kind: 'group', group: 'p6mm', way: 'across' } },
  },
  {
    number: 'LLR 066',
    name: 'Coupling-chain straps',
    range: 'Carriages',
    start: 'chain',
    shades: 'B>R Z>L K>K',
    step: '6 mm',
  },
  {
    number: 'LLR 067',
    name: 'Luggage-rack lattice',
    range: 'Carriages',
    start: 'lattice-of-straps',
    shades: 'C>C Z>B K>K',
    step: '4 mm',
  },
];

export const DEMO_MOTIFS: readonly Demo[] = MOTIFS.map(
  ({ number, name, range, start, shades, step, lay }) => ({
    number,
    name,
    range,
    design: () => {
      const begun = designFromStart('motif', start);
      const construction = inLineShades(begun.construction, shades);
      const card = lineShades(shadesUsed(construction).map(({ key }) => ({ shade: key })));
      const made: MotifDesign = {
        ...begun,
        name,
        number,
        shades: [...card],
        construction: { ...construction, step },
        lay: { ...begun.lay, ...lay },
      };
      return readDesign(made);
    },
  }),
);

/** Letters are replaced by ones that no shade has first, so that none is taken for another. */
function inLineShades(motif: Motif, shades: string): Motif {
  const pairs = shades.split(' ').map((pair) => pair.split('>') as [string, string]);
  const apart = pairs.reduce((changed, [from], at) => withShadeReplaced(changed, from, `X${at}`), motif);
  return pairs.reduce((changed, [, to], at) => withShadeReplaced(changed, `X${at}`, to), apart);
}
