import { describe, expect, it } from 'vitest';
import { NODE_FILES } from '../../../server/sending/node-compressor.ts';
import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { rational } from '../../exact/rational.ts';
import { lightOfUnit } from '../../paint/seen/cloth-tile.ts';
import { prepareScene } from '../../paint/seen/paint-scene.ts';
import { SCENES } from '../../scene/scenes.ts';
import { compile } from '../compile-design.ts';
import type { Design } from '../design-schema.ts';
import { migrateDesign } from '../migrate-design.ts';
import { readDesign } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { parseBend } from './bend-text.ts';
import { compileTryOn, type TriedScene } from './compile-try-on.ts';
import { matchSeams, withMoved } from './match-seams.ts';
import { orderTryOn } from './order-try-on.ts';
import { readBend, writeBend } from './read-bend.ts';
import { tryOnFacts } from './try-on-facts.ts';
import { clothLayers } from './try-on-layers.ts';
import { finestSeen, parseSeenFrom, parseSmaller } from './try-on-numbers.ts';
import { tryOnPage } from './try-on-page.ts';
import type { PartSpec, TryOn } from './try-on-schema.ts';
import { USUAL_PART, usualTryOn } from './usual-try-on.ts';

const gingham = designFromStart('plaid', 'gingham');
const scales = designFromStart('motif', 'fish-scale');

function tried(design: Design, change: Partial<TryOn> & Pick<TryOn, 'scene'>): TriedScene {
  const tryOn = { ...usualTryOn(change.scene), ...change };
  return compileTryOn(design, tryOn, { unitOf: (each) => compile(each) });
}

function parts(keys: readonly string[], change: Partial<PartSpec>): TryOn['parts'] {
  return Object.fromEntries(keys.map((key) => [key, { ...USUAL_PART, ...change }]));
}

function read(tryOn: unknown): () => Design {
  return () => readDesign({ ...gingham, tryOn });
}

describe('what a design is tried on', () => {
  it('is part of its document, and leaves all else of it as it is', () => {
    const tryOn = { ...usualTryOn('curtain'), parts: parts(['left'], { turn: '45' }) };
    const design = readDesign({ ...gingham, tryOn });
    expect(design.tryOn).toEqual(tryOn);
    expect({ ...design, tryOn: null }).toEqual(readDesign(gingham));
  });

  it('is nothing in older documents', () => {
    const { tryOn: _, ...older } = { ...gingham, version: 15 };
    expect(readDesign(older)).toEqual(readDesign(gingham));
  });

  it('holds other designs of any version, which are brought up to date', () => {
    const { tryOn: _, ...older } = { ...scales, version: 15 };
    const tryOn = { ...usualTryOn('cushion'), cloths: [{ design: older, from: null }] };
    const made = migrateDesign({ ...gingham, tryOn }) as Design;
    expect(made.tryOn!.cloths[0]!.design.version).toBe(16);
    expect(read(tryOn)().tryOn!.cloths[0]!.design.tryOn).toBeNull();
  });

  it.each<[string, object, string]>([
    ['a scene that there is not', { scene: 'sail' }, 'scene/unknown'],
    ['a number of another scene', { numbers: { sides: '5' } }, 'scene/no-number'],
    ['a number beyond its range', { numbers: { width: '20 m' } }, 'scene/number'],
    ['a number that is none', { numbers: { width: 'wide' } }, 'numbers.width'],
    ['a cloth that it does not hold', { parts: parts(['cushion'], { cloth: 2 }) }, 'try-on/cloth'],
    ['a scale of 0', { parts: parts(['cushion'], { scale: { to: 'factor', factor: '0' } }) }, 'lay/scale'],
    ['too much light', { parts: parts(['cushion'], { shading: '120%' }) }, 'try-on/part'],
    ['a giant', { person: '9 m' }, 'try-on/person'],
    ['a distance of nothing', { seenFrom: '0' }, 'try-on/from'],
    [
      'a design that is tried on within it',
      { cloths: [{ design: { ...scales, tryOn: usualTryOn('disc') }, from: null }] },
      'try-on/within',
    ],
  ])('cannot be %s', (_, change, problem) => {
    expect(read({ ...usualTryOn('cushion'), ...change })).toThrow(problem);
  });

  it('refuses letters that the font lacks, paths that cross, and bends that fold over, when it is drawn', () => {
    expect(() => tried(gingham, { scene: 'letters', letters: { text: '漢', font: 'mono' } })).toThrow(
      'figure/letters',
    );
    expect(() => tried(gingham, { scene: 'path', path: 'M0 0L9 9L9 0L0 9Z' })).toThrow('path/crosses');
    expect(() => tried(gingham, { scene: 'path', path: 'M0 0L9 9' })).toThrow('path/open');
    const bends = [{ kind: 'arc' as const, degrees: '300' }];
    expect(() => tried(gingham, { scene: 'rectangle', parts: parts(['rectangle'], { bends }) })).toThrow(
      'bend/folds-over',
    );
    const corner = (x: string, y: string) => ({ x, y });
    const perspective = {
      kind: 'perspective' as const,
      corners: [corner('0', '0'), corner('300', '0'), corner('600', '0'), corner('0', '400')] as const,
    };
    expect(() =>
      tried(gingham, {
        scene: 'rectangle',
        parts: parts(['rectangle'], { bends: [{ ...perspective, corners: [...perspective.corners] }] }),
      }),
    ).toThrow('bend/perspective');
  });
});

