import { createCanvas, Path2D } from '@napi-rs/canvas';
import { Resvg } from '@resvg/resvg-js';
import { describe, expect, it } from 'vitest';
import { bentBy } from '../../src/core/bend/bent-by.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { parseBend } from '../../src/core/design/try-on/bend-text.ts';
import { compileTryOn, type TriedScene } from '../../src/core/design/try-on/compile-try-on.ts';
import { orderTryOn, type TryOnOrder } from '../../src/core/design/try-on/order-try-on.ts';
import { clothLayers } from '../../src/core/design/try-on/try-on-layers.ts';
import type { PartSpec, TryOn } from '../../src/core/design/try-on/try-on-schema.ts';
import { tryOnSvg } from '../../src/core/design/try-on/try-on-svg.ts';
import { USUAL_PART, usualTryOn } from '../../src/core/design/try-on/usual-try-on.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { lightOfUnit } from '../../src/core/paint/seen/cloth-tile.ts';
import { prepareScene } from '../../src/core/paint/seen/paint-scene.ts';
import type { Place } from '../../src/core/shape/places.ts';
import { NODE_FILES } from '../../src/server/sending/node-compressor.ts';
import { rendered } from '../svg-renderers.ts';

/** Ten pixels a millimetre. */
const FINE = rational(254);

function tried(design: Design, change: Partial<TryOn> & Pick<TryOn, 'scene'>): TriedScene {
  const tryOn = { ...usualTryOn(change.scene), ...change };
  return compileTryOn(design, tryOn, { unitOf: (each) => compile(each) });
}

function part(key: string, change: Partial<PartSpec>): TryOn['parts'] {
  return { [key]: { ...USUAL_PART, ...change } };
}

function painted(scene: TriedScene, order: Partial<TryOnOrder> = {}) {
  const { window } = orderTryOn(scene, { dpi: FINE, smaller: 1, drawn: false, ...order });
  const bytes = new Uint8ClampedArray(4 * window.width * window.height);
  prepareScene(clothLayers(scene, window, lightOfUnit), window).paintRows(0, window.height, bytes);
  return { bytes, ...window };
}

/** Area that is covered, in square millimetres. */
function coveredArea({ bytes, perMillimetre }: ReturnType<typeof painted>): number {
  let sum = 0;
  for (let at = 3; at < bytes.length; at += 4) sum += bytes[at]! / 255;
  return sum / perMillimetre ** 2;
}

const plaid = designFromStart('plaid', 'mirrored');
const stripe = designFromStart('stripe', 'even');

describe('shapes in use', () => {
  it.each<[string, Partial<TryOn> & Pick<TryOn, 'scene'>, number]>([
    ['a disc: π r²', { scene: 'disc', numbers: { diameter: '120' } }, Math.PI * 60 ** 2],
    ['an ellipse: π a b', { scene: 'ellipse', numbers: { width: '140', height: '90' } }, Math.PI * 70 * 45],
    [
      'a ring: π (R² − r²)',
      { scene: 'ring', numbers: { outer: '120', inner: '50' } },
      Math.PI * (60 ** 2 - 25 ** 2),
    ],
    [
      'a pentagon: n/2 R² sin 2π/n',
      { scene: 'polygon', numbers: { sides: '5', diameter: '120' } },
      2.5 * 60 ** 2 * Math.sin((2 * Math.PI) / 5),
    ],
    [
      'half a disc as a path: π r² / 2',
      { scene: 'path', path: 'M0 30A30 30 0 0 1 60 30Z', numbers: { width: '120' } },
      (Math.PI * 60 ** 2) / 2,
    ],
  ])('%s is the area of the pixels that are painted', (_, change, area) => {
    expect(coveredArea(painted(tried(plaid, change))) / area).toBeCloseTo(1, 3);
  });

  it.each(['L', 'a', 'R&8'])('the letters %s cover what a canvas library fills of their outlines', (text) => {
    const scene = tried(plaid, {
      scene: 'letters',
      letters: { text, font: 'instrument' },
      numbers: { height: '60' },
    });
    const seen = painted(scene);
    const path = scene.parts[0]!.drawn.outline.map(({ places }) => {
      const corners = places.map(
        ({ x, y }) =>
          `${(x - seen.corner.x) * seen.perMillimetre} ${(seen.corner.y - y) * seen.perMillimetre}`,
      );
      return `M${corners.join('L')}Z`;
    }).join('');
    // A canvas library takes few levels of a pixel at an edge: it fills eight times as large, and is averaged.
    const times = 8;
    // Kept in names of their own: asking the library for a canvas's width takes a microsecond.
    const width = times * seen.width;
    const height = times * seen.height;
    const context = createCanvas(width, height).getContext('2d');
    context.scale(times, times);
    context.fill(new Path2D(path));
    const large = context.getImageData(0, 0, width, height).data;
    const theirs = new Float64Array(seen.bytes.length);
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        const at = 4 * (Math.floor(y / times) * seen.width + Math.floor(x / times)) + 3;
        theirs[at]! += large[4 * (y * width + x) + 3]! / times ** 2;
      }
    }
    let [ours, other, edges, off] = [0, 0, 0, 0];
    for (let at = 3; at < theirs.length; at += 4) {
      ours += seen.bytes[at]!;
      other += theirs[at]!;
      if (theirs[at] === 0 || theirs[at] === 255) continue;
      edges += 1;
      off += Math.abs(seen.bytes[at]! - theirs[at]!);
    }
    expect(ours / other).toBeCloseTo(1, 3);
    expect(edges).toBeGreaterThan(100);
    expect(off / edges).toBeLessThan(2);
  });
});

