import { Grid2x2, Layers2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { useDesign } from '../state/bench-store.ts';
import { layTextureOver } from './lay-it-over.ts';
import { LayOverDialog } from './lay-over-dialog.tsx';
import { showLayOver, usePlies } from './plies-store.ts';

/** Lays something over the design on the bench, whichever it is; the texture of a weave on one click. */
export function LayOverPart() {
  const design = useDesign();
  const layingOver = usePlies((state) => state.layingOver);
  const [busy, setBusy] = useState(false);
  const texture = async () => {
    setBusy(true);
    const problem = await layTextureOver(design);
    setBusy(false);
    if (problem !== undefined) toast.error(problem);
  };
  return (
    <div className="flex flex-wrap gap-2 px-[18px] pb-5">
      <button type="button" className="button" onClick={() => showLayOver(true)}>
        <Layers2 size={16} aria-hidden="true" /> Lay something over…
      </button>
      <button
        type="button"
        className="button"
        disabled={busy}
        title="The texture of the weave that was laid over last, as strongly as then"
        onClick={() => void texture()}
      >
        <Grid2x2 size={16} aria-hidden="true" /> Weave texture
      </button>
      {layingOver && <LayOverDialog design={design} onClose={() => showLayOver(false)} />}
    </div>
  );
}
