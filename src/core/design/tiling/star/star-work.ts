import type { PlaneLattice } from '../../../exact/lattice.ts';
import { scalePoint } from '../../../exact/plane.ts';
import { type Surd, surdToNumber } from '../../../exact/surd.ts';
import { starRays } from '../../../faces/star-rays.ts';
import type { StrapLine, StrapPoint } from '../../../shape/straps/strap-line.ts';
import type { Tiling } from '../../../tiling/tiling-form.ts';
import { USUAL_STRAPS } from '../../strap/strap-schema.ts';
import { type StrapWork, strapWork } from '../../strap/strap-work.ts';
import { parseApart, parseStarAngle, type StarSpec } from './star-schema.ts';

/** The lines in one face of a cell: round its corners, in millimetres. */
export interface StarFace {
  readonly sides: number;
  readonly lines: readonly (readonly StrapPoint[])[];
}

/** The stars of all faces of one cell. @param one  millimetres of what the tiling's form calls 1 */
export function starFaces({ faces }: Pick<Tiling, 'faces'>, star: StarSpec, one: Surd): readonly StarFace[] {
  const rays = { degrees: parseStarAngle(star.angle), apart: parseApart(star.apart) };
  const scale = surdToNumber(one);
  return faces.map((corners) => ({
    sides: corners.length,
    lines: starRays(corners, rays).map((line) =>
      line.map(
        ({ place, exact }): StrapPoint => ({
          place: { x: place.x * scale, y: place.y * scale },
          exact: exact && scalePoint(exact, one),
        }),
      ),
    ),
  }));
}

/** The lattice of a tiling, in millimetres. */
export function starLattice({ lattice }: Pick<Tiling, 'lattice'>, one: Surd): PlaneLattice {
  return [scalePoint(lattice[0], one), scalePoint(lattice[1], one)];
}

/** Star lines as straps. Each crossing lies on a side, or two beside it: over and under always come out in one cell. */
export function starWork(
  faces: readonly StarFace[],
  lattice: PlaneLattice,
  { swapped, turned }: Pick<StarSpec, 'swapped' | 'turned'>,
): StrapWork {
  const lines = faces.flatMap(({ lines: all }) => all);
  const straps = lines.map(
    (points, line): StrapLine => ({
      name: { piece: 0, line },
      style: 0,
      points,
      run: 'open',
    }),
  );
  return strapWork(straps, lattice, { ...USUAL_STRAPS, swapped, turned });
}