describe('flat cloth turned by 35° at 30 %', () => {
  it.each([
    ['a plaid', plaid],
    ['a stripe', stripe],
    ['fish scales', designFromStart('motif', 'fish-scale')],
    ['hexagons', designFromStart('tiling', '6.6.6')],
  ])('%s is what two SVG renderers make of a pattern with that transform', async (_, design) => {
    const scene = tried(design, {
      scene: 'rectangle',
      numbers: { width: '60', height: '40' },
      parts: part('rectangle', { turn: '35', scale: { to: 'factor', factor: '30%' } }),
    });
    const order = { dpi: FINE, smaller: 1, drawn: false };
    let svg = '';
    for await (const piece of tryOnSvg(scene, order, {
      title: 'Turned',
      lightOf: lightOfUnit,
      ...NODE_FILES,
    })) {
      svg += piece;
    }
    expect(svg).toContain('rotate(-35)');
    const seen = painted(scene);
    const pictures = await rendered(svg, seen.width, seen.height);
    for (const theirs of Object.values(pictures)) {
      const means = [seen.bytes, theirs].map((bytes) => meansOf(bytes, seen.width, seen.height));
      const off = means[0]!.map((mean, at) => Math.abs(mean - means[1]![at]!));
      // Blocks of sixteen pixels have the same mean: nothing is moved, turned otherwise, larger or smaller. Renderers mix
      // bytes at edges, not light, which takes up to a tenth of the difference of two shades.
      off.sort((one, other) => one - other);
      expect(off[Math.floor(off.length / 2)]).toBeLessThan(6);
      expect(off.at(-1)).toBeLessThan(30);
    }
  });

  it('is moved by a tenth of a millimetre where a drawing is', async () => {
    const shifts = await Promise.all(
      ['0', '7.3'].map(async (x) => {
        const scene = tried(stripe, {
          scene: 'rectangle',
          numbers: { width: '60', height: '20' },
          parts: part('rectangle', { turn: '0.00001', shift: { x, y: '0' } }),
        });
        const seen = painted(scene);
        let svg = '';
        const order = { dpi: FINE, smaller: 1, drawn: false };
        const wish = { title: 'Moved', lightOf: lightOfUnit, ...NODE_FILES };
        for await (const piece of tryOnSvg(scene, order, wish)) svg += piece;
        const { resvg } = await rendered(svg, seen.width, seen.height);
        return edgeIn(seen.bytes, seen.width, 100) - edgeIn(resvg!, seen.width, 100);
      }),
    );
    for (const apart of shifts) expect(Math.abs(apart)).toBeLessThan(0.6);
  });
});

