import type { Grid } from './grid.ts';

/**
 * A resolver that does its work once for the same object on the same grid, and keeps the last as long as the object is
 * kept: a proof paints the same shapes four times, a view piece by piece.
 */
export function onceAGrid<Shape extends object, Resolved>(
  resolve: (shape: Shape, grid: Grid) => Resolved,
): (shape: Shape, grid: Grid) => Resolved {
  const kept = new WeakMap<Shape, { readonly grid: Grid; readonly resolved: Resolved }>();
  return (shape, grid) => {
    const known = kept.get(shape);
    if (known !== undefined && isSame(known.grid, grid)) return known.resolved;
    const resolved = resolve(shape, grid);
    kept.set(shape, { grid, resolved });
    return resolved;
  };
}

function isSame(one: Grid, other: Grid): boolean {
  return (
    one.width === other.width &&
    one.height === other.height &&
    one.scale.x === other.scale.x &&
    one.scale.y === other.scale.y
  );
}
