import type { StripeDesign } from '../../core/design/design-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { atAngle } from '../../core/design/stripe/at-angle.ts';
import { slopeDegrees } from '../../core/exact/slope.ts';
import { wayOf } from '../../kit/arrow-keys.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { degreesText } from '../../wording/lines.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { setStripe } from './stripe-edits.ts';

/** Distance of the handle from the middle of the cloth, in CSS pixels. */
const REACH = 120;

/** Degrees that a drag and an arrow key go by. */
const DRAG_STEP = 0.5;

/** A handle on the cloth that turns the lines of a stripe at an angle. */
export function AngleHandle({ design }: { design: StripeDesign }) {
  const view = useCloth((cloth) => cloth.view);
  if (!isSloping(design) || view.width === 0) return null;
  const degrees = slopeDegrees(design.construction.slope);
  const radians = (degrees * Math.PI) / 180;
  const middle = { x: view.width / 2, y: view.height / 2 };
  const end = { x: middle.x + REACH * Math.cos(radians), y: middle.y - REACH * Math.sin(radians) };
  return (
    <>
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        <line x1={middle.x} y1={middle.y} x2={end.x} y2={end.y} stroke="#fffdf8" strokeWidth="4" />
        <line x1={middle.x} y1={middle.y} x2={end.x} y2={end.y} stroke="#2c5f7c" strokeWidth="2" />
        <circle cx={middle.x} cy={middle.y} r="4" fill="#2c5f7c" stroke="#fffdf8" strokeWidth="2" />
      </svg>
      <div
        role="slider"
        tabIndex={0}
        aria-label="Angle of the lines"
        aria-valuemin={-90}
        aria-valuemax={90}
        aria-valuenow={Number(degrees.toFixed(3))}
        aria-valuetext={degreesText(degrees)}
        title="Drag to turn the lines"
        className="-translate-x-1/2 -translate-y-1/2 absolute h-6 w-6 cursor-grab touch-none rounded-full border-2 border-paper bg-woad shadow-[0_1px_6px_rgb(32_41_43/0.45)] active:cursor-grabbing"
        style={{ left: end.x, top: end.y }}
        onPointerDown={startTurn}
        onKeyDown={(event) => {
          const way = wayOf(event.key);
          if (way === undefined) return;
          const by = way.right + way.up;
          event.preventDefault();
          event.stopPropagation();
          turnTo(Math.round(degrees + by * (event.shiftKey ? 10 : 1)), 'turn-keys');
        }}
      />
    </>
  );
}

function isSloping({ construction: { slope } }: StripeDesign): boolean {
  return slope.rise !== 0 && slope.run !== 0;
}

function turnTo(degrees: number, tag: string): void {
  const design = asKind('stripe', benchState().history.present);
  if (Math.abs(degrees) >= 90 || degrees === 0) return;
  // An angle so flat that no repeat is small enough is passed over while the hand goes on.
  const change = valueIfAny(() => atAngle(design, String(degrees)));
  if (change !== undefined) dispatch({ kind: 'edit', edit: setStripe(change), tag });
}

function startTurn(event: React.PointerEvent<HTMLElement>): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  const box = event.currentTarget.parentElement!.getBoundingClientRect();
  const middle = { x: box.left + box.width / 2, y: box.top + box.height / 2 };
  const tag = `turn-${event.timeStamp}`;
  followPointer(
    event,
    (moved) => {
      const dx = moved.clientX - middle.x;
      const dy = middle.y - moved.clientY;
      if (Math.hypot(dx, dy) < 8) return;
      // A line has no ends: both sides of the middle mean the same.
      const degrees = (Math.atan2(dx < 0 ? -dy : dy, Math.abs(dx)) * 180) / Math.PI;
      turnTo(Math.round(degrees / DRAG_STEP) * DRAG_STEP, tag);
    },
    () => dispatch({ kind: 'settle' }),
  );
}
