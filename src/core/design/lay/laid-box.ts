import { cellArea } from '../../exact/lattice.ts';
import type { Point } from '../../exact/plane.ts';
import { divideSurds, multiplySurds, type Surd, scaleSurd, surdToNumber } from '../../exact/surd.ts';
import { turnOf } from '../../repeat/lay/exact-turn.ts';
import { type RepeatUnit, repeatSize, type TrueSize } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';
import { compile, compileUnit } from '../compile-design.ts';
import type { BuiltBox } from '../construction.ts';
import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';

/**
 * What of a design is drawn once; undefined where nothing of it repeats.
 * @throws CoreError of the construction
 */
export function builtBox(design: Design): BuiltBox | undefined {
  const { construction } = design;
  const own = kindFor(construction).boxOf?.(construction, design);
  if (own !== undefined) return own;
  const unit = compileUnit(design);
  const size = repeatSize(unit);
  const { grid } = unit;
  if (size === null) return undefined;
  return grid.step === 'thread'
    ? { ...size, counted: { by: 'threads', across: String(grid.ends), up: String(grid.picks) } }
    : { ...size, counted: { by: 'repeats', across: '1', up: '1' } };
}

/** The box of a design on its cloth, in millimetres from the lower left of the repeat, y upward. */
export interface BoxOnCloth {
  /** Its corners, from its own lower left counterclockwise. */
  readonly corners: readonly Place[];
  /** The two ways that carry the cloth onto itself. */
  readonly lattice: readonly [Place, Place];
  /** Cells of that lattice in one repeat. */
  readonly cells: number;
  /** By what the design is scaled from how it was built. */
  readonly factor: number;
}

/** @param unit  of the design, laid @throws CoreError as `compile` */
export function boxOnCloth(design: Design, unit: RepeatUnit): BoxOnCloth {
  const { lay } = design;
  const drawn = builtBox(design);
  const upright = lay.slope === null ? unit : compile({ ...design, lay: { ...lay, slope: null } });
  const built =
    lay.scale === null ? upright : compile({ ...design, lay: { ...lay, slope: null, scale: null } });
  const factor = surdToNumber(divideSurds(upright.pitch.x, built.pitch.x));
  const { a, b } = turnedBy(upright, lay.slope);
  const at = (x: number, y: number): Place => ({ x: a * x - b * y, y: b * x + a * y });
  const wide = drawn === undefined ? 0 : surdToNumber(drawn.width) * factor;
  const high = drawn === undefined ? 0 : surdToNumber(drawn.height) * factor;
  const lattice = unit.lattice.map(
    ({ x, y }): Point => ({ x: scaleSurd(unit.pitch.x, x), y: scaleSurd(unit.pitch.y, y) }),
  ) as unknown as readonly [Point, Point];
  const [across, up] = lattice.map(({ x, y }) => ({ x: surdToNumber(x), y: surdToNumber(y) })) as [
    Place,
    Place,
  ];
  const size = repeatSize(unit);
  const cells = size === null ? 0 : surdToNumber(divideSurds(areaOf(size), cellArea(lattice)));
  return {
    corners: [at(0, 0), at(wide, 0), at(wide, high), at(0, high)],
    lattice: [across, up],
    cells: Math.round(cells),
    factor,
  };
}

function areaOf({ width, height }: TrueSize): Surd {
  return multiplySurds(width, height);
}

function turnedBy(
  unit: RepeatUnit,
  slope: Design['lay']['slope'],
): { readonly a: number; readonly b: number } {
  const size = repeatSize(unit);
  if (slope === null || size === null) return { a: 1, b: 0 };
  const { cosine, sine } = turnOf(size, slope);
  return { a: surdToNumber(cosine), b: surdToNumber(sine) };
}
