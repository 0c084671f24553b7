import { inColourway } from '../core/design/colourway.ts';
import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { asContent } from '../core/design/plies/lay-over.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { parseBend } from '../core/design/try-on/bend-text.ts';
import { compileTryOn, drawScene } from '../core/design/try-on/compile-try-on.ts';
import { parseSmaller } from '../core/design/try-on/try-on-numbers.ts';
import { tryOnPng } from '../core/design/try-on/try-on-png.ts';
import type { PartSpec, TryOn } from '../core/design/try-on/try-on-schema.ts';
import { tryOnSvg } from '../core/design/try-on/try-on-svg.ts';
import { FIRST_SCENE, partOf, usualTryOn } from '../core/design/try-on/usual-try-on.ts';
import { CoreError } from '../core/error.ts';
import { lightOfUnit } from '../core/paint/seen/cloth-tile.ts';
import { SCENES } from '../core/scene/scenes.ts';
import type { LetterFontKey } from '../core/shape/letters/letters.ts';
import { parseResolution } from '../core/units/resolution.ts';
import { NODE_FILES, nodeCompressor } from '../server/sending/node-compressor.ts';
import { writeStream } from '../server/sending/write-stream.ts';
import { seamSentence } from '../wording/seam-words.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile, readText } from './read-design-file.ts';
import { EXIT, tell, writeText } from './run.ts';

/** What is said of one part, or of all of them. */
export interface PartWish {
  readonly part: string | undefined;
  cloth?: string;
  bare?: boolean;
  scale?: string;
  count?: string;
  turn?: string;
  shift?: string;
  bend?: readonly string[];
  flat?: boolean;
  shading?: string;
}

export interface TryOptions {
  readonly output?: string;
  readonly scene?: string;
  readonly set?: readonly string[];
  readonly letters?: string;
  readonly font?: LetterFontKey;
  readonly path?: string;
  /** Of all parts, then of those that are named, in their order. */
  readonly said: readonly PartWish[];
  readonly person?: string;
  readonly from?: string;
  readonly at?: string;
  readonly dpi: string;
  readonly alone?: boolean;
  readonly colourway?: string;
  readonly list?: boolean;
}

/** `vetro try`: a design in use, as a picture, a drawing, or a document that remembers it. */
export async function tryCommand(path: string | undefined, options: TryOptions): Promise<number> {
  if (options.list === true) {
    for (const { key, name, group } of SCENES) {
      process.stdout.write(`${key.padEnd(14)} ${name.padEnd(22)} ${group}\n`);
    }
    return EXIT.fine;
  }
  if (path === undefined) throw new CoreError('option/needed', { option: 'a design' });
  const design = inColourway(readDesignFile(path), options.colourway);
  const tryOn = wished(design, options);
  const tried = readDesign({ ...design, tryOn }) as Design & { readonly tryOn: TryOn };
  const pictures = await picturesOf(tried);
  const units = new Map<Design, ReturnType<typeof compile>>();
  const unitOf = (each: Design) => {
    const unit = units.get(each) ?? compile(each, pictures);
    units.set(each, unit);
    return unit;
  };
  const scene = compileTryOn(tried, tried.tryOn, { unitOf });
  for (const { seam, fit } of scene.seams) if (fit !== undefined) tell(seamSentence(seam.name, fit));
  const { output } = options;
  if (output === undefined) throw new CoreError('option/needed', { option: '--output' });
  const order = {
    dpi: parseResolution(options.dpi),
    smaller: parseSmaller(options.at ?? '1'),
    drawn: options.alone !== true,
  };
  if (/\.png$/i.test(output)) {
    await writeStream(output, tryOnPng(scene, order, { compressor: nodeCompressor, lightOf: lightOfUnit }));
  } else if (/\.svg$/i.test(output)) {
    await writeStream(
      output,
      tryOnSvg(scene, order, { title: tried.name, lightOf: lightOfUnit, ...NODE_FILES }),
    );
  } else if (/\.json$/i.test(output)) {
    writeText(output, writeDesignText(tried));
  } else {
    throw new CoreError('file/kind-written', { name: output, kinds: ['png', 'svg', 'json'] });
  }
  return EXIT.fine;
}

