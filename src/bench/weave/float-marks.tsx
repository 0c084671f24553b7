import { useMemo } from 'react';
import { toast } from 'sonner';
import { CoreError } from '../../core/error.ts';
import { bindFloats } from '../../core/thread/weaves/bind-floats.ts';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import { floatCounts } from '../../core/thread/weaves/float-counts.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { plural } from '../../wording/measures.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { putStructure } from './draft-work.ts';

/** Marks floats that are too long, on cloth and draft, and offers to bind them. */
export function FloatMarks() {
  const { weave } = useDesignOf('plaid').construction;
  const limit = useCloth((cloth) => cloth.marks.floatLimit);
  const longest = useMemo(() => {
    const { warp, weft } = floatCounts(buildWeave(weave));
    return Math.max(warp.longest, weft.longest);
  }, [weave]);
  const bind = () =>
    putStructure(() => {
      const bound = bindFloats(buildWeave(weave), limit);
      if (bound === undefined) throw new CoreError('weave/unbound', { limit });
      toast.success(`Bound at ${plural(bound.places, 'place')}. Undo takes it back.`);
      return bound.structure;
    });
  return (
    <NumberField
      label="Mark floats longer than, 0 for none"
      text={String(limit)}
      resolve={(text) => String(whole(text, 0))}
      onChange={(text) =>
        useCloth.setState(({ marks }) => ({ marks: { ...marks, floatLimit: whole(text, 0) } }))
      }
      after={
        limit > 0 && longest > limit ? (
          <button type="button" className="button whitespace-nowrap" onClick={bind}>
            Bind them
          </button>
        ) : undefined
      }
    />
  );
}
