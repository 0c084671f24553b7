import type { PlaneLattice } from '../../exact/lattice.ts';
import type { Point } from '../../exact/plane.ts';
import { multiplySurds, ZERO_SURD } from '../../exact/surd.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import { isVaried } from '../../shape/fill.ts';
import { cellsSymmetry } from '../../tiling/cells-symmetry.ts';
import type { PlaneSymmetry } from '../../tiling/plane-group.ts';
import { planeSymmetry } from '../../tiling/symmetry.ts';
import { motifSymmetry } from '../motif/seen/motif-symmetry.ts';

/**
 * What carries a laid unit onto itself, found by looking at it and not from the name of its lay; undefined where it was not
 * looked for: beyond the limits of the functions below, or where faces fade, lines lie over them, or plies over each other.
 */
export function symmetryOf(unit: RepeatUnit): PlaneSymmetry | undefined {
  const { content } = unit;
  switch (content.kind) {
    case 'cells':
      return cellsSymmetry(content, unit.pitch);
    case 'partition':
      return facesSymmetry({ ...unit, content });
    case 'marks':
      return isFew(content) ? motifSymmetry({ ...unit, content }) : undefined;
    case 'plies':
      return undefined;
    default:
      return content satisfies never;
  }
}

/** Most figures that are looked at: each that may be carried onto another is tried on all of the cloth. */
const MOST_FIGURES = 130;

function isFew({ marks }: Marks): boolean {
  return (
    marks.length <= MOST_FIGURES &&
    marks.every(({ shape, soft }) => shape.kind === 'figure' && !shape.endless && soft === undefined)
  );
}

function facesSymmetry({ content, pitch }: RepeatUnit<Partition>): PlaneSymmetry | undefined {
  if (content.faces.some(({ fill }) => isVaried(fill))) return undefined;
  const lattice: PlaneLattice = [
    { x: pitch.x, y: ZERO_SURD },
    { x: ZERO_SURD, y: pitch.y },
  ];
  const inMillimetres = ({ x, y }: Point): Point => ({
    x: multiplySurds(x, pitch.x),
    y: multiplySurds(y, pitch.y),
  });
  const faces = content.faces.map(({ corners }) =>
    corners.map((corner) => inMillimetres(cornerAt(content, corner))),
  );
  const kindOf = (face: number) => {
    const { kind, shade } = content.faces[face]!.fill;
    return kind === 'clear' ? 'clear' : content.shades[shade]!.hex;
  };
  return planeSymmetry({ lattice, faces }, kindOf);
}
