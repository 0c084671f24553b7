import { useEffect, useMemo, useRef, useState } from 'react';
import { inkOn } from '../../core/colour/ink-on.ts';
import type { Shade } from '../../core/colour/shade.ts';
import type { Direction } from '../../core/design/construction.ts';
import { splitBand } from '../../core/thread/edit-bands.ts';
import { type LaidBand, layOut, threadCount } from '../../core/thread/sequence.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { layGeometry } from '../cloth/cloth-camera.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import {
  editBands,
  measuresOf,
  railsOf,
  sequenceOf,
  setSequence,
  sharesSequence,
  turnOn,
} from '../state/band-edits.ts';
import { benchState, dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { dragEdge, dropBand, dropPlace } from './band-drag.ts';
import { drawNeighbours } from './draw-rail.ts';
import {
  axisOfStripe,
  axisOfThreads,
  bandAt,
  edgeAt,
  placeBand,
  type RailAxis,
  threadsAt,
} from './rail-geometry.ts';
import { pressRailKey } from './rail-keys.ts';
import { wordsOf } from './rail-words.ts';

/** CSS pixels on each side of an edge within which it is grasped, and that a press may wander and still be a click. */
const REACH = 5;
const WANDER = 4;

/** Milliseconds within which digits belong to one number. */
const TYPING = 1200;

/** One sequence along the cloth's edge: each band a block as wide as its count, worked directly. */
export function Rail({ direction }: { direction: Direction }) {
  const design = useDesign();
  const selection = useBenchState((state) => state.selection);
  const follows = sharesSequence(design);
  const host = useRef<HTMLDivElement>(null);
  const neighbours = useRef<HTMLCanvasElement>(null);
  const typed = useRef({ digits: '', at: 0 });
  const [pointed, setPointed] = useState<number>();
  const [drop, setDrop] = useState<number>();
  const sequence = sequenceOf(design, direction);
  const laid = useMemo(() => layOut(sequence), [sequence]);
  const axis = useAxis(direction, threadCount(sequence), turnOn(design, direction));
  const { countText, amountText, perKey } = useMemo(() => wordsOf(design), [design]);
  const shades = useMemo(() => new Map(design.shades.map((shade) => [shade.key, shade])), [design.shades]);
  const view = useCloth((cloth) => cloth.view);
  const seen = direction === 'warp' ? view.width : view.height;
  const selected =
    selection !== undefined && (selection.direction === direction || follows) ? selection.band : undefined;

  useEffect(() => {
    if (axis !== undefined) drawNeighbours(neighbours.current!, { axis, seen, laid, shades });
  }, [axis, seen, laid, shades]);
  useEffect(() => {
    if (selection?.direction === direction) {
      host.current
        ?.querySelector<HTMLElement>(`[data-band="${selection.band}"]`)
        ?.focus({ preventScroll: true });
    }
  }, [selection, direction]);

  if (axis === undefined) return <div ref={host} className="relative overflow-hidden" />;
  const hovered = pointed === undefined ? undefined : bandAt(laid, pointed);
  const visible = laid.filter((band) => {
    const { start, length } = placeBand(axis, band);
    return (start + length > 0 && start < seen) || band.source === selected;
  });

  const press = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.key === 'Tab') return;
    const band = selected ?? 0;
    const now = event.timeStamp;
    const digits = now - typed.current.at < TYPING ? typed.current.digits : '';
    const keys = design.shades.map((shade) => shade.key);
    const pressed = { key: event.key, code: event.code, shift: event.shiftKey, alt: event.altKey };
    const result = pressRailKey(sequence.bands, band, pressed, {
      direction,
      typed: digits,
      keys,
      per: perKey,
    });
    if (result === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    typed.current = { digits: result.typed, at: now };
    const edit = editBands(direction, () => result.bands);
    const select = { direction, band: result.band };
    if (result.bands === sequence.bands) dispatch({ kind: 'select', selection: select });
    else dispatch({ kind: 'edit', edit, select, ...(result.tag === undefined ? {} : { tag: result.tag }) });
  };

  return (
    <div
      ref={host}
      role="listbox"
      aria-label={`${railsOf(design).length === 1 ? 'Bands' : direction === 'warp' ? 'Warp' : 'Weft'} rail, ${amountText({ count: threadCount(sequence), shade: '' })}`}
      aria-orientation={direction === 'warp' ? 'horizontal' : 'vertical'}
      tabIndex={-1}
      className="relative touch-none select-none"
      onKeyDown={press}
      onPointerLeave={() => setPointed(undefined)}
      onPointerMove={(event) => {
        const threads = threadsAt(axis, placeOf(event, host.current!, direction));
        setPointed(threads);
        const edge = edgeAt(laid, threads, REACH / axis.step);
        event.currentTarget.style.cursor =
          edge === undefined ? 'default' : direction === 'warp' ? 'col-resize' : 'row-resize';
      }}
      onPointerDown={(event) => startDrag(event, { axis, laid, host: host.current!, setDrop })}
      onDoubleClick={(event) => {
        const band = bandAt(laid, threadsAt(axis, placeOf(event, host.current!, direction)));
        if (band === undefined) return;
        const select = { direction, band: band.source };
        dispatch({
          kind: 'edit',
          edit: editBands(direction, (bands) => splitBand(bands, band.source)),
          select,
        });
      }}
    >
      <canvas ref={neighbours} className="absolute inset-0 h-full w-full" aria-hidden="true" />
      <div className="absolute inset-0 overflow-hidden">
        {visible.map((band) => (
          <Block
            key={band.start}
            band={band}
            axis={axis}
            shade={shades.get(band.shade)!}
            text={countText(band)}
            words={amountText(band)}
            selected={band.source === selected}
            focusable={!band.reflected && band.source === (selected ?? 0)}
          />
        ))}
        {drop !== undefined && <DropMark axis={axis} band={laid[drop]!} />}
      </div>
      {hovered !== undefined && drop === undefined && (
        <HoverNote
          axis={axis}
          band={hovered}
          shade={shades.get(hovered.shade)!}
          text={amountText(hovered)}
          seen={seen}
        />
      )}
    </div>
  );
}