describe('a bend as text', () => {
  it.each([
    ['arc 30deg', { kind: 'arc', degrees: '30deg' }],
    ['curve -30', { kind: 'arc', degrees: '-30' }],
    ['waist -30%', { kind: 'waist', share: '-30%', at: '50%', reach: '50%' }],
    ['ripple 200mm 20mm', { kind: 'ripple', length: '200mm', height: '20mm' }],
    ['folds 7 60mm', { kind: 'folds', count: '7', depth: '60mm' }],
    ['form 80', { kind: 'form', across: '80', up: '0' }],
  ])('%s is read', (text, bend) => {
    expect(parseBend(text)).toEqual(bend);
  });

  it.each(['fold 3 4', 'arc', 'arc 30 40', 'perspective 0,0 1,0', 'perspective 0 1 2 3', ''])(
    '%s is refused',
    (text) => {
      expect(() => parseBend(text)).toThrow('try-on/bend');
    },
  );

  it('comes again from what it was read as', () => {
    const scale = { step: rational(1), pixel: rational(1, 10) };
    for (const text of ['arc 30', 'waist -30% 40% 60%', 'ripple 200mm 20mm', 'folds 7 60mm', 'form 80 20']) {
      const bend = readBend(parseBend(text), scale);
      expect(readBend(writeBend(bend), scale)).toEqual(bend);
    }
  });
});

describe('cloth in a scene', () => {
  it('is as large as it is made: so many repeats across, or by a factor', () => {
    const facts = (change: Partial<PartSpec>) =>
      tryOnFacts(tried(gingham, { scene: 'rectangle', parts: parts(['rectangle'], change) })).parts[0]!;
    const plain = facts({}).repeats!.across;
    expect(facts({ scale: { to: 'factor', factor: '1/2' } }).repeats!.across).toBeCloseTo(2 * plain, 9);
    expect(facts({ scale: { to: 'count', count: '7' } }).repeats!.across).toBeCloseTo(7, 9);
    expect(facts({ cloth: null }).repeats).toBeUndefined();
  });

  it('in folds takes up more than is seen', () => {
    const facts = tryOnFacts(tried(gingham, { scene: 'curtain' })).parts[0]!;
    expect(facts.takenUp!).toBeGreaterThan(1.2 * facts.repeats!.across);
    expect(tryOnFacts(tried(gingham, { scene: 'disc' })).parts[0]!.takenUp).toBeUndefined();
    const upward = parts(['rectangle'], { bends: [parseBend('form 0 90')] });
    const round = tryOnFacts(tried(gingham, { scene: 'rectangle', parts: upward }));
    expect(round.parts[0]!.takenUp).toBeUndefined();
  });

  it('goes on across all seams that one shift each can match', () => {
    const scene = tried(gingham, { scene: 'dress' });
    const turned = parts(['left-panel'], { shading: '10%' });
    const moved = withMoved({ ...usualTryOn('dress'), parts: turned }, matchSeams(scene));
    expect(moved['left-panel']!.shading).toBe('10%');
    const matched = tried(gingham, { scene: 'dress', parts: moved });
    const off = (each: TriedScene, name: string) =>
      each.seams.find(({ seam }) => seam.name === name)!.fit!.off;
    for (const name of ['Front', 'Waist, left', 'Left panel', 'Right panel']) {
      expect(off(scene, name)).toBeGreaterThan(0.2);
      expect(off(matched, name)).toBeLessThan(0.01);
    }
  });

  it('of another design has no seam with this one', () => {
    const cloths = [{ design: scales, from: null }];
    const scene = tried(gingham, { scene: 'curtain', cloths, parts: parts(['left'], { cloth: 0 }) });
    expect(scene.seams[0]!.fit).toBeUndefined();
    expect(scene.parts.map(({ cloth }) => cloth!.design.name)).toEqual([scales.name, gingham.name]);
  });

  it.each(SCENES.map(({ key }) => key))('is painted on every part of the scene %s', (key) => {
    const scene = tried(scales, { scene: key });
    const { window } = orderTryOn(scene, { dpi: rational(20), smaller: 4, drawn: false });
    const layers = clothLayers(scene, window, lightOfUnit);
    expect(layers.length).toBe(scene.parts.length);
    for (const layer of layers) {
      const out = new Uint8ClampedArray(4 * window.width * window.height);
      prepareScene([layer], window).paintRows(0, window.height, out);
      let covered = 0;
      for (let at = 3; at < out.length; at += 4) covered += out[at]! > 0 ? 1 : 0;
      expect(covered).toBeGreaterThan(0);
    }
  });

  it('lies flat and upright as the painter paints it, and as its light is, to a few levels', () => {
    const both = ['0', '0.0001'].map((turn) => {
      const scene = tried(gingham, { scene: 'rectangle', parts: parts(['rectangle'], { turn }) });
      const { window } = orderTryOn(scene, { dpi: rational(127, 2), smaller: 1, drawn: false });
      const out = new Uint8ClampedArray(4 * window.width * window.height);
      prepareScene(clothLayers(scene, window, lightOfUnit), window).paintRows(0, window.height, out);
      return { out, width: window.width };
    });
    const light = (bytes: Uint8ClampedArray) => {
      let sum = 0;
      for (let at = 0; at < bytes.length; at += 4) sum += LINEAR_OF_BYTE[bytes[at + 1]!]! / LINEAR_ONE;
      return sum / (bytes.length / 4);
    };
    expect(both[0]!.width).toBe(both[1]!.width);
    expect(light(both[0]!.out)).toBeCloseTo(light(both[1]!.out), 2);
  });
});

