import { Plus } from 'lucide-react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { MAX_RINGS, parseShare } from '../../core/design/tiling/tiling-numbers.ts';
import { CoreError } from '../../core/error.ts';
import { compare, multiply, ONE, rational, toText } from '../../core/exact/rational.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { dispatch } from '../state/bench-store.ts';
import { setTiling } from './tiling-edits.ts';

type Ring = TilingDesign['construction']['rings'][number];

/** Rings inside every face, from the outermost. */
export function FaceRings({ design }: { design: TilingDesign }) {
  const { construction, shades } = design;
  const { rings } = construction;
  const put = (next: readonly Ring[], tag?: string) =>
    dispatch({
      kind: 'edit',
      edit: setTiling({ rings: [...next] }),
      ...(tag === undefined ? {} : { tag }),
    });
  return (
    <section aria-label="Rings" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Rings in every face</h3>
      {rings.map(({ share, shade }, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rings have no identity but their place
        <div key={at} className="grid grid-cols-[84px_minmax(0,1fr)_32px] items-start gap-2">
          <NumberField
            label={`Ring ${at + 1} from`}
            text={share}
            resolve={(text) => {
              checkBetween(text, rings[at - 1]?.share, rings[at + 1]?.share);
              return text.trim();
            }}
            onChange={(text) => put(rings.with(at, { share: text.trim(), shade }), `ring-${at}`)}
          />
          <ShadeSelect
            label={`Shade of ring ${at + 1}`}
            shade={shade ?? ''}
            shades={shades}
            none="The face’s own"
            onChange={(key) => put(rings.with(at, { share, shade: key === '' ? null : key }))}
          />
          <RemoveButton
            label={`Remove ring ${at + 1}`}
            className="mt-6"
            onClick={() => put(rings.filter((_, other) => other !== at))}
          />
        </div>
      ))}
      {rings.length < MAX_RINGS && (
        <button
          type="button"
          className="button self-start"
          onClick={() => {
            const last = rings.at(-1);
            const share =
              last === undefined ? '7/8' : toText(multiply(parseShare(last.share), rational(3, 4)));
            const own = construction.faces[0]!;
            const other = shades.find(({ key }) => key !== (last?.shade ?? own))?.key ?? own;
            put([...rings, { share, shade: other }]);
          }}
        >
          <Plus size={16} aria-hidden="true" /> Add a ring
        </button>
      )}
      {rings.length > 0 && (
        <p className="hint">
          A ring begins where a face is so large beside its full size. From 1, a ring takes the face’s whole
          frame.
        </p>
      )}
    </section>
  );
}

/** A ring lies inside the one before it and outside the one behind it. */
function checkBetween(text: string, before: string | undefined, behind: string | undefined): void {
  const share = parseShare(text);
  const inside = before === undefined ? compare(share, ONE) <= 0 : compare(share, parseShare(before)) < 0;
  const outside = behind === undefined || compare(share, parseShare(behind)) > 0;
  if (!inside || !outside)
    throw new CoreError('tiling/ring', { text, before: before ?? '1', behind: behind ?? '0' });
}