/** The scene of a design as the options change it. */
function wished(design: Design, options: TryOptions): TryOn {
  const before = sceneBefore(design, options.scene);
  const named = [...new Set(options.said.flatMap(({ cloth }) => (cloth === undefined ? [] : [cloth])))];
  const others = named.map((path) => ({ design: asContent(readDesignFile(path)), from: null }));
  const cloths = [...before.cloths, ...others];
  const tryOn: TryOn = {
    ...before,
    numbers: { ...before.numbers, ...Object.fromEntries((options.set ?? []).map(numberOf)) },
    letters: {
      text: options.letters ?? before.letters.text,
      font: options.font ?? before.letters.font,
    },
    path: options.path === undefined ? before.path : readText(options.path).trim(),
    cloths,
    person: options.person ?? before.person,
    seenFrom: options.from ?? before.seenFrom,
  };
  const known = drawScene(tryOn).drawing.parts.map(({ key }) => key);
  const unknown = options.said.find(({ part }) => part !== undefined && !known.includes(part));
  if (unknown !== undefined) throw new CoreError('scene/part', { part: unknown.part!, known });
  options.said.forEach(refuseBoth);
  let { parts } = tryOn;
  const [ofAll, ...ofParts] = options.said;
  // With parts named and nothing said before them, the others stay as they are.
  const wishes = [...(ofAll === undefined ? [] : known.map((part) => ({ ...ofAll, part }))), ...ofParts];
  for (const { part, cloth, ...wish } of wishes) {
    const change = changeOf(
      wish,
      cloth === undefined ? undefined : before.cloths.length + named.indexOf(cloth),
    );
    if (Object.keys(change).length === 0) continue;
    parts = { ...parts, [part!]: { ...partOf({ ...tryOn, parts }, part!), ...change } };
  }
  return { ...tryOn, parts };
}

/** Options that cannot both be said of a part. */
const APART = [
  ['bare', 'cloth'],
  ['scale', 'count'],
  ['flat', 'bend'],
] as const;

/** @throws CoreError "option/idle" {option, why} */
function refuseBoth(wish: PartWish): void {
  for (const [one, other] of APART) {
    if (wish[one] === undefined || wish[other] === undefined) continue;
    throw new CoreError('option/idle', { option: `--${one}`, why: `--${other} is said of the same part` });
  }
}

/** Another scene begins anew; letters and a path name theirs. */
function sceneBefore({ tryOn }: Design, scene: string | undefined): TryOn {
  if (tryOn !== null && (scene === undefined || scene === tryOn.scene)) return tryOn;
  return usualTryOn(scene ?? FIRST_SCENE);
}

/** What the options say of parts; a part of which they say nothing stays as it is. */
function changeOf(
  { bare, scale, count, turn, shift, bend, flat, shading }: Omit<PartWish, 'part' | 'cloth'>,
  cloth: number | undefined,
): Partial<PartSpec> {
  const [x, y] = (shift ?? '').split(',');
  return {
    ...(cloth !== undefined && { cloth }),
    ...(bare === true && { cloth: null }),
    ...(scale !== undefined && { scale: { to: 'factor', factor: scale } }),
    ...(count !== undefined && { scale: { to: 'count', count } }),
    ...(turn !== undefined && { turn }),
    ...(shift !== undefined && { shift: { x: x!.trim(), y: (y ?? '0').trim() } }),
    ...(bend !== undefined && { bends: bend.map(parseBend) }),
    ...(flat === true && { bends: [] }),
    ...(shading !== undefined && { shading }),
  };
}

/** @throws CoreError "option/assignment" {text} */
function numberOf(text: string): readonly [string, string] {
  const match = /^([a-zA-Z]+)=(.+)$/.exec(text);
  if (match === null) throw new CoreError('option/assignment', { text });
  return [match[1]!, match[2]!.trim()];
}
