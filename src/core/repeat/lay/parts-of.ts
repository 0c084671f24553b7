import type { Figure } from '../../shape/figure.ts';
import type { Content } from '../repeat-unit.ts';

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
