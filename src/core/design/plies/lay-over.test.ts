import { describe, expect, it } from 'vitest';
import { CoreError } from '../../error.ts';
import { paintTile } from '../../paint/painting.ts';
import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import type { Design, PliesDesign } from '../design-schema.ts';
import { LAKE_STEAMER, LAKE_STEAMER_FILE } from '../lake-steamer.ts';
import { disc } from '../motif/start-parts.ts';
import { usualPiece } from '../motif/usual-piece.ts';
import { newMotif, newPlaid, newStripe } from '../new-design.ts';
import { asKind } from '../of-kind.ts';
import { readDesign, readDesignText, writeDesignText } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { asPlies, layOver, namedTogether, withNewer, withPly } from './lay-over.ts';
import { MOST_PLY_DEPTH, plyDepth } from './ply-depth.ts';
import { readPlies } from './read-plies.ts';
import { takeShades } from './take-shades.ts';
import { weaveTexture } from './weave-texture.ts';

function stripe(name: string, shades: string, colourways: Design['colourways'] = []): Design {
  const card = shades.split(' ').map((each) => {
    const [key = '', hex = ''] = each.split('#');
    return { key, name: `${name} ${key}`, hex: `#${hex}` };
  });
  const design = newStripe({
    name,
    shades: card,
    bands: card.map(({ key }) => ({ shade: key, width: '5' })),
  });
  return { ...design, colourways };
}

const LOWER = stripe('Lower', 'A#112233 B#ffffff');
const UPPER = stripe('Upper', 'A#ffffff B#cc0000 D#00cc00');
const plyOf = (design: PliesDesign, at: number) => design.construction.plies[at]!;

describe('a design that becomes a ply', () => {
  it('brings the shades that the card lacks, each colour once', () => {
    const both = layOver(asPlies(LOWER, null), UPPER, null);
    expect(both.shades.map(({ key, hex }) => `${key}${hex}`)).toEqual([
      'A#112233',
      'B#ffffff',
      'C#cc0000',
      'D#00cc00',
    ]);
    expect(plyOf(both, 1).content).toMatchObject({ shades: { A: 'B', B: 'C', D: 'D' } });
    expect(readDesignText(writeDesignText(readDesign(both)))).toEqual(readDesign(both));
  });

  it('joins colourways of one name, and adds others', () => {
    const lower = stripe('Lower', 'A#112233 B#ffffff', [{ name: 'Night', colours: { B: '#000000' } }]);
    const upper = stripe('Upper', 'A#ffffff B#cc0000', [
      { name: 'Night', colours: { A: '#333333', B: '#880000' } },
      { name: 'Day', colours: { B: '#ff8888' } },
    ]);
    expect(takeShades(lower, upper).colourways).toEqual([
      { name: 'Night', colours: { B: '#000000', C: '#880000' } },
      { name: 'Day', colours: { C: '#ff8888' } },
    ]);
  });

  it('tells when the card has no room for its shades', () => {
    const many = (first: number) =>
      Array.from({ length: 150 }, (_, at) => ({
        key: `${String.fromCharCode(65 + (at % 26))}${String.fromCharCode(65 + Math.floor(at / 26))}`,
        name: 'Any',
        hex: `#${(first + at).toString(16).padStart(6, '0')}`,
      }));
    const card = { shades: many(0), colourways: [] };
    expect(() => takeShades(card, { shades: many(1000), colourways: [] })).toThrow('shades/too-many');
  });

  it('leaves its pictures with the whole', () => {
    const piece = usualPiece(1, disc('4'), '2', '2', { picture: LAKE_STEAMER });
    const pictured = newMotif({
      name: 'Steamer',
      shades: [{ key: 'A', name: 'Blue', hex: '#224488' }],
      box: { width: '4', height: '4' },
      ground: 'A',
      pieces: [piece],
      pictures: { [LAKE_STEAMER.hash]: LAKE_STEAMER_FILE },
    });
    const both = layOver(asPlies(LOWER, null), pictured, null);
    expect(Object.keys(both.pictures)).toEqual([LAKE_STEAMER.hash]);
    expect(plyOf(both, 1).content).toMatchObject({ design: { pictures: {} } });
    const inner = { ...plyOf(both, 1), content: { ...plyOf(both, 1).content, design: pictured } };
    const wrong = { ...both, construction: { kind: 'plies', plies: [inner] } };
    expect(() => readDesign(wrong)).toThrow('ply/pictures');
  });

  it('makes no document that is longer than one that is read', () => {
    const file = { type: 'image/png' as const, base64: 'A'.repeat(14_000_000) };
    const pictured = (...hashes: readonly string[]): Design => ({
      ...UPPER,
      pictures: Object.fromEntries(hashes.map((hash) => [hash.repeat(64), file])),
    });
    const both = layOver(asPlies(pictured('a', 'b'), null), pictured('c'), null);
    expect(() => readPlies(both)).toThrow('design/too-long');
  });

  it('is counted', () => {
    const add = (design: PliesDesign) => withPly(design, { kind: 'shade', shade: 'A' });
    let twelve = asPlies(LOWER, null);
    for (let count = 1; count < 12; count += 1) twelve = add(twelve);
    expect(() => add(twelve)).toThrow('plies/count');
  });

  it('is called by both names, as long as a name may be', () => {
    expect(namedTogether('Scales', 'Twill')).toBe('Scales with Twill');
    expect(namedTogether('S'.repeat(119), 'Twill')).toHaveLength(119);
  });
});

