import { mapStrap } from '../../strap/map-strap.ts';
import type { StarSpec } from './star-schema.ts';

/** Stars with a shade in the place of each that they name. */
export function mapStar(
  star: StarSpec,
  to: (key: string, path: readonly (string | number)[]) => string,
): StarSpec {
  const { line, fills } = star;
  return {
    ...star,
    line: line && {
      ...line,
      shade: to(line.shade, ['line', 'shade']),
      strap: line.strap && mapStrap(line.strap, (key, path) => to(key, ['line', 'strap', ...path])),
    },
    fills: fills.map((fill, at) => ({ ...fill, shade: to(fill.shade, ['fills', at, 'shade']) })),
  };
}