/** Where the rail's sequence lies, once the cloth is placed. */
function useAxis(direction: Direction, threads: number, turn: number): RailAxis | undefined {
  const { camera, repeat, ratio, view } = useCloth();
  const design = useDesign();
  return useMemo(() => {
    if (camera === undefined || repeat === undefined) return undefined;
    const geometry = layGeometry(repeat, camera.perEnd, ratio, window.devicePixelRatio);
    const place = { direction, camera, repeat, view, geometry, threads };
    const slope = measuresOf(design)?.slope;
    return slope === undefined ? axisOfThreads({ ...place, turn }) : axisOfStripe(place, slope);
  }, [camera, repeat, ratio, view, design, direction, threads, turn]);
}

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

function Block({ band, axis, shade, text, words, selected, focusable }: BlockProps) {
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

function DropMark({ axis, band }: { axis: RailAxis; band: LaidBand }) {
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
function HoverNote({ axis, band, shade, text, seen }: HoverNoteProps) {
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

function placeOf(
  event: { clientX: number; clientY: number },
  host: HTMLElement,
  direction: Direction,
): number {
  const box = host.getBoundingClientRect();
  return direction === 'warp' ? event.clientX - box.left : event.clientY - box.top;
}

interface DragSetting {
  readonly axis: RailAxis;
  readonly laid: readonly LaidBand[];
  readonly host: HTMLElement;
  readonly setDrop: (drop: number | undefined) => void;
}

/** A press on a rail: on an edge it draws the edge, on a band it selects and, when it wanders, moves the band. */
function startDrag(event: React.PointerEvent, { axis, laid, host, setDrop }: DragSetting): void {
  if (event.button !== 0) return;
  const { direction } = axis;
  const from = placeOf(event, host, direction);
  const threads = threadsAt(axis, from);
  const edge = edgeAt(laid, threads, REACH / axis.step);
  const band = bandAt(laid, threads);
  const sequence = sequenceOf(benchState().history.present, direction);
  const tag = `drag-${direction}-${event.timeStamp}`;
  let wandered = false;
  if (band !== undefined) dispatch({ kind: 'select', selection: { direction, band: band.source } });

  const move = (moved: PointerEvent) => {
    const place = placeOf(moved, host, direction);
    wandered ||= Math.abs(place - from) > WANDER;
    if (!wandered) return;
    if (edge !== undefined) {
      const drawn = Math.round(threadsAt(axis, place) - threads);
      const bands = dragEdge(sequence.bands, edge, drawn, moved.altKey);
      dispatch({ kind: 'edit', edit: setSequence(direction, { ...sequence, bands }), tag });
    } else if (band !== undefined) {
      setDrop(dropPlace(laid, threadsAt(axis, place)));
    }
  };
  const end = (released: PointerEvent) => {
    setDrop(undefined);
    if (wandered && edge === undefined && band !== undefined && released.type === 'pointerup') {
      const place = threadsAt(axis, placeOf(released, host, direction));
      const select = { direction, band: dropPlace(laid, place) };
      dispatch({
        kind: 'edit',
        edit: editBands(direction, (all) => dropBand(all, band.source, laid, place)),
        select,
      });
    }
    dispatch({ kind: 'settle' });
  };
  followPointer(event, move, end, host);
}
