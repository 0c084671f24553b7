import { strapPieces } from '../../core/design/motif/straps/strap-pieces.ts';
import { Panel } from '../../kit/panel.tsx';
import { useDesignOf } from '../state/use-construction.ts';
import { BoxPart } from './box-part.tsx';
import { KnotPanelPart } from './knot-panel-part.tsx';
import { mainOf, useMotif } from './motif-store.ts';
import { MotifStrapsPart } from './motif-straps-part.tsx';
import { MotifTextPart } from './motif-text-part.tsx';
import { PiecePart } from './piece/piece-part.tsx';
import { PieceAdder } from './piece-adder.tsx';
import { PieceList } from './piece-list.tsx';
import { SeveralPart } from './several-part.tsx';

/** The grid, the box, the list of pieces, and the numbers of the chosen one, or what is done to several. */
export function MotifBuild() {
  const design = useDesignOf('motif');
  const chosen = useMotif((state) => state.chosen);
  const { pieces } = design.construction;
  const there = chosen.filter((id) => pieces.some((piece) => piece.id === id));
  const main = pieces.find(({ id }) => id === mainOf({ chosen: there }));
  return (
    <Panel title="Build" purpose="Pieces on a grid, the first lowest.">
      <BoxPart design={design} />
      <PieceList design={design} />
      {strapPieces(design.construction).length > 0 && <MotifStrapsPart design={design} />}
      <PieceAdder design={design} />
      <KnotPanelPart design={design} />
      <MotifTextPart design={design} />
      {there.length > 1 && <SeveralPart design={design} ids={there} />}
      {there.length === 1 && main !== undefined && <PiecePart key={main.id} design={design} piece={main} />}
    </Panel>
  );
}
