import { useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { IN_TURN } from '../../core/design/strap/strap-schema.ts';
import { tilingFacts } from '../../core/design/tiling/tiling-facts.ts';
import { surdToNumber } from '../../core/exact/surd.ts';
import { surdText } from '../../core/exact/surd-text.ts';
import { BarChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { Measure } from '../../kit/panel.tsx';
import { ShadeName } from '../../kit/shade-name.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { percentText } from '../../wording/measures.ts';
import { shadesKeepSentence } from '../../wording/tiling-words.ts';
import { StrapFactsPart } from '../straps/strap-facts-part.tsx';

/** Most faces of a repeat whose facts are counted beside the cloth. */
const MOST = 20_000;

const BARS = ['Cloth'];

/** What a tiling is, exactly: its proof, its vertices, and how much there is of each shade. */
export function TilingFactsPart({ design }: { design: TilingDesign }) {
  const facts = useMemo(() => valueIfAny(() => tilingFacts(design, MOST)), [design]);
  const parts = useMemo(
    () => facts?.shares.map(({ shade, share }) => ({ ...shade, sizes: [surdToNumber(share)] })) ?? [],
    [facts],
  );
  if (facts === undefined) return null;
  const { fade, picture, gaps, lines, star, letters } = design.construction;
  const { proof, cell, configurations, symmetry, colouredSymmetry, classes, faces, shares, vanished } = facts;
  return (
    <section aria-label="Tiling" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Tiling</h3>
      <dl className="m-0 flex flex-col gap-1.5">
        <Measure name="Round each corner">{configurations.join(', ')}</Measure>
        <Measure name="One cell, V − E + F">
          {proof.vertices} − {proof.edges} + {proof.faces} = {proof.vertices - proof.edges + proof.faces}
        </Measure>
        <Measure name="Its area, sides of 1">{surdText(cell)}</Measure>
        <Measure name="Symmetry, without and with shades">
          {symmetry?.group ?? 'not looked for'}, {colouredSymmetry?.group ?? 'not looked for'}
        </Measure>
        <Measure name="Kinds of faces">{classes}</Measure>
        <Measure name="Faces in one repeat">{faces}</Measure>
        {vanished > 0 && (
          <Measure name="Of these, lost in the gaps">
            <span className="text-weld">{vanished}</span>
          </Measure>
        )}
      </dl>
      {symmetry && colouredSymmetry && (
        <p className="hint">{shadesKeepSentence(symmetry, colouredSymmetry)}</p>
      )}
      {(fade ?? picture ?? gaps ?? star ?? lines[0] ?? letters) !== null && (
        <p className="hint">
          Symmetry and shares are those of the faces; what lies over them is not counted.
        </p>
      )}
      <BarChart title="Shares of each shade" bars={BARS} parts={parts} sizeText={percentText} height={44} />
      <DataTable
        head={['Shade', 'Exactly', 'Cloth']}
        rows={shares.map(({ shade, share }) => ({
          key: shade.name,
          cells: [<ShadeName key="shade" shade={shade} />, surdText(share), percentText(surdToNumber(share))],
        }))}
      />
      {star?.line?.strap && <StrapFactsPart design={design} straps={{ ...IN_TURN, turned: star.turned }} />}
    </section>
  );
}
