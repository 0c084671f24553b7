import { onceAGrid } from '../shape/once-a-grid.ts';
import { outlineOf } from '../shape/outline-of.ts';
import { resolveEndless, resolveFigure } from '../shape/resolve-figure.ts';

/** The polygons of what is painted, each resolved once as long as its size does not change. */
export const resolvedOutline = onceAGrid(outlineOf);
export const resolvedFigure = onceAGrid(resolveFigure);
export const resolvedEndless = onceAGrid(resolveEndless);
