import { structuredWeave } from '../../core/design/new-design.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { changing, type Edit } from '../state/design-edits.ts';

export function setWeave(weave: WeaveSpec): Edit {
  return changing('plaid', () => ({ weave: structuredWeave(weave) }));
}
