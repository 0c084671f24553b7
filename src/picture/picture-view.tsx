import { useEffect, useRef } from 'react';
import { BYTE_OF_LINEAR } from '../core/colour/linear.ts';
import type { BlockGrid } from '../core/picture/block-grid.ts';
import type { Place } from '../core/picture/blocks-on-line.ts';
import { wayOf } from '../kit/arrow-keys.ts';
import { followPointer } from '../kit/follow-pointer.ts';

/** Room for the picture, in CSS pixels. */
const ROOM = { width: 600, height: 380 } as const;

/** Part of the picture's side that an arrow key moves an end of the line by; with Shift ten times. */
const KEY_STEP = 0.01;

interface PictureViewProps {
  readonly grid: BlockGrid;
  readonly from: Place;
  readonly to: Place;
  readonly onLine: (from: Place, to: Place) => void;
}

/** The picture in its blocks, with the line that is drawn over it. */
export function PictureView({ grid, from, to, onLine }: PictureViewProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const host = useRef<HTMLDivElement>(null);
  const scale = Math.min(ROOM.width / grid.width, ROOM.height / grid.height);
  const width = grid.width * scale;
  const height = grid.height * scale;
  useEffect(() => drawBlocks(canvas.current!, grid), [grid]);
  const placeOf = (event: { clientX: number; clientY: number }): Place => {
    const box = host.current!.getBoundingClientRect();
    return {
      x: clamp((event.clientX - box.left) / scale, grid.width),
      y: clamp((event.clientY - box.top) / scale, grid.height),
    };
  };
  const draw = (event: React.PointerEvent) => {
    if (event.button !== 0) return;
    const start = placeOf(event);
    followPointer(event, (moved) => onLine(start, placeOf(moved)));
  };
  // The blocks of the last column and row reach over the picture's edge.
  const drawnWidth = grid.columns * grid.block * scale;
  const drawnHeight = grid.rows * grid.block * scale;
  return (
    <div
      ref={host}
      className="relative cursor-crosshair touch-none rounded shadow-[0_2px_10px_rgb(32_41_43/0.25)]"
      style={{ width, height }}
      onPointerDown={draw}
    >
      <div className="absolute inset-0 overflow-hidden rounded">
        <canvas
          ref={canvas}
          role="img"
          aria-label="The picture in blocks"
          className="absolute top-0 left-0 max-w-none [image-rendering:pixelated]"
          style={{ width: drawnWidth, height: drawnHeight }}
        />
      </div>
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        {(
          [
            ['#fffdf8', 5],
            ['#20292b', 2],
          ] as const
        ).map(([stroke, strokeWidth]) => (
          <line
            key={stroke}
            x1={from.x * scale}
            y1={from.y * scale}
            x2={to.x * scale}
            y2={to.y * scale}
            stroke={stroke}
            strokeWidth={strokeWidth}
          />
        ))}
      </svg>
      {(['start', 'end'] as const).map((which) => {
        const place = which === 'start' ? from : to;
        const move = (next: Place) => (which === 'start' ? onLine(next, to) : onLine(from, next));
        return (
          <button
            key={which}
            type="button"
            aria-label={which === 'start' ? 'Start of the line' : 'End of the line'}
            title="Drag, or use the arrow keys"
            className={`-translate-x-1/2 -translate-y-1/2 absolute h-6 w-6 cursor-grab touch-none border-2 border-paper bg-woad shadow ${which === 'start' ? 'rounded-full' : 'rounded-[4px]'}`}
            style={{ left: place.x * scale, top: place.y * scale }}
            onPointerDown={(event) => {
              event.stopPropagation();
              followPointer(event, (moved) => move(placeOf(moved)));
            }}
            onKeyDown={(event) => {
              const way = wayOf(event.key);
              if (way === undefined) return;
              event.preventDefault();
              const step = Math.max(grid.width, grid.height) * KEY_STEP * (event.shiftKey ? 10 : 1);
              move({
                x: clamp(place.x + way.right * step, grid.width),
                y: clamp(place.y - way.up * step, grid.height),
              });
            }}
          />
        );
      })}
    </div>
  );
}

function clamp(value: number, most: number): number {
  return Math.min(most, Math.max(0, value));
}

/** One canvas pixel a block. */
function drawBlocks(canvas: HTMLCanvasElement, { columns, rows, light }: BlockGrid): void {
  canvas.width = columns;
  canvas.height = rows;
  const image = new ImageData(columns, rows);
  for (let block = 0; block < columns * rows; block += 1) {
    for (let channel = 0; channel < 3; channel += 1) {
      image.data[block * 4 + channel] = BYTE_OF_LINEAR[Math.round(light[block * 3 + channel]!)]!;
    }
    image.data[block * 4 + 3] = 255;
  }
  canvas.getContext('2d')!.putImageData(image, 0, 0);
}
