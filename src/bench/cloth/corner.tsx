import { Equal, EqualNot } from 'lucide-react';
import { canShare, setShared, sharesSequence } from '../state/band-edits.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';

/** Where the rails meet: whether the weft follows the warp, and the switch for it. */
export function Corner() {
  const design = useDesign();
  if (!canShare(design)) return <span className="border-rule border-r border-b" />;
  const follows = sharesSequence(design);
  const words = follows ? 'The weft follows the warp' : 'The weft has its own sequence';
  const Icon = follows ? Equal : EqualNot;
  return (
    <button
      type="button"
      aria-pressed={follows}
      aria-label={words}
      title={`${words}. Click to ${follows ? 'part' : 'link'} them.`}
      className="z-10 grid place-items-center border-rule border-r border-b text-ash hover:text-woad"
      onClick={() => {
        dispatch({ kind: 'edit', edit: setShared(!follows) });
        dispatch({ kind: 'select', selection: undefined });
      }}
    >
      <Icon size={15} aria-hidden="true" />
    </button>
  );
}
