import type { ConstructionKind } from '../construction.ts';
import { tilingGeometry, tilingToCsv } from '../exchange/tiling-geometry.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { strapJson } from '../strap/strap-report.ts';
import { compileTiling } from './compile-tiling.ts';
import { mapStar } from './star/map-star.ts';
import { starReport } from './star/star-report.ts';
import { missesOfTiling, symmetryReport } from './tiling-facts.ts';
import { type TilingSpec, tilingSchema } from './tiling-schema.ts';
import { TILING_STARTS } from './tiling-starts.ts';

/** Polygons that cover the plane. */
export const TILING: ConstructionKind<TilingSpec> = {
  schema: tilingSchema,
  compile: (tiling, { shades, resolution }, pictures) =>
    compileTiling(tiling, { shades, pixel: pixelOf(resolution), pictures }),
  misses: (tiling, { resolution }, unit) => missesOfTiling(tiling, unit, pixelOf(resolution)),
  mapShades: (tiling, to) => {
    const { faces, rings, colours, fade, gaps, lines, star, letters } = tiling;
    return {
      ...tiling,
      faces: faces.map((key, index) => to(key, ['faces', index])),
      rings: rings.map((ring, index) =>
        ring.shade === null ? ring : { ...ring, shade: to(ring.shade, ['rings', index, 'shade']) },
      ),
      colours:
        colours.by === 'hand'
          ? { ...colours, shades: colours.shades.map((key, index) => to(key, ['colours', 'shades', index])) }
          : colours,
      fade: fade && { ...fade, shades: fade.shades.map((key, index) => to(key, ['fade', 'shades', index])) },
      gaps: gaps && { ...gaps, shade: to(gaps.shade, ['gaps', 'shade']) },
      star: star && mapStar(star, (key, path) => to(key, ['star', ...path])),
      letters: letters && { ...letters, shade: to(letters.shade, ['letters', 'shade']) },
      lines: lines.map((each, index) => ({ ...each, shade: to(each.shade, ['lines', index, 'shade']) })),
    };
  },
  picturesOf: ({ picture }) => (picture === null ? [] : [picture.picture]),
  kindOf: () => 'tiling',
  density: 'nothing',
  drawing: 'underlap',
  isClear: () => false,
  starts: () => TILING_STARTS,
  filesOf: () => ({
    'faces.csv': tilingToCsv,
    'faces.json': (design) => JSON.stringify(tilingGeometry(design)),
  }),
  strapsOf: starReport,
  reportOf: (design) => {
    const straps = starReport(design);
    return { symmetry: symmetryReport(design), ...(straps === null ? {} : { straps: strapJson(straps) }) };
  },
};
