import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign, someDesign } from '../../../tests/sample-design.ts';
import { CoreError } from '../error.ts';
import { toText } from '../exact/rational.ts';
import { inColourway } from './colourway.ts';
import { compileUnit } from './compile-design.ts';
import { kindOf, threadFacts } from './design-facts.ts';
import { DESIGN_VERSION, type Design, designSchema } from './design-schema.ts';
import { pitchOf } from './lay/lay-schema.ts';
import { migrateDesign } from './migrate-design.ts';
import { asKind } from './of-kind.ts';
import { MAX_DOCUMENT, readDesign, readDesignText, writeDesignText } from './read-design.ts';
import { tilingFromStart } from './tiling/tiling-starts.ts';

const DESIGN = sampleDesign(SAMPLE);

function refusal(document: unknown): { code: string; facts: Record<string, unknown> } | undefined {
  try {
    readDesign(document);
    return undefined;
  } catch (error) {
    return error as { code: string; facts: Record<string, unknown> };
  }
}

type Path = readonly (string | number)[];

/** Where a document has values that are no lists and no objects. */
function leavesOf(value: unknown, path: Path = []): readonly Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, part]) => leavesOf(part, [...path, key]));
}

/** The document with another value at a place. */
function withLeaf(document: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  const copy: Record<string | number, unknown> = Array.isArray(document)
    ? ([...document] as unknown as Record<number, unknown>)
    : { ...(document as object) };
  copy[key] = withLeaf(copy[key], rest, value);
  return copy;
}

describe('the design document', () => {
  it('reads back what it writes', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        expect(readDesignText(writeDesignText(design))).toEqual(design);
      }),
    );
  });

  it('is refused by a code, never by a fault of ours, whatever stands in a field', () => {
    const documents = [
      DESIGN,
      tilingFromStart('kites'),
      {
        ...tilingFromStart('4.8.8'),
        construction: {
          ...tilingFromStart('4.8.8').construction,
          gaps: { by: '1 mm', corner: '0', shade: 'A' },
          rings: [{ share: '3/4', shade: null }],
          scatter: { times: 2, seed: 1, share: '1/3', by: '1/10' },
        },
      },
    ];
    const odd = [
      '',
      '1/0',
      '-1',
      '1e9',
      '0',
      '√',
      '9'.repeat(80),
      '1/'.repeat(40),
      '🧵',
      ' ',
      null,
      -1,
      1e300,
      {},
      [],
    ];
    let refused = 0;
    for (const document of documents) {
      for (const path of leavesOf(document)) {
        for (const value of odd) {
          const error = refusal(withLeaf(document, path, value));
          if (error === undefined) continue;
          refused += 1;
          expect(error, `${path.join('.')} ${value}`).toBeInstanceOf(CoreError);
        }
      }
    }
    expect(refused).toBeGreaterThan(500);
  });

  it('says what a reader of ours says of a field', () => {
    const tiling = tilingFromStart('4.8.8');
    const construction = { ...tiling.construction, stretch: '0' };
    expect(refusal({ ...tiling, construction })).toMatchObject({
      code: 'design/field',
      facts: { path: 'construction.stretch', problem: 'tiling/proportion', text: '0' },
    });
  });

  it('keeps numbers as they were typed', () => {
    const typed: Design = {
      ...DESIGN,
      lay: { ...DESIGN.lay, ends: '37/2', picks: '2*9' },
      resolution: '300 dpi',
    };
    expect(readDesignText(writeDesignText(typed)).lay).toMatchObject({ ends: '37/2', picks: '2*9' });
  });

  it.each([
    ['no name', { name: ' ' }, 'name'],
    ['a field too many', { colour: 'red' }, ''],
    ['no shades', { shades: [] }, 'shades'],
    ['a colour that is none', { shades: [{ key: 'G', name: 'x', hex: 'green' }] }, 'shades.0.hex'],
    ['a letter twice', { shades: [...DESIGN.shades, DESIGN.shades[0]] }, 'shades.3.key'],
    [
      'a colourway twice',
      { colourways: [1, 2].map(() => ({ name: 'Night', colours: {} })) },
      'colourways.1.name',
    ],
    [
      'a colourway of no colour',
      { colourways: [{ name: 'x', colours: { G: 'dark' } }] },
      'colourways.0.colours.G',
    ],
    ['a band of an unknown shade', { shades: DESIGN.shades.slice(1) }, 'construction.warp.bands.0.shade'],
    ['a density of nothing', { lay: { ...DESIGN.lay, ends: '0' } }, 'lay.ends'],
    ['a resolution in words', { resolution: 'fine' }, 'resolution'],
    ['another lay', { lay: { ...DESIGN.lay, arrangement: { kind: 'round' } } }, 'lay.arrangement.kind'],
    ['an unknown construction', { construction: { kind: 'spiral' } }, 'construction.kind'],
  ])('is refused with %s, at its place', (_, change, path) => {
    expect(refusal({ ...DESIGN, ...change })).toMatchObject({ code: 'design/field', facts: { path } });
  });

  it.each([0, -1, 2.5, 1e9, '4', null])('is refused with a count of %s', (count) => {
    const warp = { ...DESIGN.construction.warp, bands: [{ shade: 'G', count }] };
    const construction = { ...DESIGN.construction, warp };
    expect(refusal({ ...DESIGN, construction })).toMatchObject({
      facts: { path: 'construction.warp.bands.0.count' },
    });
  });

  it('is refused when a weft that goes its own way has no bands', () => {
    const construction = { ...DESIGN.construction, weft: { follows: false, turn: 0, own: null } };
    expect(refusal({ ...DESIGN, construction })?.facts['path']).toBe('construction.weft.own');
  });

  it.each([
    ['not JSON', '{"format":', 'design/json'],
    ['JSON of something else', '[1,2]', 'design/format'],
    ['another format', '{"format":"other","version":1}', 'design/format'],
    ['a newer version', `{"format":"vetro-design","version":${DESIGN_VERSION + 1}}`, 'design/newer'],
    ['no version', '{"format":"vetro-design"}', 'design/version'],
    ['a version in words', '{"format":"vetro-design","version":"new"}', 'design/version'],
    ['more text than is read', ' '.repeat(MAX_DOCUMENT + 1), 'design/too-long'],
  ])('text is refused that is %s', (_, text, code) => {
    expect(() => readDesignText(text)).toThrow(expect.objectContaining({ code }));
  });
});

