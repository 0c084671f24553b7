import type { PliesDesign } from '../../core/design/design-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { add, multiply, type Rational, rational, toText } from '../../core/exact/rational.ts';
import { surdToNumber } from '../../core/exact/surd.ts';
import type { Place } from '../../core/shape/places.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { SnapHandle } from '../cloth/snap-handle.tsx';
import { type ClothPlaces, useClothView } from '../cloth/use-cloth-view.ts';
import { benchState } from '../state/bench-store.ts';
import { movedTo } from './move-ply.ts';
import { usePliesFacts } from './plies-facts.ts';
import { usePlies } from './plies-store.ts';
import { putPly } from './put-plies.ts';

/** One repeat of the chosen ply on the cloth, to be taken hold of and moved. */
export function PliesHand({ design }: { design: PliesDesign }) {
  const chosen = usePlies((state) => state.chosen);
  const report = usePliesFacts(({ report: all }) => (chosen === undefined ? undefined : all?.[chosen]));
  const view = useClothView();
  const ply = chosen === undefined ? undefined : design.construction.plies[chosen];
  if (ply === undefined || report === undefined || view === undefined) return null;
  if (ply.content.kind !== 'design') return null;
  const corner = { x: surdToNumber(report.shift.x), y: surdToNumber(report.shift.y) };
  const size = { x: surdToNumber(report.size.width), y: surdToNumber(report.size.height) };
  return (
    <>
      <RepeatOutline corner={corner} size={size} view={view} />
      <SnapHandle
        label={`Move ply ${chosen! + 1}, ${report.name}, on the cloth`}
        title="Drag it, or use the arrows: one, ten with Shift, a tenth with Alt"
        at={{ x: corner.x + size.x / 2, y: corner.y + size.y / 2 }}
        view={view}
        className="h-6 w-6 rounded-full"
        cursor="cursor-move"
        dragged={(by, how, tag) => {
          const to = { x: corner.x + by.x, y: corner.y + by.y };
          const moved = movedTo(ply.shift, to, report, how);
          putPly(chosen!, { shift: moved.shift }, tag);
          return moved.on;
        }}
        moved={(by) => moveBy(chosen!, by)}
      />
    </>
  );
}

/** Twelve steps are a repeat where a shift is counted in repeats, so that halves, thirds and quarters are met. */
const PART = rational(1, 12);

/** An arrow key goes by one of what a shift is counted in. A shift that is typed with a unit stays. */
function moveBy(at: number, by: { readonly x: Rational; readonly y: Rational }): void {
  const { construction } = asKind('plies', benchState().history.present);
  const { shift } = construction.plies[at]!;
  const further = (text: string, way: Rational) => {
    const now = valueIfAny(() => parseExact(text));
    if (now === undefined) return text;
    return toText(add(now, shift.in === 'repeats' ? multiply(way, PART) : way));
  };
  const next: PlySpec['shift'] = { ...shift, x: further(shift.x, by.x), y: further(shift.y, by.y) };
  putPly(at, { shift: next }, 'arrows');
}

interface RepeatOutlineProps {
  readonly corner: Place;
  readonly size: Place;
  readonly view: ClothPlaces;
}

function RepeatOutline({ corner, size, view }: RepeatOutlineProps) {
  const from = view.toView({ x: corner.x, y: corner.y + size.y });
  const to = view.toView({ x: corner.x + size.x, y: corner.y });
  const box = { x: from.x, y: from.y, width: to.x - from.x, height: to.y - from.y, fill: 'none' };
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
      <rect {...box} stroke="#fffdf8" strokeWidth="4" />
      <rect {...box} stroke="#2c5f7c" strokeWidth="2" strokeDasharray="6 4" />
    </svg>
  );
}
