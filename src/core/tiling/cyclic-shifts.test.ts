import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cyclicShifts, type Plane } from './cyclic-shifts.ts';

/** Every shift tried on every number. */
function tried(image: Plane, other: Plane): readonly string[] {
  const { width, height } = image;
  const found: string[] = [];
  for (let dx = 0; dx < width; dx += 1) {
    for (let dy = 0; dy < height; dy += 1) {
      const fits = image.at.every((value, place) => {
        const x = ((place % width) + dx) % width;
        const y = (Math.floor(place / width) + dy) % height;
        return other.at[y * width + x] === value;
      });
      if (fits) found.push(`${dx} ${dy}`);
    }
  }
  return found.sort();
}

describe('shifts on a torus', () => {
  const some = fc
    .record({ width: fc.integer({ min: 1, max: 6 }), height: fc.integer({ min: 1, max: 6 }) })
    .chain(({ width, height }) =>
      fc
        .array(fc.integer({ min: 0, max: 1 }), { minLength: width * height, maxLength: width * height })
        .map((values): Plane => ({ width, height, at: Uint16Array.from(values) })),
    );

  it('of a plane onto itself are all that trying finds', () => {
    fc.assert(
      fc.property(some, (plane) => {
        expect(
          cyclicShifts(plane, plane)
            .map(({ x, y }) => `${x} ${y}`)
            .sort(),
        ).toEqual(tried(plane, plane));
      }),
    );
  });

  it('onto one that was moved are found again', () => {
    fc.assert(
      fc.property(some, fc.nat(5), fc.nat(5), (plane, right, up) => {
        const { width, height, at } = plane;
        const moved = new Uint16Array(at.length);
        at.forEach((value, place) => {
          const x = ((place % width) + right) % width;
          const y = (Math.floor(place / width) + up) % height;
          moved[y * width + x] = value;
        });
        const found = cyclicShifts(plane, { width, height, at: moved }).map(({ x, y }) => `${x} ${y}`);
        expect(found).toContain(`${right % width} ${up % height}`);
      }),
    );
  });
});
