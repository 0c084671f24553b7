import { Layers2 } from 'lucide-react';
import { useDesign } from '../state/bench-store.ts';
import { LayOverDialog } from './lay-over-dialog.tsx';
import { showLayOver, usePlies } from './plies-store.ts';

/** Lays something over the design on the bench, whichever it is. */
export function LayOverPart() {
  const design = useDesign();
  const layingOver = usePlies((state) => state.layingOver);
  return (
    <div className="px-[18px] pb-5">
      <button type="button" className="button" onClick={() => showLayOver(true)}>
        <Layers2 size={16} aria-hidden="true" /> Lay something over…
      </button>
      {layingOver && <LayOverDialog design={design} onClose={() => showLayOver(false)} />}
    </div>
  );
}
