import { Panel } from '../../kit/panel.tsx';
import { useDesignOf } from '../state/use-construction.ts';
import { useKeptFacts } from './plies-facts.ts';
import { usePlies } from './plies-store.ts';
import { PlyList } from './ply-list.tsx';
import { PlyPart } from './ply-part.tsx';

/** The plies, and the numbers of the chosen one. */
export function PliesBuild() {
  const design = useDesignOf('plies');
  const chosen = usePlies((state) => state.chosen);
  const { plies } = design.construction;
  const ply = chosen === undefined ? undefined : plies[chosen];
  useKeptFacts(design);
  return (
    <Panel title="Build" purpose="Designs over each other, the highest at the top.">
      <PlyList design={design} />
      {ply !== undefined && <PlyPart key={chosen} design={design} ply={ply} at={chosen!} />}
    </Panel>
  );
}
