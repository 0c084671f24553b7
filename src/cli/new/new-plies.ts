import type { Command } from 'commander';
import { PLY_BLENDS, type PlyBlend } from '../../core/colour/ply-blend.ts';
import { compile } from '../../core/design/compile-design.ts';
import type { Design, PliesDesign } from '../../core/design/design-schema.ts';
import { asPlies, layOver, namedTogether, type PlyLook } from '../../core/design/plies/lay-over.ts';
import { pliesReport } from '../../core/design/plies/plies-report.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { PLIES_STARTS } from '../../core/design/plies/plies-starts.ts';
import { type PlyOffers, plyOffersOf } from '../../core/design/plies/ply-offers-of.ts';
import { readPlies } from '../../core/design/plies/read-plies.ts';
import { weaveTexture } from '../../core/design/plies/weave-texture.ts';
import { wholeToLowest } from '../../core/design/plies/whole-to-lowest.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { CoreError } from '../../core/error.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { parseWeave, weaveName } from '../../core/thread/weaves/weave-text.ts';
import { degreesText } from '../../wording/lines.ts';
import { offersText } from '../../wording/ply-words.ts';
import { readDesignFile } from '../read-design-file.ts';
import { EXIT, run, tell, writeText } from '../run.ts';

export interface NewPliesOptions {
  readonly from?: string;
  readonly under?: string;
  readonly over?: string;
  readonly texture?: string;
  readonly blend?: string;
  readonly strength?: string;
  readonly scale?: string;
  readonly count?: string;
  readonly turn?: string;
  readonly shift?: string;
  readonly clip?: boolean;
  readonly name?: string;
  readonly number?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new plies` and its options. */
export function addNewPlies(make: Command): void {
  const keys = PLIES_STARTS.map(({ key }) => key);
  make
    .command('plies')
    .description('one design over another')
    .option('--from <start>', `begin from ${keys.join(', ')}`)
    .option('--under <file>', 'design beneath; one of plies gets one more')
    .option('--over <file>', 'design over it')
    .option('--texture <weave>', 'instead of a design, light and shade of a weave, such as 2/2Z')
    .option('--blend <mode>', 'how they are blended: normal, multiply, lighten, …')
    .option('--strength <part>', 'how strongly, such as 20%')
    .option('--scale <factor>', 'the upper one larger or smaller, such as 1/4')
    .option('--count <number>', 'so many of the upper one to one repeat of the lowest')
    .option('--turn <degrees>', 'the upper one turned, at the nearest angle that closes')
    .option('--shift <ways>', 'right and up: "6mm,4mm", "1/2,1/2 repeats", "2,3 steps", or "gaps"')
    .option('--clip', 'seen only where the one beneath is painted')
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options: NewPliesOptions) => run(() => newPliesCommand(options)));
}

export function newPliesCommand(options: NewPliesOptions): number {
  const { name, number, resolution, output } = options;
  const begun = begin(options);
  const design = readPlies({
    ...begun,
    ...(name !== undefined && { name }),
    ...(number !== undefined && { number }),
    ...(resolution !== undefined && { resolution }),
  });
  tellOffers(design);
  writeText(output, writeDesignText(design));
  return EXIT.fine;
}

/** @throws CoreError of the files and options; "ply/two" where there are not two designs */
function begin(options: NewPliesOptions): PliesDesign {
  const { from, under, over, texture } = options;
  if (under === undefined && over === undefined && texture === undefined) {
    return designFromStart('plies', from ?? PLIES_STARTS[0]!.key);
  }
  if (under === undefined || (over === undefined) === (texture === undefined)) {
    throw new CoreError('ply/two', {});
  }
  const lower = readDesignFile(under);
  const upper = over === undefined ? textureOf(texture!) : readDesignFile(over);
  const below = asPlies(lower, null);
  const plain = layOver(below, upper, null, lookOf(options, below, upper));
  const named = { ...plain, name: namedTogether(lower.name, upper.name), number: '' };
  const placed = shifted(turned(readPlies(named), options), options);
  return readPlies(placed);
}

function textureOf(text: string): Design {
  const weave = parseWeave(text);
  return weaveTexture(weave, `${weaveName(weave)}, texture`);
}

/** @throws CoreError "ply/blend" {text, known}, as `wholeToLowest` */
function lookOf(options: NewPliesOptions, below: PliesDesign, upper: Design): PlyLook {
  const { blend, strength, scale, count, texture, clip } = options;
  const usual = texture === undefined ? {} : ({ blend: 'multiply', strength: '20%' } as const);
  const sized: Partial<PlySpec> =
    count !== undefined
      ? { scale: { to: 'count', count } }
      : scale !== undefined
        ? { scale: { to: 'factor', factor: scale } }
        : texture !== undefined
          ? { scale: wholeToLowest(below, upper) }
          : {};
  return {
    ...usual,
    ...sized,
    ...(blend !== undefined && { blend: readBlend(blend) }),
    ...(strength !== undefined && { strength }),
    ...(clip === true && { clip: below.construction.plies.length - 1 }),
  };
}

function readBlend(text: string): PlyBlend {
  const found = PLY_BLENDS.find((each) => each === text.trim().toLowerCase());
  if (found === undefined) throw new CoreError('ply/blend', { text, known: [...PLY_BLENDS] });
  return found;
}

/** The upper ply at the nearest angle that closes. @throws CoreError "lay/no-turn" where none near it does */
function turned(design: PliesDesign, { turn }: NewPliesOptions): PliesDesign {
  if (turn === undefined) return design;
  const degrees = toNumber(readDegrees(turn));
  const distance = (offer: { readonly degrees: number }) => Math.abs(offer.degrees - degrees);
  const [near] = [...offersOfTop(design, degrees).angles].sort(
    (one, other) => distance(one) - distance(other),
  );
  if (near === undefined) throw new CoreError('lay/no-turn', {});
  tell(`Turned by ${degreesText(near.degrees)}.`);
  return withTop(design, { slope: near.slope.up === 0 ? null : { ...near.slope, asked: turn } });
}

/** @throws CoreError "ply/shift" {text}, as `pliesReport` for gaps */
function shifted(design: PliesDesign, { shift }: NewPliesOptions): PliesDesign {
  if (shift === undefined) return design;
  if (/^\s*gaps\s*$/i.test(shift)) {
    return withTop(design, { shift: { in: 'repeats', ...pliesReport(design).at(-1)!.gap } });
  }
  const match = /^\s*([^,]+?)\s*,\s*([^,]+?)\s*(repeats|steps)?\s*$/i.exec(shift);
  if (match === null) throw new CoreError('ply/shift', { text: shift });
  const [, x = '', y = '', counted = 'length'] = match;
  return withTop(design, { shift: { in: counted.toLowerCase() as PlySpec['shift']['in'], x, y } });
}

function withTop(design: PliesDesign, change: Partial<PlySpec>): PliesDesign {
  const { plies } = design.construction;
  return {
    ...design,
    construction: { kind: 'plies', plies: plies.with(-1, { ...plies.at(-1)!, ...change }) },
  };
}

function offersOfTop(design: PliesDesign, degrees: number): PlyOffers {
  const ply = design.construction.plies.length - 1;
  return plyOffersOf(design, [{ ply, degrees }])[0]!;
}

/** Says what would make plies come together that do not. @throws CoreError as `compile` */
function tellOffers(design: PliesDesign): void {
  try {
    compile(design);
  } catch (error) {
    if (error instanceof CoreError && (error.code === 'plies/never' || error.code === 'plies/too-long')) {
      tell(offersText(offersOfTop(design, 0), design.lay.unit));
    }
    throw error;
  }
}
