import { toDecimal } from '../../core/exact/rational.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { NumberField } from '../../kit/number-field.tsx';
import { dispatch, useDesign } from '../state/bench-store.ts';

/** The design's resolution, at which it is checked and sent. */
export function ResolutionField({ label }: { label: string }) {
  const { resolution } = useDesign();
  return (
    <NumberField
      label={label}
      text={resolution}
      resolve={(text) => toDecimal(parseResolution(text), 4)}
      onChange={(text) => setResolution(text, 'resolution')}
      after={<span className="text-ash">dpi</span>}
    />
  );
}

/** @param tag  joins changes into one undo step while something is typed */
export function setResolution(resolution: string, tag?: string): void {
  const edit = (design: ReturnType<typeof useDesign>) => ({ ...design, resolution });
  dispatch({ kind: 'edit', edit, ...(tag === undefined ? {} : { tag }) });
}
