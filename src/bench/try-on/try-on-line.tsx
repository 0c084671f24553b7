import type { PartFacts } from '../../core/design/try-on/try-on-facts.ts';
import { MATCHED, millimetres } from '../../wording/seam-words.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { perTrueMillimetre } from './drawing/scene-actions.ts';
import { placeOf, scaleText } from './drawing/scene-camera.ts';
import { useChosenPart, useDrawnScene } from './drawing/use-drawn-scene.ts';
import { clothName } from './part-list.tsx';
import { matchSeam } from './seams-part.tsx';
import { waysToSee } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

/** The one line under a scene: the chosen part, its repeats, its worst seam, and the scale of the drawing. */
export function TryOnLine() {
  const design = useDesign();
  const drawn = useDrawnScene(design);
  const { facts, camera, bounds, view, beside } = useTryOn();
  const part = useChosenPart(design, drawn);
  const isOne = beside === 'one' || !waysToSee(design).includes(beside);
  const key = part?.drawn.part.key;
  const found = facts?.parts.find((each) => each.key === key);
  const seams = (facts?.seams ?? []).filter(
    ({ parts: keys, fit }) =>
      key !== undefined && keys.includes(key) && fit !== undefined && fit.off > MATCHED,
  );
  const worst = seams.toSorted((one, other) => other.fit!.off - one.fit!.off)[0];
  const box = part?.drawn.part.box;
  return (
    <section
      aria-label="Measures"
      className="numbers flex min-h-[38px] min-w-0 items-center gap-4 whitespace-nowrap border-rule border-t bg-paper px-4"
    >
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4 py-1">
        {part !== undefined && box !== undefined && (
          <span>
            <span className="mr-1.5 font-text text-ash">{part.drawn.part.name}</span>
            {short(box.width)} × {short(box.height)} mm
          </span>
        )}
        {part !== undefined && part.spec.cloth !== 'design' && (
          <span className="font-text text-ash">{clothName(design, part.spec.cloth)}</span>
        )}
        {found?.repeats !== undefined && <RepeatsText facts={found} />}
        {worst !== undefined && (
          <span className="flex items-center gap-2">
            <b className="font-semibold font-text text-weld">Seam off by {millimetres(worst.fit!.off)}</b>
            {worst.fit!.off - worst.fit!.left > MATCHED && (
              <button
                type="button"
                className="button"
                onClick={() => dispatch({ kind: 'edit', edit: matchSeam(worst) })}
              >
                Match
              </button>
            )}
          </span>
        )}
      </div>
      {isOne && view.width > 0 && (
        <span>
          <span className="mr-1.5 font-text text-ash">drawn at</span>
          {scaleText(placeOf(camera, bounds, view).perMillimetre, perTrueMillimetre())}
        </span>
      )}
    </section>
  );
}

function RepeatsText({ facts: { repeats, takenUp } }: { facts: PartFacts }) {
  return (
    <span>
      {short(repeats!.across)} × {short(repeats!.up)}{' '}
      <span className="font-text text-ash">
        repeats{takenUp === undefined ? '' : `, ${short(takenUp)} across in the bend`}
      </span>
    </span>
  );
}

function short(value: number): string {
  return String(Number(value.toFixed(1)));
}
