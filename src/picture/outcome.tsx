import { plural } from '../wording/measures.ts';
import { type PictureOutcome, shadesOfBands } from './picture-wish.ts';

interface OutcomeProps {
  readonly outcome: PictureOutcome;
  /** Parts of the unit that counts are in. */
  readonly parts: number;
  readonly unit: string;
}

/** What would be taken: the bands side by side, and their shades with their shares. */
export function Outcome({ outcome: { bands, colours, furthest }, parts, unit }: OutcomeProps) {
  const shades = shadesOfBands(bands);
  const total = bands.reduce((sum, { count }) => sum + count, 0) / parts;
  return (
    <section aria-label="What comes of it" className="border-rule border-t pt-3">
      <div className="flex h-12 overflow-hidden rounded-md" aria-hidden="true">
        {bands.slice(0, 600).map(({ hex, count }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a band has no identity but its place
          <span key={index} style={{ flexGrow: count, backgroundColor: hex }} />
        ))}
      </div>
      <p aria-live="polite" className="mt-1 text-[13px] text-ash">
        {plural(bands.length, 'band')}, {plural(shades.length, 'shade')}, {total} {unit}
        {colours > shades.length &&
          `. ${colours} colours of the picture became ${shades.length}; the furthest moved by ΔE ${furthest.toFixed(1)}`}
      </p>
      <ul className="m-0 mt-1 flex list-none flex-wrap gap-x-4 gap-y-1 p-0">
        {shades.map(({ hex, share }) => (
          <li key={hex} className="numbers flex items-center gap-1.5 text-[12.5px]">
            <span className="chip h-5 w-5" style={{ backgroundColor: hex }} />
            {hex} {(share * 100).toFixed(0)} %
          </li>
        ))}
      </ul>
    </section>
  );
}
