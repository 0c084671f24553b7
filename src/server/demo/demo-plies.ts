import type { PliesDesign } from '../../core/design/design-schema.ts';
import { asPlies, layOver } from '../../core/design/plies/lay-over.ts';
import { weaveTexture } from '../../core/design/plies/weave-texture.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { parseWeave } from '../../core/thread/weaves/weave-text.ts';
import type { Demo } from './demo.ts';
import { DEMO_MOTIFS } from './demo-motifs.ts';
import { lineShades } from './line-shades.ts';

/** Plies of the demo: how they are begun, and the line's letter for each of their shades, "B>L"; others stay. */
interface DemoPlies {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly begin: () => PliesDesign;
  readonly shades: string;
}

const PLIES: readonly DemoPlies[] = [
  {
    number: 'LLR 069',
    name: 'Slipway scales, woven',
    range: 'Boathouse',
    begin: woven,
    shades: '',
  },
  {
    number: 'LLR 070',
    name: 'Waiting-room diamonds',
    range: 'Stations',
    begin: () => designFromStart('plies', 'diamonds-in-gaps'),
    shades: 'B>G W>L O>R C>C',
  },
  {
    number: 'LLR 071',
    name: 'Dawn on the boathouse',
    range: 'Boathouse',
    begin: () => designFromStart('plies', 'fade-in-scales'),
    shades: 'N>B G>P J>Y C>C',
  },
  {
    number: 'LLR 072',
    name: 'Crossed platform stripe',
    range: 'Stations',
    begin: () => designFromStart('plies', 'crossed-stripes'),
    shades: 'G>G C>C R>Y',
  },
];

/** The boathouse's scales as they come out on a twill. */
function woven(): PliesDesign {
  const scales = DEMO_MOTIFS.find(({ number }) => number === 'LLR 050')!.design();
  const texture = weaveTexture(parseWeave('2/2Z'), '2/2 twill Z, texture');
  return layOver(asPlies(scales, null), texture, null, {
    scale: { to: 'count', count: '10' },
    blend: 'multiply',
    strength: '20%',
  });
}

export const DEMO_PLIES: readonly Demo[] = PLIES.map(({ number, name, range, begin, shades }) => ({
  number,
  name,
  range,
  design: () => readDesign({ ...inLineShades(begin(), shades), name, number }),
}));

function inLineShades(design: PliesDesign, shades: string): PliesDesign {
  const letters = new Map(
    shades.split(' ').map((pair): [string, string] => {
      const [from = '', to = ''] = pair.split('>');
      return [from, to];
    }),
  );
  const lined = design.shades.map((shade) => {
    const letter = letters.get(shade.key);
    if (letter === undefined) return shade;
    return { ...shade, ...lineShades([{ shade: letter }])[0], key: shade.key };
  });
  return { ...design, shades: lined };
}
