import { Panel } from '../../kit/panel.tsx';
import { useDesignOf } from '../state/use-construction.ts';
import { BoxPart } from './box-part.tsx';
import { useMotif } from './motif-store.ts';
import { PieceAdder } from './piece-adder.tsx';
import { PieceList } from './piece-list.tsx';
import { PiecePart } from './piece-part.tsx';

/** The grid, the box, the list of pieces, and the chosen one's numbers. */
export function MotifBuild() {
  const design = useDesignOf('motif');
  const chosen = useMotif(({ piece }) => piece);
  const piece = design.construction.pieces.find(({ id }) => id === chosen);
  return (
    <Panel title="Build" purpose="Pieces on a grid, the first lowest.">
      <BoxPart design={design} />
      <PieceList design={design} />
      <PieceAdder design={design} />
      {piece !== undefined && <PiecePart key={piece.id} design={design} piece={piece} />}
    </Panel>
  );
}
