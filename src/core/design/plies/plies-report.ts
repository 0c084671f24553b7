import type { Shade } from '../../colour/shade.ts';
import type { Point } from '../../exact/plane.ts';
import { add, divide, multiply, type Rational, rational, toText } from '../../exact/rational.ts';
import { scaleSurd } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import type { Vector } from '../../exact/vector.ts';
import { type RepeatUnit, repeatSize, type TrueSize } from '../../repeat/repeat-unit.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import type { PliesDesign } from '../design-schema.ts';
import { laidPlies } from './compile-plies.ts';
import type { PlyContent } from './plies-schema.ts';

/** What follows of one ply. */
export interface PlyReport {
  readonly name: string;
  /** Its own repeat as it lies. */
  readonly size: TrueSize;
  /** Its own vectors as it lies, in millimetres. */
  readonly lattice: readonly [Point, Point];
  /** How often its repeat goes into that of all. */
  readonly times: { readonly across: number; readonly down: number };
  /** How far it lies to the right and up, in millimetres. */
  readonly shift: Point;
  /** One of its threads or steps, in millimetres; undefined where it has neither. */
  readonly step: Point | undefined;
  /** Into its own gaps: half of both vectors, in repeats as text. */
  readonly gap: { readonly x: string; readonly y: string };
}

/** What follows of each ply before the whole is laid, the lowest first. @throws CoreError as `compilePlies` */
export function pliesReport(design: PliesDesign): readonly PlyReport[] {
  const { construction, shades, resolution } = design;
  const { whole, units } = laidPlies(construction, { shades, resolution, pictures: NO_PICTURES });
  return whole.content.plies.map(({ unit, times, shift }, at) => ({
    name: plyName(construction.plies[at]!.content, shades),
    size: repeatSize(unit)!,
    lattice: latticeOf(unit),
    times,
    shift,
    step: units[at]?.step,
    gap: gapOf(unit),
  }));
}

/** The report as JSON, exact lengths in millimetres as text. */
export function pliesJson(design: PliesDesign) {
  const text = ({ x, y }: Point) => ({ x: surdText(x), y: surdText(y) });
  return pliesReport(design).map(({ name, lattice, times }) => ({ name, lattice: lattice.map(text), times }));
}

/** What a ply is called: by its design, or by its shades. */
export function plyName(content: PlyContent, shades: readonly Shade[]): string {
  const nameOf = (key: string) => shades.find((shade) => shade.key === key)?.name ?? key;
  switch (content.kind) {
    case 'design':
      return content.design.name;
    case 'shade':
      return nameOf(content.shade);
    case 'fade':
      return content.shades.map(nameOf).join(' → ');
    default:
      return content satisfies never;
  }
}

function latticeOf({ lattice, pitch }: RepeatUnit): readonly [Point, Point] {
  const measured = ({ x, y }: Vector): Point => ({ x: scaleSurd(pitch.x, x), y: scaleSurd(pitch.y, y) });
  return [measured(lattice[0]), measured(lattice[1])];
}

/** @param unit  has a repeat, since it lies in plies */
function gapOf({ lattice, repeat }: RepeatUnit): PlyReport['gap'] {
  const [one, other] = lattice;
  const half = (axis: 'x' | 'y', side: Rational) =>
    divide(multiply(add(one[axis], other[axis]), rational(1, 2)), side);
  return { x: toText(half('x', repeat!.width)), y: toText(half('y', repeat!.height)) };
}