/** Mean of the green of blocks of sixteen pixels. */
function meansOf(bytes: ArrayLike<number>, width: number, height: number): number[] {
  const means: number[] = [];
  for (let y = 16; y + 32 < height; y += 16) {
    for (let x = 16; x + 32 < width; x += 16) {
      let sum = 0;
      for (let row = y; row < y + 16; row += 1) {
        for (let column = x; column < x + 16; column += 1) sum += bytes[4 * (row * width + column) + 1]!;
      }
      means.push(sum / 256);
    }
  }
  return means;
}

/** Where the first edge of a row lies, in pixels, parts too. */
function edgeIn(bytes: ArrayLike<number>, width: number, row: number): number {
  const level = (x: number) => bytes[4 * (row * width + x) + 1]!;
  const first = level(2);
  for (let x = 3; x < width - 2; x += 1) {
    if (Math.abs(level(x + 2) - first) < 40) continue;
    let last = x + 2;
    while (last < width - 1 && Math.abs(level(last + 1) - level(last)) > 2) last += 1;
    let edge = 0;
    for (let at = x - 1; at <= last; at += 1) edge += (level(last) - level(at)) / (level(last) - first);
    return x - 1 + edge;
  }
  return Number.NaN;
}

/** The eight numbers of the projective map through four places, by elimination: an independent way to it. */
function solved(corners: readonly Place[], width: number, height: number): (place: Place) => Place {
  const from = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  const rows = corners.flatMap(({ x, y }, at) => {
    const { x: u, y: v } = from[at]!;
    return [
      [u, v, 1, 0, 0, 0, -u * x, -v * x, x],
      [0, 0, 0, u, v, 1, -u * y, -v * y, y],
    ];
  });
  for (let column = 0; column < 8; column += 1) {
    const pivot = rows
      .slice(column)
      .reduce((best, row) => (Math.abs(row[column]!) > Math.abs(best[column]!) ? row : best));
    rows.splice(rows.indexOf(pivot), 1);
    rows.splice(column, 0, pivot);
    for (const row of rows) {
      if (row === pivot) continue;
      const times = row[column]! / pivot[column]!;
      for (let at = column; at < 9; at += 1) row[at]! -= times * pivot[at]!;
    }
  }
  const [a, b, c, d, e, f, g, h] = rows.map((row, at) => row[8]! / row[at]!);
  return ({ x, y }) => ({
    x: (a! * x + b! * y + c!) / (g! * x + h! * y + 1),
    y: (d! * x + e! * y + f!) / (g! * x + h! * y + 1),
  });
}

describe('perspective', () => {
  const corners = [
    { x: 0, y: 0 },
    { x: 300, y: 20 },
    { x: 240, y: 180 },
    { x: 60, y: 160 },
  ] as const;

  it('is the map that eight linear equations give', () => {
    const bent = bentBy({ kind: 'perspective', corners }, { width: 400, height: 300 });
    const map = solved(corners, 400, 300);
    const out = new Float64Array(2);
    for (const [x, y] of [
      [0, 0],
      [400, 300],
      [123, 45],
      [310, 288],
      [200, 150],
    ] as const) {
      bent.there(x, y, out);
      const theirs = map({ x, y });
      expect(out[0]).toBeCloseTo(theirs.x, 9);
      expect(out[1]).toBeCloseTo(theirs.y, 9);
    }
  });

  it('keeps edges straight, and the cross-ratio of four on a line, as they are found in the picture', () => {
    // Bands of 20 mm, black and white, seen in perspective.
    const bands: Design = {
      ...stripe,
      shades: stripe.shades.map((shade, at) => ({ ...shade, hex: at % 2 === 0 ? '#000000' : '#ffffff' })),
    };
    const scene = tried(bands, {
      scene: 'rectangle',
      numbers: { width: '400', height: '300' },
      parts: part('rectangle', { bends: [parseBend('perspective 0,0 300,20 240,180 60,160')] }),
    });
    const seen = painted(scene, { dpi: rational(127) });
    const rows = [320, 360, 420, 480, 540, 600].map((row) => ({ row, edges: edgesOf(seen, row) }));
    const fewest = Math.min(...rows.map(({ edges }) => edges.length));
    expect(fewest).toBeGreaterThan(4);
    const map = solved(corners, 400, 300);
    const bandWide = 400 / Math.round(400 / widthOfBand(bands));
    // Each edge that is found lies on the image of an upright line of the cloth.
    let compared = 0;
    for (const { row, edges } of rows) {
      const y = seen.corner.y - (row + 0.5) / seen.perMillimetre;
      for (const edge of edges) {
        const x = seen.corner.x + edge / seen.perMillimetre;
        const nearest = Math.min(
          ...Array.from({ length: 41 }, (_, at) => Math.abs(onLine(map, at * bandWide, y) - x)),
        );
        expect(nearest).toBeLessThan(0.25);
        compared += 1;
      }
    }
    expect(compared).toBeGreaterThan(30);
    // Four edges in turn, at even distances on the cloth: (2 · 2) / (3 · 1) of them, wherever they are seen.
    for (const { edges } of rows) {
      const [p, q, r, s] = edges as [number, number, number, number];
      expect(((r - p) * (s - q)) / ((s - p) * (r - q))).toBeCloseTo(4 / 3, 1);
    }
  });
});

