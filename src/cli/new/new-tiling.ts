import { type Command, Option } from 'commander';
import type { Shade } from '../../core/colour/shade.ts';
import { compile } from '../../core/design/compile-design.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { parseProportion, parseSize } from '../../core/design/tiling/tiling-numbers.ts';
import { TILING_COLOURS } from '../../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS, tilingFromStart } from '../../core/design/tiling/tiling-starts.ts';
import { CoreError } from '../../core/error.ts';
import { parseShadeList } from '../../core/formats/shade-list.ts';
import { EXIT, run, writeText } from '../run.ts';

/** `vetro new tiling` and its options. */
export function addNewTiling(make: Command): void {
  make
    .command('tiling')
    .description('polygons that cover the plane, in exact sides')
    .option(
      '--config <vertex>',
      'a tiling by regular polygons, by what is round a vertex, such as 4.8.8 or "3.4.6.4 + 4.6.12"',
    )
    .option('--rhombus <ratio>', 'rhombuses whose diagonals are so, such as 3:4')
    .option('--from <start>', `begin from ${TILING_STARTS.map(({ key }) => key).join(', ')}`)
    .option('--dual', 'middles of faces become corners')
    .addOption(new Option('--side <length>', 'length of a side of 1, such as 20mm').conflicts('repeat'))
    .option('--repeat <length>', 'width of one upright repeat')
    .option('--turn <degrees>', 'in steps of 15')
    .option('--stretch <times>', 'what heights are multiplied by, such as 3/4')
    .option('--slant <part>', 'part of its width by which each repeat lies to the right of the one below')
    .option('--straighten <slope>', 'repeats up/across whose diagonal is made level, such as 1/2')
    .option('--gaps <length>', 'how far every face is inset')
    .option('--lines <length>', 'lines of that width along all sides')
    .option('--star <degrees>', 'lines from the middles of sides, at that angle to them, that make stars')
    .option('--apart <part>', 'start them so far apart, as a part of the side')
    .option('--straps <width>', 'star lines as straps of that width that go over and under')
    .option('--gap <length>', 'what straps leave free beside a strap that goes over them')
    .addOption(new Option('--colours <how>', 'which faces are alike').choices(TILING_COLOURS.slice(0, 4)))
    .option('--shades <list>', 'shades, such as "A=#20304a,B=#c8a24a Signal ochre"')
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options) => run(() => newTilingCommand(options)));
}

interface NewTilingOptions {
  readonly name?: string;
  readonly number?: string;
  readonly config?: string;
  readonly from?: string;
  readonly rhombus?: string;
  readonly dual?: boolean;
  readonly side?: string;
  readonly repeat?: string;
  readonly turn?: string;
  readonly stretch?: string;
  readonly slant?: string;
  readonly straighten?: string;
  readonly gaps?: string;
  readonly lines?: string;
  readonly star?: string;
  readonly apart?: string;
  readonly straps?: string;
  readonly gap?: string;
  readonly colours?: string;
  readonly shades?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new tiling`: a design document from a tiling and the length of its sides. */
function newTilingCommand(options: NewTilingOptions): number {
  const { config, from, rhombus, side, repeat, turn, colours, name, number, resolution } = options;
  const { stretch, slant, straighten, gaps, lines } = options;
  const said = [config, from, rhombus].filter((each) => each !== undefined);
  if (said.length !== 1) throw new CoreError('start/tiling', { ways: said.length });
  const start = tilingFromStart(config ?? from ?? 'diamonds');
  const shades = options.shades === undefined ? start.shades : parseShadeList(options.shades);
  parseSize(side ?? repeat ?? start.construction.size, pixelOf(start.resolution));
  // What lies over the faces takes the last shade.
  const over = shades.at(-1)!.key;
  const design = readDesign({
    ...start,
    name: name ?? start.name,
    number: number ?? start.number,
    resolution: resolution ?? start.resolution,
    shades,
    construction: {
      ...start.construction,
      ...(rhombus === undefined ? {} : { form: rhombusOf(rhombus) }),
      ...(options.dual === true ? { dual: true } : {}),
      ...(side === undefined ? {} : { size: side, measured: 'side' }),
      ...(repeat === undefined ? {} : { size: repeat, measured: 'repeat' }),
      ...(turn === undefined ? {} : { turn: parseTurned(turn) }),
      ...(colours === undefined ? {} : { colours: { by: colours } }),
      ...(stretch === undefined ? {} : { stretch }),
      ...(slant === undefined ? {} : { shear: slant }),
      ...(straighten === undefined ? {} : { diagonal: straighten }),
      ...(gaps === undefined ? {} : { gaps: { by: gaps, corner: '0', shade: over } }),
      ...(options.star === undefined ? {} : { star: starOf(options, options.star, over) }),
      ...(lines === undefined ? {} : { lines: [{ ...SIDE_LINES, width: lines, shade: over }] }),
      ...(options.shades === undefined && options.star === undefined
        ? {}
        : { faces: facesOf(shades, options) }),
    },
  });
  compile(design);
  writeText(options.output, writeDesignText(design));
  return EXIT.fine;
}

/** Every shade in turn; stars would not show on faces of their own. */
function facesOf(shades: readonly Shade[], { star }: NewTilingOptions): readonly string[] {
  const keys = shades.map(({ key }) => key);
  return star === undefined || keys.length === 1 ? keys : keys.slice(0, -1);
}

/** Thin lines, or straps of a width. */
function starOf({ apart, straps, gap }: NewTilingOptions, angle: string, shade: string) {
  const strap = straps === undefined ? null : { gap: gap ?? '0', edges: [], centre: null, dip: null };
  const line = { width: straps ?? '1 mm', shade, ends: 'sharp', strap } as const;
  return { angle, apart: apart ?? '0', line, fills: [], swapped: false, turned: [] };
}

/** Lines along all sides, whole and round at their ends. */
const SIDE_LINES = {
  what: 'sides',
  of: null,
  ends: 'round',
  dashes: null,
  skip: 1,
  every: 1,
  first: 0,
} as const;

function rhombusOf(text: string): { kind: 'rhombus'; across: string; up: string } {
  const [across = '', up = '1'] = text.split(':');
  parseProportion(across);
  parseProportion(up);
  return { kind: 'rhombus', across: across.trim(), up: up.trim() };
}

/** Steps of 15° in a number of degrees. */
function parseTurned(text: string): number {
  const degrees = Number(text);
  if (!/^\d{1,3}$/.test(text) || degrees % 15 !== 0 || degrees >= 360)
    throw new CoreError('tiling/degrees', { text });
  return degrees / 15;
}