/** A plaid as versions 1 and 2 stored it. */
const { crossing: _crossing, print: _print, ...PLAID } = DESIGN.construction;
const { colourways: _colourways, ...PLAIN } = DESIGN;
const FIRST = { ...PLAIN, version: 1, construction: { ...PLAID, weft: { follows: true, own: null } } };

describe('migrateDesign', () => {
  it('opens a document of version 3, which had one set of colours', () => {
    expect(readDesign({ ...PLAIN, version: 3 })).toEqual(DESIGN);
  });

  it('opens a document of version 2, which knew no printing and no turned weft', () => {
    expect(readDesign({ ...FIRST, version: 2 })).toEqual(DESIGN);
  });

  it('opens a document of version 1, whose density was the same both ways', () => {
    const { ends: _, picks: __, per: ___, ...lay } = DESIGN.lay;
    const older = { ...FIRST, lay: { ...lay, density: '37/2/cm' } };
    expect(readDesign(older)).toEqual({
      ...DESIGN,
      lay: { ...DESIGN.lay, ends: '37/2', picks: '37/2', per: 'cm' },
    });
  });

  it('refuses an older document that is broken, at the field', () => {
    expect(refusal({ ...FIRST, lay: { kind: 'straight' } })?.code).toBe('design/field');
    expect(refusal({ ...FIRST, lay: null })?.code).toBe('design/version');
  });

  it('returns a new document as it is', () => {
    expect(migrateDesign(DESIGN)).toBe(DESIGN);
  });

  it('says how a twill turns back, and keeps a fraction of tex a fraction', () => {
    const weave = (kind: object) => ({ ...DESIGN.construction, weave: kind });
    const turned = { kind: 'turned', line: [2, 2], run: 8 };
    const older = (cut: boolean, count: string) => ({
      ...DESIGN,
      version: 8,
      construction: weave({ ...turned, cut }),
      yarn: { ...DESIGN.yarn, warp: { count, system: 'tex' }, weft: { count: '2/30', system: 'Ne' } },
    });
    const read = (cut: boolean, count: string) => asKind('plaid', readDesign(older(cut, count)));
    expect(read(true, '30').construction.weave).toEqual({ ...turned, turn: 'complemented' });
    expect(read(false, '30').construction.weave).toEqual({ ...turned, turn: 'point' });
    expect(read(true, '37/2').yarn.warp.count).toBe('(37/2)');
    expect(read(true, '37/2').yarn.weft.count).toBe('2/30');
    const blocks = {
      kind: 'blocks',
      profile: ['A'],
      weaves: [{ letter: 'A', weave: { ...turned, cut: true } }],
    };
    const inBlocks = asKind('plaid', readDesign({ ...older(true, '30'), construction: weave(blocks) }))
      .construction.weave;
    expect(inBlocks).toMatchObject({ weaves: [{ weave: { turn: 'complemented' } }] });
  });
});

describe('colourways', () => {
  const design: Design = { ...DESIGN, colourways: [{ name: 'Night', colours: { G: '#000000' } }] };

  it('change the colours that they name, and nothing else', () => {
    const night = inColourway(design, 'Night');
    expect(night.shades.map((shade) => shade.hex)).toEqual(['#000000', '#8c2f25', '#efe6cf']);
    expect(night.construction).toBe(design.construction);
    expect(inColourway(design, '')).toBe(design);
  });

  it('are refused by a name that the design lacks', () => {
    expect(() => inColourway(design, 'Noon')).toThrow(
      expect.objectContaining({ code: 'colourway/unknown', facts: { name: 'Noon', known: ['Night'] } }),
    );
  });
});

describe('what a design is', () => {
  it('tells stripes from plaids', () => {
    expect(kindOf(DESIGN)).toBe('plaid');
    expect(kindOf(sampleDesign('warp: A4 B4\nweft: A2'))).toBe('stripe');
    expect(kindOf(sampleDesign('warp: A4\nweft: A2 B2'))).toBe('stripe');
    expect(designSchema.safeParse(DESIGN).success).toBe(true);
  });

  it('tells why the repeat is as long as it is', () => {
    const facts = threadFacts(sampleDesign('warp: A20 B10\nweave: 4/4Z'))!;
    expect(facts.warp).toEqual({ laidOut: 30, period: 30, weave: 8, repeat: 120 });
    expect(facts.float).toBe(4);
  });

  it('gives each direction its own pitch', () => {
    const pitch = pitchOf(sampleDesign('warp: A1\ndensity: 24 x 20 / in').lay);
    expect([toText(pitch.x), toText(pitch.y)]).toEqual(['127/120', '127/100']);
  });

  it('has facts that agree with the cloth', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        const { width, height } = compileUnit(design).content;
        const { warp, weft } = threadFacts(design)!;
        expect([warp.repeat, weft.repeat]).toEqual([width, height]);
      }),
    );
  });
});
