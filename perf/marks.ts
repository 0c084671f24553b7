import { createCanvas } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { cornerAt } from '../src/core/faces/check-partition.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import type { Marks } from '../src/core/repeat/repeat-unit.ts';
import { insetPolygon } from '../src/core/shape/inset.ts';
import { SHADES } from './ringed-octagons.ts';
import { dashedSides, everywhere, fillFaces, scatteredFloor } from './scattered-floor.ts';
import { line, race } from './timing.ts';

/** A floor of 1728 different faces with gaps between them and two sorts of dashed lines, 2048 × 2048 px. */
const SIDE = 2048;
const GAP = 0.08;
const WIDTHS = [0.1, 0.06];

const unit = compile(
  scatteredFloor({
    gaps: { by: `${GAP} mm`, corner: '0 mm', shade: 'A' },
    lines: [dashedSides('3|4', `${WIDTHS[0]} mm`, 'C', 3), dashedSides('4|6', `${WIDTHS[1]} mm`, 'B', 5)],
  }),
);
const content = unit.content as Marks;
const { base, marks } = content;
const pitch = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
const out = new Uint32Array(SIDE * SIDE);

function paint(content: Marks): void {
  const tile = { width: SIDE, height: SIDE };
  const window = { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' as const };
  paintRows(preparePainting({ ...unit, content }, window), 0, SIDE, out);
}

/** The same marks as others, which no painter has resolved yet. */
function unresolved(): Marks {
  return { ...content, marks: marks.map((mark) => ({ ...mark, shape: { ...mark.shape } })) };
}

/** Points for the canvas, made beforehand, wherever they come into the window. */
const faces = base.faces.map(({ corners, fill }) => ({
  hex: base.shades[fill.shade]!.hex,
  copies: everywhere(
    insetPolygon(
      corners.map((corner) => cornerAt(base, corner)),
      pitch,
      GAP,
    ).map(({ x, y }) => [(x / pitch.x) * SIDE, (1 - y / pitch.y) * SIDE] as const),
    SIDE,
  ),
}));
const lines = marks.flatMap(({ shape, shade }) =>
  shape.kind === 'stroke'
    ? [
        {
          hex: base.shades[shade!]!.hex,
          paths: shape.paths.flatMap(({ points }) =>
            everywhere(
              points.map(({ x, y }) => [surdToNumber(x) * SIDE, (1 - surdToNumber(y)) * SIDE] as const),
              SIDE,
            ),
          ),
        },
      ]
    : [],
);
if (lines.length !== 2) throw new Error(`expected two sorts of lines, got ${lines.length}`);

/** The same: the gaps' shade, over it each face as far as they leave it, over these each sort of lines in one stroke. */
function canvas(): void {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  fillFaces(context, faces, SHADES[0]!.hex, SIDE);
  lines.forEach(({ hex, paths }, index) => {
    context.strokeStyle = hex;
    context.lineWidth = (WIDTHS[index]! * SIDE) / pitch.x;
    context.beginPath();
    for (const points of paths) {
      context.moveTo(...points[0]!);
      for (const [x, y] of points.slice(1)) context.lineTo(x, y);
    }
    context.stroke();
  });
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, SIDE, SIDE);
}

const times = race(7, { first: () => paint(unresolved()), again: () => paint(content), canvas });
console.log(
  `\n${base.faces.length} faces with gaps and ${lines.map(({ paths }) => paths.length).join(' and ')} dashes on ${SIDE} × ${SIDE} px (${times.first.toFixed(0)} ms, again ${times.again.toFixed(0)} ms)`,
);
line('times faster than a canvas library (@napi-rs/canvas)', times.canvas / times.first, 'at least 2');
line(
  'with the outlines resolved, as in the second piece of a view and in a proof',
  times.canvas / times.again,
  'at least 2',
);