function widthOfBand({ construction }: Design): number {
  return construction.kind === 'stripe' ? Number.parseFloat(construction.bands[0]!.width) : Number.NaN;
}

/** Where the image of an upright line of the cloth crosses a level one of the picture. */
function onLine(map: (place: Place) => Place, x: number, y: number): number {
  const low = map({ x, y: 0 });
  const high = map({ x, y: 300 });
  return low.x + ((y - low.y) / (high.y - low.y)) * (high.x - low.x);
}

/** Where a row goes over from dark to light or back, in pixels. */
function edgesOf({ bytes, width }: ReturnType<typeof painted>, row: number): readonly number[] {
  const level = (x: number) => bytes[4 * (row * width + x)]!;
  const isInside = (x: number) => bytes[4 * (row * width + x) + 3] === 255;
  const edges: number[] = [];
  for (let x = 1; x < width - 1; x += 1) {
    if (!isInside(x) || !isInside(x + 1) || !isInside(x - 1)) continue;
    const [here, next] = [level(x), level(x + 1)];
    if (here < 188 === next < 188) continue;
    edges.push(x + 0.5 + (188 - here) / (next - here));
  }
  return edges;
}

describe('a fine check from afar', () => {
  it.each([0.31, 0.47, 0.83])(
    'in %f pixels a repeat shows no pattern coarser than its own beyond two levels',
    (pixels) => {
      const size = compile(designFromStart('plaid', 'gingham'));
      const scene = tried(designFromStart('plaid', 'gingham'), {
        scene: 'rectangle',
        numbers: { width: '16 m', height: '10 m' },
        parts: part('rectangle', { turn: '7' }),
      });
      const repeat = scene.parts[0]!.cloth!.size.x;
      expect(size.grid.step).toBe('thread');
      const dpi = rational(BigInt(Math.round((pixels / repeat) * 25.4 * 1000)), 1000n);
      const seen = painted(scene, { dpi });
      let [least, most, count] = [255, 0, 0];
      for (let y = 1; y < seen.height - 1; y += 1) {
        for (let x = 1; x < seen.width - 1; x += 1) {
          const level = seen.bytes[4 * (y * seen.width + x) + 1]!;
          least = Math.min(least, level);
          most = Math.max(most, level);
          count += 1;
        }
      }
      expect(count).toBeGreaterThan(1000);
      // Two levels either side of the mean.
      expect(most - least).toBeLessThanOrEqual(4);
    },
  );
});

it('a drawing is read by an SVG renderer of its own', async () => {
  const scene = tried(plaid, { scene: 'curtain' });
  let svg = '';
  const wish = { title: 'Curtain', lightOf: lightOfUnit, ...NODE_FILES };
  for await (const piece of tryOnSvg(scene, { dpi: rational(60), smaller: 10, drawn: true }, wish))
    svg += piece;
  const picture = new Resvg(svg).render();
  expect(picture.width / picture.height).toBeCloseTo(
    orderTryOn(scene, { dpi: rational(60), smaller: 10, drawn: true }).window.width /
      orderTryOn(scene, { dpi: rational(60), smaller: 10, drawn: true }).window.height,
    1,
  );
});