describe('a page', () => {
  async function pageOf(scene: TriedScene, dpi = 100): Promise<string> {
    let svg = '';
    const files = { lightOf: lightOfUnit, ...NODE_FILES };
    for await (const piece of tryOnPage(scene, { dpi: rational(dpi) }, { design: gingham, ...files }))
      svg += piece;
    return svg;
  }

  it.each([
    ['a disc of 100 mm', { scene: 'disc', numbers: { diameter: '100' } }, 1, 210, 40],
    ['a cushion', { scene: 'cushion' }, 5, 210, 200],
    ['a pair of curtains', { scene: 'curtain' }, 20, 297, 800],
    [
      'a rectangle of 20 m',
      { scene: 'rectangle', numbers: { width: '20 m', height: '8 m' } },
      100,
      297,
      4000,
    ],
  ])('holds %s at the largest common scale, as its bar says', async (_, change, smaller, width, bar) => {
    const svg = await pageOf(tried(gingham, change));
    expect(svg).toContain(`drawn at 1 : ${smaller}<`);
    expect(svg).toContain(`width="${width}mm"`);
    expect(svg).toContain(`>${bar} mm<`);
    const [, inner, viewed] = /<svg x="[\d.]+" y="[\d.]+" width="([\d.]+)" .*?viewBox="0 0 ([\d.]+)/.exec(
      svg,
    )!;
    expect(Number(viewed) / Number(inner)).toBeCloseTo(smaller, 3);
    expect(svg).toContain(gingham.shades[0]!.name);
  });

  it('is refused where its picture would be too large, not made smaller', async () => {
    await expect(pageOf(tried(gingham, { scene: 'cushion' }), 9000)).rejects.toThrow('scene/too-large');
  });
});

describe('numbers of a scene', () => {
  it('see what common practice says that the eye parts', () => {
    // 0.07 mm at 25 cm, 0.9 mm at 3 m: one sixtieth of a degree.
    expect(finestSeen(parseSeenFrom('25 cm'))).toBeCloseTo(0.073, 3);
    expect(finestSeen(parseSeenFrom('3 m'))).toBeCloseTo(0.873, 3);
  });

  it.each([
    ['1:10', 10],
    ['1/4', 4],
    ['5', 5],
    ['2 : 1', 0.5],
  ])('read the scale %s', (text, smaller) => {
    expect(parseSmaller(text)).toBe(smaller);
  });

  it.each(['0', '1:0', 'small', '1:100000'])('refuse the scale %s', (text) => {
    expect(() => parseSmaller(text)).toThrow();
  });

  it('make no picture larger than can be painted', () => {
    const scene = tried(gingham, { scene: 'wall' });
    expect(() => orderTryOn(scene, { dpi: rational(600), smaller: 1, drawn: true })).toThrow(
      'scene/too-large',
    );
  });
});
