import { CoreError } from '../../error.ts';
import { MOST_PLIES } from '../../repeat/plies/lay-plies.ts';
import { type Design, MAX_NAME, type PliesDesign } from '../design-schema.ts';
import { isKind } from '../of-kind.ts';
import type { DesignContent, PlyContent, PlySpec } from './plies-schema.ts';
import { plyStepName } from './ply-step.ts';
import { takeShades } from './take-shades.ts';

/** How a ply lies that nothing was said of. */
export const USUAL_PLY = {
  scale: { to: 'factor', factor: '100%' },
  slope: null,
  shift: { in: 'length', x: '0', y: '0' },
  blend: 'normal',
  strength: '100%',
  clip: null,
  shown: true,
} as const satisfies Omit<PlySpec, 'content'>;

const THREADS: PlySpec['shift'] = { in: 'steps', x: '0', y: '0' };

/** How a ply lies; what is left out is as usual. */
export type PlyLook = Partial<Omit<PlySpec, 'content'>>;

type Source = DesignContent['from'];

/**
 * A design as the only ply of a new one, which has its shades, colourways and pictures. One of plies is it already.
 * @param from  where it lies on the shelf
 */
export function asPlies(design: Design, from: Source): PliesDesign {
  if (isKind('plies', design)) return design;
  const { shades, colourways, pictures, lay, ...rest } = design;
  const keys = Object.fromEntries(shades.map(({ key }) => [key, key]));
  return {
    ...rest,
    shades,
    colourways,
    pictures,
    notes: '',
    tryOn: null,
    kept: [],
    lay: { ...lay, arrangement: { kind: 'straight' }, scale: null, slope: null },
    construction: {
      kind: 'plies',
      plies: [{ ...USUAL_PLY, content: contentOf(design, from, keys) }],
    },
  };
}

/** A design with another above all its plies; its shades come onto the card. @throws CoreError as `takeShades`, `withPly` */
export function layOver(below: PliesDesign, over: Design, from: Source, look: PlyLook = {}): PliesDesign {
  const { shades, colourways, keys } = takeShades(below, over);
  const pictures = { ...over.pictures, ...below.pictures };
  // Threads stay threads where they are moved by whole ones.
  const shift = plyStepName(over) === 'threads' ? THREADS : USUAL_PLY.shift;
  return withPly({ ...below, shades, colourways, pictures }, contentOf(over, from, keys), { shift, ...look });
}

/** A design with one more ply above its others. @throws CoreError "plies/count" {count, most} */
export function withPly(below: PliesDesign, content: PlyContent, look: PlyLook = {}): PliesDesign {
  const { plies } = below.construction;
  const count = plies.length + 1;
  if (count > MOST_PLIES) throw new CoreError('plies/count', { count, most: MOST_PLIES });
  return {
    ...below,
    construction: { kind: 'plies', plies: [...plies, { ...USUAL_PLY, ...look, content }] },
  };
}

/**
 * A ply's design as it stands on the shelf now. Shades that the ply was not given by hand are those of the newer one.
 * @throws CoreError as `takeShades`
 */
export function withNewer(design: PliesDesign, at: number, newer: Design, from: Source): PliesDesign {
  const { content, ...look } = design.construction.plies[at]!;
  if (content.kind !== 'design') return design;
  const { shades, colourways, keys } = takeShades(design, newer);
  const hexOf = (card: Design['shades'], key: string | undefined) =>
    card.find((shade) => shade.key === key)?.hex;
  const kept = newer.shades.flatMap(({ key }) => {
    const here = content.shades[key];
    const wasGiven = here !== undefined && hexOf(design.shades, here) !== hexOf(content.design.shades, key);
    return wasGiven ? [[key, here]] : [];
  });
  const given = { ...keys, ...Object.fromEntries(kept) };
  const ply = { ...look, content: { ...contentOf(newer, from, given), tint: content.tint } };
  return {
    ...design,
    shades,
    colourways,
    pictures: { ...newer.pictures, ...design.pictures },
    construction: { kind: 'plies', plies: design.construction.plies.with(at, ply) },
  };
}

/** What two designs over each other are called. */
export function namedTogether(under: string, over: string): string {
  return `${under} with ${over}`.slice(0, MAX_NAME).trim();
}

function contentOf(design: Design, from: Source, shades: Readonly<Record<string, string>>): DesignContent {
  return { kind: 'design', design: asContent(design), from, shades: { ...shades }, tint: null };
}

/** A design as it lies within another, which has its pictures, and tries it on. */
export function asContent(design: Design): Design {
  return { ...design, pictures: {}, tryOn: null };
}
