import { useEffect, useMemo, useRef, useState } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import { splitBand } from '../../core/thread/edit-bands.ts';
import { layOut, threadCount } from '../../core/thread/sequence.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { editBands, railsOf, sequenceOf, sharesSequence, turnOn } from '../state/band-edits.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { drawNeighbours } from './draw-rail.ts';
import { placeOf, REACH, startDrag } from './rail-drag.ts';
import { bandAt, edgeAt, placeBand, threadsAt } from './rail-geometry.ts';
import { Block, DropMark, HoverNote } from './rail-parts.tsx';
import { wordsOf } from './rail-words.ts';
import { useRailAxis } from './use-rail-axis.ts';
import { useRailKeys } from './use-rail-keys.ts';

/** One sequence along the cloth's edge: each band a block as wide as its count, worked directly. */
export function Rail({ direction }: { direction: Direction }) {
  const design = useDesign();
  const selection = useBenchState((state) => state.selection);
  const follows = sharesSequence(design);
  const host = useRef<HTMLDivElement>(null);
  const neighbours = useRef<HTMLCanvasElement>(null);
  const [pointed, setPointed] = useState<number>();
  const [drop, setDrop] = useState<number>();
  const sequence = sequenceOf(design, direction);
  const laid = useMemo(() => layOut(sequence), [sequence]);
  const axis = useRailAxis(direction, threadCount(sequence), turnOn(design, direction));
  const { countText, amountText } = useMemo(() => wordsOf(design), [design]);
  const shades = useMemo(() => new Map(design.shades.map((shade) => [shade.key, shade])), [design.shades]);
  // Laid another way than straight, the cloth beside a sequence is another.
  const isAlone = design.lay.arrangement.kind !== 'straight';
  const view = useCloth((cloth) => cloth.view);
  const seen = direction === 'warp' ? view.width : view.height;
  const selected =
    selection !== undefined && (selection.direction === direction || follows) ? selection.band : undefined;

  const press = useRailKeys(direction, selected ?? 0);

  useEffect(() => {
    if (axis !== undefined) drawNeighbours(neighbours.current!, { axis, seen, laid, shades, isAlone });
  }, [axis, seen, laid, shades, isAlone]);
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
        // A finger leaves no pointer behind that could be moved away again.
        setPointed(event.pointerType === 'mouse' ? threads : undefined);
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
      <canvas
        ref={neighbours}
        className="absolute inset-0 h-full w-full"
        aria-hidden="true"
        data-overlay=""
      />
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
