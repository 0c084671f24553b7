import { compare, ONE } from '../../exact/rational.ts';
import { parseStrength } from '../../thread/print.ts';
import { compile, picturesUsed } from '../compile-design.ts';
import type { ConstructionKind } from '../construction.ts';
import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';
import { missesOfDesign } from '../misses-of-design.ts';
import { compilePlies } from './compile-plies.ts';
import { mapPlies } from './map-plies.ts';
import { pliesJson } from './plies-report.ts';
import { type PliesSpec, type PlySpec, pliesSchema } from './plies-schema.ts';
import { PLIES_STARTS } from './plies-starts.ts';

/** Designs over each other. */
export const PLIES: ConstructionKind<PliesSpec> = {
  schema: pliesSchema,
  compile: (plies, { shades, resolution }, pictures) => compilePlies(plies, { shades, resolution, pictures }),
  misses: ({ plies }) =>
    designsIn(plies).reduce((sum, design) => sum + missesOfDesign(design, compile(design)), 0),
  mapShades: mapPlies,
  picturesOf: ({ plies }) => designsIn(plies).flatMap((design) => picturesUsed(design)),
  kindOf: () => 'plies',
  density: 'nothing',
  drawing: 'flatten',
  isClear: ({ plies }) => !plies.some(coversAll),
  starts: () => PLIES_STARTS,
  filesOf: () => ({}),
  reportOf: (design) => ({ plies: pliesJson(design) }),
};

function designsIn(plies: readonly PlySpec[]): readonly Design[] {
  return plies.flatMap(({ content }) => (content.kind === 'design' ? content.design : []));
}

/** Whether nothing beneath or beside a ply is seen through it. */
function coversAll({ content, strength, clip, shown }: PlySpec): boolean {
  if (!shown || clip !== null || compare(parseStrength(strength), ONE) < 0) return false;
  if (content.kind !== 'design') return true;
  const { construction } = content.design;
  return !kindFor(construction).isClear(construction);
}
