import { useMemo } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { BarChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { Measure } from '../../kit/panel.tsx';
import { ShadeName } from '../../kit/shade-name.tsx';
import { groupText } from '../../wording/group-words.ts';
import { percentText } from '../../wording/measures.ts';
import { pieceName, thinText } from '../../wording/motif-words.ts';
import { StrapFactsPart } from '../straps/strap-facts-part.tsx';
import { FinestPart } from './finest-part.tsx';
import { useMotifFacts } from './use-motif-facts.ts';

const BARS = ['Cloth'];

/** What is no shade of the card. */
const CLEAR: Shade = { key: '', name: 'Transparent', hex: '#ffffff' };
const PICTURE: Shade = { key: 'picture', name: 'Picture', hex: '#6b7472' };

/** Which pieces cross the box's edges, and how much there is of each shade. */
export function MotifFactsPart({ design }: { design: MotifDesign }) {
  const facts = useMotifFacts(design);
  const shares = useMemo(
    () =>
      (facts?.shares ?? []).map(({ key, share }) => ({
        shade: design.shades.find((shade) => shade.key === key) ?? (key === 'picture' ? PICTURE : CLEAR),
        share,
      })),
    [facts, design.shades],
  );
  const parts = useMemo(() => shares.map(({ shade, share }) => ({ ...shade, sizes: [share] })), [shares]);
  if (facts === undefined) return <p className="hint">The motif is being measured…</p>;
  const { pieces } = design.construction;
  // What was measured may be of a moment ago, when there were other pieces.
  const crossings = facts.crossings.flatMap(({ id, edges }) => {
    const piece = pieces.find((each) => each.id === id);
    return piece === undefined ? [] : [{ id, edges, name: pieceName(piece) }];
  });
  return (
    <section aria-label="Motif" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Motif</h3>
      <dl className="m-0 flex flex-col gap-1.5">
        <Measure name="Pieces">{facts.pieces}</Measure>
        <Measure name="Smallest width">{thinText(facts.smallestWidth)}</Measure>
        <Measure name="Smallest gap">{thinText(facts.smallestGap)}</Measure>
        <Measure name="Symmetry">
          {facts.symmetry === undefined ? 'not looked for' : groupText(facts.symmetry.group)}
        </Measure>
      </dl>
      <FinestPart facts={facts} pixel={pixelOf(design.resolution)} />
      {crossings.length > 0 && (
        <DataTable
          head={['Piece', 'Goes over, and comes in again']}
          rows={crossings.map(({ id, edges, name }) => ({
            key: String(id),
            cells: [name, edges.join(', ')],
          }))}
        />
      )}
      <BarChart title="Shares of each shade" bars={BARS} parts={parts} sizeText={percentText} height={44} />
      <DataTable
        head={['Shade', 'Cloth']}
        rows={shares.map(({ shade, share }) => ({
          key: shade.key,
          cells: [<ShadeName key="name" shade={shade} />, percentText(share)],
        }))}
      />
      <StrapFactsPart design={design} straps={design.construction.straps} />
    </section>
  );
}
