import { ARCHIMEDEAN } from '../../tiling/forms/archimedean.ts';
import { TWO_KINDS } from '../../tiling/forms/two-kinds.ts';
import type { TilingForm } from '../../tiling/tiling-form.ts';
import { buildFamily } from './families.ts';
import type { FormSpec } from './form-schema.ts';

/** A form as data, whatever numbers it is said by. */
export function formOf(spec: Exclude<FormSpec, { kind: 'grown' }>): TilingForm {
  switch (spec.kind) {
    case 'regular':
      return ARCHIMEDEAN[spec.name];
    case 'two-kinds':
      return TWO_KINDS[spec.name];
    default:
      return buildFamily(spec);
  }
}
