import { Plus } from 'lucide-react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { isRingWithin, MAX_RINGS, parseRingStart } from '../../core/design/tiling/tiling-numbers.ts';
import { CoreError } from '../../core/error.ts';
import { multiply, type Rational, rational, toText } from '../../core/exact/rational.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { lengthText, portionText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { setTiling } from './tiling-edits.ts';

type Ring = TilingDesign['construction']['rings'][number];

/** Rings inside every face, from the outermost. */
export function FaceRings({ design }: { design: TilingDesign }) {
  const { construction, shades } = design;
  const { rings } = construction;
  const pixel = pixelOf(design.resolution);
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
              checkBetween(text, { before: rings[at - 1]?.share, behind: rings[at + 1]?.share, pixel });
              const start = parseRingStart(text, pixel);
              return 'share' in start
                ? portionText(start.share, 3)
                : `${lengthText(start.inside, 'mm')} mm inside`;
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
            const share = nextStart(rings.at(-1)?.share, pixel);
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
          A ring begins where a face is so large beside what is seen of it, or so far inside that: 7/8, 85%, 2
          mm. From 1, a ring takes the face’s whole frame.
        </p>
      )}
    </section>
  );
}

/** Where one more ring begins: a quarter smaller, or twice as far inside, as the last one. */
function nextStart(last: string | undefined, pixel: Rational): string {
  if (last === undefined) return '7/8';
  const start = parseRingStart(last, pixel);
  return 'share' in start
    ? toText(multiply(start.share, rational(3, 4)))
    : `${toText(multiply(start.inside, rational(2)))} mm`;
}

interface Neighbours {
  readonly before: string | undefined;
  readonly behind: string | undefined;
  readonly pixel: Rational;
}

/** A ring lies inside the one before it and outside the one behind it. */
function checkBetween(text: string, { before, behind, pixel }: Neighbours): void {
  parseRingStart(text, pixel);
  const inside = before === undefined || isRingWithin(text, before, pixel);
  const outside = behind === undefined || isRingWithin(behind, text, pixel);
  if (!inside || !outside)
    throw new CoreError('tiling/ring', { text, before: before ?? '1', behind: behind ?? '0' });
}
