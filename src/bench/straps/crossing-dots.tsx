import type { Design } from '../../core/design/design-schema.ts';
import type { Straps } from '../../core/design/strap/strap-schema.ts';
import { useClothView } from '../cloth/use-cloth-view.ts';
import { useCrossings } from './straps-store.ts';
import { isSame, withTurned } from './turn-crossing.ts';
import { useStraps } from './use-straps.ts';

/** Most crossings that can be taken hold of at once. */
const MOST = 400;

interface CrossingDotsProps {
  readonly design: Design;
  readonly turned: Straps['turned'];
  readonly onChange: (turned: Straps['turned']) => void;
}

/** A dot on every crossing of the first repeat: pressed, the strap that went under goes over. */
export function CrossingDots(props: CrossingDotsProps) {
  const isShown = useCrossings(({ shown }) => shown);
  return isShown ? <Dots {...props} /> : null;
}

function Dots({ design, turned, onChange }: CrossingDotsProps) {
  const report = useStraps(design);
  const view = useClothView();
  if (view === undefined || report === undefined || report === null) return null;
  return (
    <section aria-label="Crossings" className="contents">
      {report.crossings.slice(0, MOST).map(({ at: [x, y], over, under, name }, index) => {
        const place = view.toView({ x, y });
        const isTurned = turned.some((each) => isSame(each, name));
        return (
          <button
            key={`${name.piece} ${name.line} ${name.pass} ${name.cell}`}
            type="button"
            aria-label={`Crossing ${index + 1}: strap ${over + 1} over strap ${under + 1}`}
            aria-pressed={isTurned}
            title="Exchange over and under here"
            className="-translate-x-1/2 -translate-y-1/2 absolute h-[18px] w-[18px] rounded-full border-2 border-paper bg-woad shadow-[0_1px_4px_rgb(32_41_43/0.5)] aria-pressed:bg-weld"
            style={{ left: place.x, top: place.y }}
            onPointerDown={(event) => event.stopPropagation()}
            onClick={() => onChange(withTurned(turned, name))}
          />
        );
      })}
    </section>
  );
}
