import type { Bent } from '../bend/bent.ts';
import { type Bend, bentInTurn, takesUp } from '../bend/bent-by.ts';
import type { FoldsBend } from '../bend/folds.ts';
import { checkUnfolded } from '../bend/unfolded.ts';
import type { Contour } from '../shape/contour.ts';
import { type BentLine, bentLine } from './bent-outline.ts';
import { line, rectangle } from './drawn.ts';
import type { InkWeight, ScenePart } from './scene.ts';

/** Lines as they are drawn, in millimetres of the drawing. */
export interface DrawnLine {
  readonly weight: InkWeight;
  readonly lines: readonly BentLine[];
}

/** A part as it lies in the drawing once it is bent. */
export interface DrawnPart {
  readonly part: ScenePart;
  readonly bends: readonly Bend[];
  /** What of the drawing it covers. */
  readonly outline: readonly BentLine[];
  readonly ink: readonly DrawnLine[];
  /** From its flat cloth to its box as it is bent. */
  readonly bent: Bent;
}

/** Most that a chord lies beside its curve, as a part of a box's longer side. */
const TOLERANCE = 1 / 8000;

/** @param bends  in the place of those that the scene has for it @throws CoreError of the bends, as `checkUnfolded` and `bentLine` */
export function drawPart(part: ScenePart, bends: readonly Bend[] = part.bends ?? []): DrawnPart {
  const { box, at } = part;
  const carrying = bends.filter((bend) => !takesUp(bend));
  const moved = carrying.length === 0 ? undefined : bentInTurn(carrying, box);
  const tolerance = Math.max(box.width, box.height) * TOLERANCE;
  const bentOf = (contour: Contour) => bentLine(contour, { bent: moved, at, tolerance });
  const outline = (part.outline ?? [rectangle({ x: 0, y: 0 }, box)]).map(bentOf);
  if (moved !== undefined) checkUnfolded(moved, box);
  const valleys = bends.flatMap((bend) => (bend.kind === 'folds' ? foldLines(bend, part) : []));
  return {
    part,
    bends,
    outline,
    ink: [
      ...(part.ink ?? []).map(({ weight, contours }) => ({ weight, lines: contours.map(bentOf) })),
      ...(valleys.length === 0 ? [] : [{ weight: 'detail' as const, lines: valleys.map(bentOf) }]),
    ],
    bent: bentInTurn(bends, box),
  };
}

/** Where cloth goes furthest back between two folds, from the top down or from the hem up, by turns. */
function foldLines({ count, depth }: FoldsBend, { box: { width, height } }: ScenePart): readonly Contour[] {
  if (depth <= 0) return [];
  return Array.from({ length: Math.floor(count) }, (_, fold) => {
    const x = (width * (fold + 0.75)) / count;
    const part = FOLD_PARTS[fold % FOLD_PARTS.length]!;
    return fold % 2 === 0 ? line(x, height, x, height * (1 - part)) : line(x, 0, x, height * part);
  });
}

/** How far folds are drawn, as parts of the height. */
const FOLD_PARTS = [0.82, 0.66, 0.9, 0.54, 0.74] as const;
