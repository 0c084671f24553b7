import type { Shade } from '../../../colour/shade.ts';
import type { PlaneLattice } from '../../../exact/lattice.ts';
import type { Rational } from '../../../exact/rational.ts';
import type { Surd } from '../../../exact/surd.ts';
import { polyline, shiftBy } from '../../../shape/contour.ts';
import { type Figure, moveFigure } from '../../../shape/figure.ts';
import type { Mark } from '../../../shape/shape.ts';
import { strapFigures } from '../../../shape/straps/strap-figures.ts';
import { type Step, stepped, torusOf } from '../../../shape/straps/strap-torus.ts';
import { strapMarks } from '../../strap/strap-marks.ts';
import { indexOf } from '../index-of.ts';
import type { ColouredTiling } from '../lay-tiling.ts';
import type { StarSpec } from './star-schema.ts';
import { PLAIN, starStyle } from './star-style.ts';
import { type StarFace, starFaces, starLattice, starWork } from './star-work.ts';

/** What stars are made with. */
interface StarRoom {
  readonly laid: ColouredTiling;
  /** Millimetres of what the tiling's form calls 1, and of a pixel. */
  readonly one: Surd;
  readonly pixel: Rational;
  readonly shades: readonly Shade[];
}

/** The lines of all faces of a cell, and the cells of a repeat. */
interface StarRays {
  readonly faces: readonly StarFace[];
  readonly lattice: PlaneLattice;
  readonly steps: readonly Step[];
}

/** Filled stars, then their lines or straps. @throws CoreError as `strapWork`, `starStyle` */
export function starMarks(star: StarSpec, room: StarRoom): readonly Mark[] {
  const { laid, one } = room;
  const lattice = starLattice(laid.tiling, one);
  const work: StarRays = { faces: starFaces(laid.tiling, star, one), lattice, steps: cellsOf(laid) };
  return [...fillMarks(star, work, room), ...lineMarks(star, work, room)];
}

/** The cells of a repeat, each once. */
function cellsOf({ faces }: ColouredTiling): readonly Step[] {
  return [...new Map(faces.map(({ cell }) => [cell.join(), cell])).values()];
}

function fillMarks(
  star: StarSpec,
  { faces, lattice, steps }: StarRays,
  { shades }: StarRoom,
): readonly Mark[] {
  const torus = torusOf(lattice);
  return star.fills.flatMap(({ sides, shade }, piece): readonly Mark[] => {
    const stars = faces.filter((face) => face.sides === sides).map(starFigure);
    const parts = steps.flatMap((step) => {
      const { x, y } = stepped(torus, { x: 0, y: 0 }, step);
      return stars.map((figure) => moveFigure(figure, shiftBy(x, y)));
    });
    if (parts.length === 0) return [];
    const figure: Figure = { kind: 'join', parts };
    return [
      { shape: { kind: 'figure', figure, row: 0, piece, endless: true }, shade: indexOf(shade, shades) },
    ];
  });
}

/** What lies between the lines of a face: along the side between two starts, where they are apart. */
function starFigure({ lines }: StarFace): Figure {
  const places = lines.flatMap((line) => line.map(({ place }) => place));
  const corners = places.filter((place, at) => {
    const before = places.at(at - 1)!;
    return Math.hypot(place.x - before.x, place.y - before.y) > 1e-9;
  });
  return { kind: 'outline', contours: [polyline(corners, true)] };
}

function lineMarks(
  star: StarSpec,
  { faces, lattice, steps }: StarRays,
  { pixel, shades }: StarRoom,
): readonly Mark[] {
  const { line } = star;
  if (line === null) return [];
  const spec = line.strap ?? PLAIN;
  const style = starStyle(line, pixel);
  const { course } = starWork(faces, lattice, star);
  const [figures] = strapFigures(course, [style], steps);
  const shade = indexOf(line.shade, shades);
  return strapMarks(
    figures!,
    spec,
    { body: { shade }, shadeOf: (key) => indexOf(key, shades) },
    star.fills.length,
  );
}
