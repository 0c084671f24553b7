import { Fragment } from 'react';
import type { BentLine } from '../../../core/scene/bent-outline.ts';
import type { DrawnLine } from '../../../core/scene/draw-part.ts';
import type { DrawnDimension, WholeDrawing } from '../../../core/scene/whole-drawing.ts';
import { type ScenePlace, toView } from './scene-camera.ts';

/** Lines as the data of a path in the view's pixels. */
export function pathIn(place: ScenePlace, lines: readonly BentLine[]): string {
  return lines
    .map(({ places, closed }) => {
      const corners = places.map((each) => {
        const { x, y } = toView(place, each);
        return `${x.toFixed(2)} ${y.toFixed(2)}`;
      });
      return `M${corners.join('L')}${closed ? 'z' : ''}`;
    })
    .join('');
}

/** Widths of lines in CSS pixels. */
export const LINE_WIDTHS = { outline: 1.5, detail: 0.9, stitch: 0.9 } as const;

/** The ink of a scene: outlines, details, stitches, the person. */
export function SceneInk({ whole, place }: { whole: WholeDrawing; place: ScenePlace }) {
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round" className="stroke-ink">
      {(['stitch', 'detail', 'outline'] as const).map((weight) => (
        <path
          key={weight}
          d={pathIn(place, linesOf(whole.ink, weight))}
          strokeWidth={LINE_WIDTHS[weight]}
          {...(weight === 'stitch' ? { strokeDasharray: '4 3' } : {})}
        />
      ))}
      {whole.person !== undefined && (
        <path d={pathIn(place, [whole.person])} strokeWidth={1.4} className="stroke-ash" />
      )}
    </g>
  );
}

function linesOf(ink: readonly DrawnLine[], weight: DrawnLine['weight']): readonly BentLine[] {
  return ink.filter((each) => each.weight === weight).flatMap(({ lines }) => lines);
}

/** The lines of dimensions, without their numbers. */
export function DimensionLines({
  dimensions,
  place,
}: {
  dimensions: readonly DrawnDimension[];
  place: ScenePlace;
}) {
  return (
    <g className="stroke-woad" strokeWidth={1}>
      {dimensions.map(({ from, to, leaders }, at) => {
        const start = toView(place, from);
        const end = toView(place, to);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: dimensions have no other names
          <Fragment key={at}>
            <line x1={start.x} y1={start.y} x2={end.x} y2={end.y} strokeWidth={1.4} />
            {[start, end].map(({ x, y }, tick) => (
              <line
                // biome-ignore lint/suspicious/noArrayIndexKey: the one and the other end
                key={tick}
                x1={x - 5}
                y1={y + 5}
                x2={x + 5}
                y2={y - 5}
                strokeWidth={2}
              />
            ))}
            {leaders.map(([one, other], leader) => {
              const near = toView(place, one);
              const far = toView(place, other);
              return (
                <line
                  // biome-ignore lint/suspicious/noArrayIndexKey: the one and the other end
                  key={`leader-${leader}`}
                  x1={near.x}
                  y1={near.y}
                  x2={far.x}
                  y2={far.y}
                  opacity={0.45}
                />
              );
            })}
          </Fragment>
        );
      })}
    </g>
  );
}
