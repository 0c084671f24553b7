import { inkOn } from '../../core/colour/ink-on.ts';
import type { Shade } from '../../core/colour/shade.ts';
import type { LaidBand } from '../../core/thread/sequence.ts';
import { placeBand, type RailAxis } from './rail-geometry.ts';

interface BlockProps {
  readonly band: LaidBand;
  readonly axis: RailAxis;
  readonly shade: Shade;
  /** What is written on it, and in words. */
  readonly text: string;
  readonly words: string;
  readonly selected: boolean;
  readonly focusable: boolean;
}

export function Block({ band, axis, shade, text, words, selected, focusable }: BlockProps) {
  const { start, length } = placeBand(axis, band);
  const warp = axis.direction === 'warp';
  const gap = length > 6 ? 1 : length > 3 ? 0.5 : 0;
  const along = warp
    ? { left: start + gap, width: Math.max(1, length - 2 * gap), top: 5, bottom: 5 }
    : { top: start + gap, height: Math.max(1, length - 2 * gap), left: 5, right: 5 };
  const fits = warp ? length >= text.length * 8 + 5 : length >= 16 && text.length <= 4;
  return (
    <div
      role="option"
      aria-selected={selected}
      aria-label={`${shade.name}, ${words}${band.reflected ? ', reflected' : ''}`}
      tabIndex={focusable ? 0 : -1}
      data-band={band.reflected ? undefined : band.source}
      data-reflected={band.reflected || undefined}
      className={`absolute grid place-items-center rounded-[3px] font-numbers text-[12px] outline-none ${band.reflected ? 'reflected opacity-80' : ''} ${selected ? 'z-10 ring-[2.5px] ring-woad ring-offset-1 ring-offset-linen' : ''}`}
      style={{
        ...along,
        backgroundColor: shade.hex,
        color: inkOn(shade.hex) === 'dark' ? '#20292b' : '#fffdf8',
      }}
    >
      {fits ? text : ''}
    </div>
  );
}

export function DropMark({ axis, band }: { axis: RailAxis; band: LaidBand }) {
  const { start, length } = placeBand(axis, band);
  const box = axis.direction === 'warp' ? { left: start, width: length } : { top: start, height: length };
  return (
    <div
      className={`absolute z-20 rounded border-2 border-woad border-dashed bg-woad/20 ${axis.direction === 'warp' ? 'inset-y-0.5' : 'inset-x-0.5'}`}
      style={box}
    />
  );
}

interface HoverNoteProps {
  readonly axis: RailAxis;
  readonly band: LaidBand;
  readonly shade: Shade;
  readonly text: string;
  readonly seen: number;
}

/** The band under the pointer, in words, for bands too thin to carry their number. */
export function HoverNote({ axis, band, shade, text, seen }: HoverNoteProps) {
  const { start, length } = placeBand(axis, band);
  const middle = Math.min(seen - 70, Math.max(70, start + length / 2));
  const place =
    axis.direction === 'warp'
      ? { left: middle, top: '100%', transform: 'translate(-50%, 5px)' }
      : {
          top: Math.min(seen - 14, Math.max(14, start + length / 2)),
          left: '100%',
          transform: 'translate(5px, -50%)',
        };
  return (
    <div
      className="pointer-events-none absolute z-30 whitespace-nowrap rounded-md bg-ink px-2 py-1 text-[12px] text-paper shadow"
      style={place}
    >
      {shade.name} <span className="numbers">{text}</span>
      {band.reflected ? ' reflected' : ''}
    </div>
  );
}
