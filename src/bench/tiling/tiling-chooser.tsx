import { useMemo, useState } from 'react';
import type { StartPoint } from '../../core/design/construction.ts';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { newTiling } from '../../core/design/new-design.ts';
import { usualForm } from '../../core/design/tiling/families.ts';
import { littleTiling } from '../../core/design/tiling/little-tiling.ts';
import { ALL_TILINGS } from '../../core/design/tiling/tiling-starts.ts';
import { ClothSwatch } from '../../kit/cloth-swatch.tsx';
import { Dialog } from '../../kit/dialog.tsx';
import { StartGrid } from '../../kit/start-grid.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { FAMILY_NAMES, tilingText } from '../../wording/tiling-words.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { putTiling } from './put-tiling.ts';
import { anotherTiling } from './tiling-edits.ts';

/** Square pixels of a little swatch, a millimetre each. */
const ROOM = 92 * 64;

/** Which tiling it is, as a picture; another one is chosen among pictures. */
export function TilingChooser({ design }: { design: TilingDesign }) {
  const [choosing, setChoosing] = useState(false);
  const shown = useMemo(() => valueIfAny(() => littleTiling(design, ROOM)), [design]);
  return (
    <>
      <button
        type="button"
        className="flex items-center gap-3 rounded-lg border border-rule bg-white p-2 text-left hover:bg-linen"
        onClick={() => setChoosing(true)}
      >
        {shown !== undefined && (
          <ClothSwatch design={shown} width={92} height={64} perThread={1} decorative />
        )}
        <span className="min-w-0">
          <span className="block text-[12.5px] text-ash">Tiling</span>
          <span className="block font-semibold">{tilingText(design.construction)}</span>
          <span className="block text-[12.5px] text-woad">Choose another…</span>
        </span>
      </button>
      {choosing && <Tilings design={design} onClose={() => setChoosing(false)} />}
    </>
  );
}

/** The families that no start point shows. */
const FAMILIES: readonly StartPoint<TilingDesign>[] = FAMILY_NAMES.filter(
  ([kind]) => !ALL_TILINGS.some((start) => start.design(0).construction.form.kind === kind),
).map(([kind, name]) => ({
  key: kind,
  // Another one of that name is a tiling by regular polygons, or a dual.
  name: ALL_TILINGS.some((start) => start.name === name) ? `${name} by number` : name,
  what: 'By its numbers.',
  design: () =>
    newTiling({
      name,
      shades: ALL_TILINGS[0]!.design(0).shades,
      form: usualForm(kind),
      colours: 'directions',
    }),
}));

function Tilings({ design, onClose }: { design: TilingDesign; onClose: () => void }) {
  const { shades } = design;
  const starts = useMemo(
    () =>
      [...ALL_TILINGS, ...FAMILIES].flatMap((start) => {
        const { construction } = start.design(0);
        const own = { ...design, construction: anotherTiling(design.construction, construction, shades) };
        const little = valueIfAny(() => littleTiling(own, ROOM));
        return little === undefined ? [] : [{ start, design: little }];
      }),
    [design, shades],
  );
  return (
    <Dialog open onOpenChange={onClose} title="Choose a tiling" wide>
      <StartGrid
        legend="In the shades of this design; lines, rings and gaps stay"
        starts={starts}
        chosen={undefined}
        perThread={1}
        tall
        onChoose={({ design: make }) => {
          putTiling(anotherTiling(design.construction, make(0).construction, shades));
          onClose();
        }}
      />
      <div className="mt-4 flex justify-end gap-2">
        <button
          type="button"
          className="button mr-auto"
          onClick={() => {
            useCloth.setState({ growing: true });
            putTiling({ form: { kind: 'grown', faces: [{ on: null, shape: 6 }] }, dual: false });
            onClose();
          }}
        >
          Grow one by hand
        </button>
        <button type="button" className="button" onClick={onClose}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}
