import { useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { knotStrands, MAX_KNOT_CELLS, parseBreaks } from '../../core/design/motif/straps/knot-panel.ts';
import { knotPieces } from '../../core/design/motif/straps/strap-starts.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { FoldOut } from '../../kit/fold-out.tsx';
import { attempt } from '../../wording/attempt.ts';
import { plural } from '../../wording/measures.ts';
import { putMotif } from './put-motif.ts';

/** A knot panel of any grid in the place of the pieces; crossings that are walls are listed. */
export function KnotPanelPart({ design }: { design: MotifDesign }) {
  const [columns, setColumns] = useState('4');
  const [rows, setRows] = useState('3');
  const [breaks, setBreaks] = useState('');
  const panel = () => ({
    columns: cells(columns),
    rows: cells(rows),
    breaks: parseBreaks(breaks),
  });
  const strands = attempt(() => knotStrands(panel()));
  const { shades } = design;
  const make = () => {
    const told = panel();
    const edge = shades.at(-1)!.key;
    const spec = { gap: '1/6', edges: [{ inset: '0', width: '1/10', shade: edge }], centre: null, dip: null };
    putMotif({
      box: { width: String(2 * told.columns + 2), height: String(2 * told.rows + 2) },
      pieces: [...knotPieces(told, (shades[1] ?? shades[0]!).key, spec)],
    });
  };
  return (
    <FoldOut title="Knot panel" state="">
      <p className="hint">
        Strands through the middles of the sides of a grid. It takes the place of the pieces; Undo brings them
        back.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Columns"
          text={columns}
          resolve={(text) => String(cells(text))}
          onChange={setColumns}
        />
        <NumberField label="Rows" text={rows} resolve={(text) => String(cells(text))} onChange={setRows} />
      </div>
      <label>
        <span className="label">Walls at crossings, in half cells</span>
        <input
          className="field numbers"
          placeholder="3,2| 4,5-"
          value={breaks}
          onChange={(event) => setBreaks(event.target.value)}
        />
      </label>
      {'problem' in strands ? (
        <p role="alert" className="text-[13px] text-madder">
          {strands.problem}
        </p>
      ) : (
        <button type="button" className="button" onClick={make}>
          Make {plural(strands.value.length, 'strand')}
        </button>
      )}
    </FoldOut>
  );
}

function cells(text: string): number {
  return Math.min(MAX_KNOT_CELLS, whole(text, 1));
}
