import type { Figure } from '../../shape/figure.ts';
import type { Content } from '../repeat-unit.ts';
import { MAX_LAID_FACES } from './lay-faces.ts';

/** Most parts of the figures of a turned repeat. */
export const MAX_TURNED_FIGURES = 40_000;

/** What goes on is joined anew with all its copies, which costs as much as so many parts that end. */
const ENDLESS = 100;

function piecesOf(figure: Figure): number {
  return figure.kind === 'join' ? figure.parts.length : 1;
}

/** Of how many parts a content is made: faces, figures, and runs of cells that are one rectangle. */
export function partsOf(content: Content): number {
  switch (content.kind) {
    case 'cells': {
      const runs = content.rows.map((row) =>
        row.reduce((sum, shade, x) => sum + (shade === row[x - 1] ? 0 : 1), 0),
      );
      return content.rowAt.reduce((sum, row, y) => sum + (row === content.rowAt[y - 1] ? 0 : runs[row]!), 0);
    }
    case 'partition':
      return content.faces.length;
    case 'marks':
      return content.marks.reduce(
        (sum, { shape }) =>
          sum + (shape.kind === 'figure' && shape.endless ? ENDLESS * piecesOf(shape.figure) : 1),
        content.base.faces.length,
      );
    case 'plies':
      return content.plies.reduce((sum, { unit }) => sum + partsOf(unit.content), 0);
    default:
      return content satisfies never;
  }
}

/** Most parts of all that a turned content may hold. */
function mostParts({ kind }: Content): number {
  return kind === 'marks' ? MAX_TURNED_FIGURES : MAX_LAID_FACES;
}

/** How many repeats of a content a turned one may hold. */
export function mostTurned(content: Content): number {
  return Math.max(1, Math.floor(mostParts(content) / partsOf(content)));
}