describe('a newer design in a ply', () => {
  const both = layOver(asPlies(LOWER, null), UPPER, { id: 'upper', version: 1 });
  const newer = stripe('Upper', 'A#ffffff B#0000cc E#123456');

  it('brings its new shades', () => {
    const taken = readDesign(withNewer(both, 1, newer, { id: 'upper', version: 2 }));
    const { content } = plyOf(asKind('plies', taken), 1);
    expect(content).toMatchObject({ from: { version: 2 }, design: { name: 'Upper' } });
    const { shades } = content as { shades: Record<string, string> };
    const hexOf = (key: string) => taken.shades.find((shade) => shade.key === key)?.hex;
    expect(Object.entries(shades).map(([key, here]) => `${key}${hexOf(here)}`)).toEqual([
      'A#ffffff',
      'B#0000cc',
      'E#123456',
    ]);
  });

  it('keeps shades that were given by hand', () => {
    const { plies } = both.construction;
    const content = {
      ...plies[1]!.content,
      shades: { A: 'B', B: 'A', D: 'D' },
    } as (typeof plies)[1]['content'];
    const recoloured = {
      ...both,
      construction: { ...both.construction, plies: plies.with(1, { ...plies[1]!, content }) },
    };
    const taken = withNewer(recoloured, 1, newer, { id: 'upper', version: 2 });
    expect(plyOf(taken, 1).content).toMatchObject({ shades: { A: 'B', B: 'A' } });
  });
});

describe('plies within plies', () => {
  /** A design of plies that holds one that holds one, so many times. */
  function nested(depth: number): Design {
    let design: Design = LOWER;
    for (let level = 0; level < depth; level += 1) {
      const { plies } = layOver(asPlies(UPPER, null), design, null).construction;
      design = { ...layOver(asPlies(UPPER, null), design, null), construction: { kind: 'plies', plies } };
    }
    return design;
  }

  it('go to a depth of four and no further', () => {
    // A design of plies is laid over, not held, by one that begins with it: these hold their upper one.
    expect(plyDepth(nested(MOST_PLY_DEPTH).construction)).toBe(MOST_PLY_DEPTH);
    expect(compile(readDesign(nested(MOST_PLY_DEPTH))).content.kind).toBe('plies');
    expect(() => readDesign(nested(MOST_PLY_DEPTH + 1))).toThrow('ply/depth');
  });
});

describe('documents in documents', () => {
  const both = layOver(asPlies(LOWER, null), UPPER, null);
  const withInner = (change: (inner: Record<string, unknown>) => unknown) => {
    const copy = JSON.parse(JSON.stringify(both)) as PliesDesign;
    const [lower, upper] = copy.construction.plies;
    const content = { ...upper!.content, design: change(Object((upper!.content as never)['design'])) };
    return { ...copy, construction: { kind: 'plies', plies: [lower, { ...upper, content }] } };
  };

  it('are brought up to date', () => {
    const old = withInner(({ version: _, ...inner }) => ({ version: 14, ...inner }));
    expect(readDesign(old)).toEqual(readDesign(both));
  });

  it('of a newer version are refused with their ply', () => {
    const newer = withInner((inner) => ({ ...inner, version: 99 }));
    expect(() => readDesign(newer)).toThrow(
      expect.objectContaining({ code: 'ply/newer', facts: expect.objectContaining({ ply: 2, version: 99 }) }),
    );
  });

  it('that are none are refused', () => {
    expect(() => readDesign(withInner(() => 'print.json'))).toThrow(CoreError);
    expect(() => readDesign(withInner((inner) => ({ ...inner, format: 'other' })))).toThrow('design/format');
    expect(() => readDesign(withInner(() => null))).toThrow(CoreError);
  });
});

describe('the texture of a weave', () => {
  it('has a thread for each float, and covers all', () => {
    const texture = weaveTexture({ kind: 'twill', over: 2, under: 2, hand: 'Z' }, 'Twill');
    expect(texture.construction.pieces).toHaveLength(8);
    const { verdict, painted } = checkDesign(readDesign(texture), { resolution: '96' });
    expect(verdict).toBe('Exact');
    expect(painted).toMatchObject({ differingBytes: 0, leakingPixels: 0 });
  });

  it('of a rib has threads that go on', () => {
    const texture = weaveTexture({ kind: 'matrix', rows: ['#.', '#.'] }, 'Loose');
    const lengths = texture.construction.pieces.map(({ shape }) => shape);
    expect(lengths).toMatchObject([{ width: '1', height: '2' }, { width: '1' }, { width: '1' }]);
  });
});

describe('start points of plies', () => {
  it.each(['crossed-stripes', 'twill-texture', 'diamonds-in-gaps', 'fade-in-scales'])('%s repeats', (key) => {
    const { verdict, painted, numbers } = checkDesign(readDesign(designFromStart('plies', key)));
    expect(verdict).not.toBe('Open');
    expect(numbers.closed).toBe(true);
    expect(painted).toMatchObject({ differingBytes: 0 });
  });

  it('crossed stripes are the printed plaid, byte for byte', () => {
    const crossed = designFromStart('plies', 'crossed-stripes');
    const counts = [8, 4, 2, 4];
    const bands = [...'GCRC'].map((shade, at) => ({ shade, count: counts[at]! }));
    const printed = newPlaid({
      name: 'Printed',
      shades: crossed.shades,
      warp: { bands, mirror: 'none' },
      print: { blend: 'normal', strength: '1/2', top: 'weft', ground: null },
      lay: { ends: '10', picks: '10', per: 'cm' },
    });
    const tile = { width: 180, height: 180 };
    expect(paintTile(compile(crossed), tile)).toEqual(paintTile(compile(printed), tile));
  });
});
