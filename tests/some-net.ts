import fc from 'fast-check';
import { rational } from '../src/core/exact/rational.ts';
import { root, surd } from '../src/core/exact/surd.ts';
import type { Partition } from '../src/core/faces/partition.ts';
import type { RepeatUnit } from '../src/core/repeat/repeat-unit.ts';

const HEXES = ['#f0f0f0', '#a08080', '#90c0e0', '#c0b090', '#8090a0', '#e0e080'];

/** A net of quadrilaterals over the torus, every vertex shaken out of its place. */
export const someNet: fc.Arbitrary<Partition> = fc
  .record({
    across: fc.integer({ min: 1, max: 4 }),
    up: fc.integer({ min: 1, max: 4 }),
    shakes: fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 })), {
      minLength: 16,
      maxLength: 16,
    }),
  })
  .map(({ across, up, shakes }) => netOf(across, up, shakes));

/** Quadrilaterals, so many each way. @param shakes  how far vertices are moved, in thousandths of a face */
export function netOf(across: number, up: number, shakes: readonly (readonly [number, number])[]): Partition {
  const places = Array.from({ length: across * up }, (_, index) => index);
  const vertices = places.map((index) => {
    const [dx, dy] = shakes[index]!;
    return {
      x: surd(rational((index % across) * 1000 + dx, across * 1000)),
      y: surd(rational(Math.floor(index / across) * 1000 + dy, up * 1000)),
    };
  });
  const corner = (x: number, y: number) => ({
    vertex: (y % up) * across + (x % across),
    across: Math.floor(x / across),
    up: Math.floor(y / up),
  });
  const faces = places.map((index) => {
    const [x, y] = [index % across, Math.floor(index / across)];
    return {
      fill: { kind: 'shade', shade: index % HEXES.length } as const,
      corners: [corner(x, y), corner(x + 1, y), corner(x + 1, y + 1), corner(x, y + 1)],
    };
  });
  const shades = HEXES.map((hex, index) => ({ key: `S${index}`, name: hex, hex }));
  return { kind: 'partition', shades, vertices, faces };
}

/** The faces as a unit of one by one millimetre. */
export function unitOf(content: Partition): RepeatUnit {
  const [zero, one] = [rational(0), rational(1)];
  return {
    lattice: [
      { x: one, y: zero },
      { x: zero, y: one },
    ],
    repeat: { width: one, height: one },
    pitch: { x: root(one), y: root(one) },
    grid: { step: 'mm' },
    content,
  };
}
