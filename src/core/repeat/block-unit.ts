import { modulo } from '../exact/modulo.ts';
import type { Point } from '../exact/plane.ts';
import { multiply, rational } from '../exact/rational.ts';
import { addSurds, scaleSurd, surd } from '../exact/surd.ts';
import type { Cells } from '../thread/cells.ts';
import type { Partition } from '../tiling/partition.ts';
import type { Layer } from '../tiling/stack.ts';
import type { Content, RepeatUnit } from './repeat-unit.ts';

/** So many repeats side by side and above each other. */
export interface Block {
  readonly across: number;
  readonly down: number;
}

/** Most cells along a side, and most faces, of a block that is painted as one. */
const MOST_CELLS = 65_536;
const MOST_FACES = 20_000;

/** Whether a block of repeats is small enough to be painted as one. */
export function isBlock({ content }: RepeatUnit, { across, down }: Block): boolean {
  if (content.kind === 'cells') {
    return content.width * across <= MOST_CELLS && content.height * down <= MOST_CELLS;
  }
  const { faces } = content.kind === 'stack' ? content.base : content;
  return faces.length * across * down <= MOST_FACES;
}

/** The same pattern, of which a block of repeats counts as one: what does not close on whole pixels may in a block. */
export function blockUnit(unit: RepeatUnit, block: Block): RepeatUnit {
  if (block.across === 1 && block.down === 1) return unit;
  const { lattice, repeat, pitch, content } = unit;
  const longer = { x: rational(block.across), y: rational(block.down) };
  if (content.kind === 'cells') {
    return {
      ...unit,
      content: cellsOf(content, block),
      lattice: [
        { x: multiply(lattice[0].x, longer.x), y: lattice[0].y },
        { x: lattice[1].x, y: multiply(lattice[1].y, longer.y) },
      ],
      repeat: repeat && {
        width: multiply(repeat.width, longer.x),
        height: multiply(repeat.height, longer.y),
      },
    };
  }
  return {
    ...unit,
    content: facesOf(content, block),
    pitch: { x: scaleSurd(pitch.x, longer.x), y: scaleSurd(pitch.y, longer.y) },
  };
}

function cellsOf(cells: Cells, { across, down }: Block): Cells {
  const along = (row: Uint16Array) => {
    const longer = new Uint16Array(row.length * across);
    for (let at = 0; at < longer.length; at += row.length) longer.set(row, at);
    return longer;
  };
  const rowAt = new Uint32Array(cells.height * down);
  for (let at = 0; at < rowAt.length; at += cells.height) rowAt.set(cells.rowAt, at);
  const { over } = cells;
  return {
    ...cells,
    width: cells.width * across,
    height: cells.height * down,
    rows: cells.rows.map(along),
    rowAt,
    ...(over === undefined ? {} : { over: over.map((row) => Uint8Array.from(along(Uint16Array.from(row)))) }),
  };
}

function facesOf(content: Exclude<Content, Cells>, block: Block): Exclude<Content, Cells> {
  return content.kind === 'partition'
    ? partitionOf(content, block)
    : {
        ...content,
        base: partitionOf(content.base, block),
        layers: content.layers.map((layer) => layerOf(layer, block)),
      };
}

/** Every place of a block, from the lower left. */
function placesOf({ across, down }: Block): readonly { readonly i: number; readonly j: number }[] {
  return Array.from({ length: across * down }, (_, at) => ({ i: at % across, j: Math.floor(at / across) }));
}

/** A point in repeats, in the repeat at (i, j), in blocks. */
function moved({ x, y }: Point, { i, j }: { i: number; j: number }, { across, down }: Block): Point {
  return {
    x: scaleSurd(addSurds(x, surd(rational(i))), rational(1, across)),
    y: scaleSurd(addSurds(y, surd(rational(j))), rational(1, down)),
  };
}

function partitionOf(partition: Partition, block: Block): Partition {
  const places = placesOf(block);
  const { across, down } = block;
  const count = partition.vertices.length;
  return {
    ...partition,
    vertices: places.flatMap((place) => partition.vertices.map((vertex) => moved(vertex, place, block))),
    faces: places.flatMap(({ i, j }) =>
      partition.faces.map((face) => ({
        ...face,
        corners: face.corners.map((corner) => {
          const [right, up] = [i + corner.across, j + corner.up];
          const copy = modulo(up, down) * across + modulo(right, across);
          return {
            vertex: copy * count + corner.vertex,
            across: Math.floor(right / across),
            up: Math.floor(up / down),
          };
        }),
      })),
    ),
  };
}

function layerOf(layer: Layer, block: Block): Layer {
  const places = placesOf(block);
  switch (layer.kind) {
    case 'lines':
      return {
        ...layer,
        paths: places.flatMap((place) =>
          layer.paths.map((path) => ({
            ...path,
            points: path.points.map((point) => moved(point, place, block)),
          })),
        ),
      };
    case 'gaps':
      return {
        ...layer,
        faces: places.flatMap((place) =>
          layer.faces.map((face) => face.map((corner) => moved(corner, place, block))),
        ),
      };
    case 'fade':
      return {
        ...layer,
        faces: places.flatMap((place) =>
          layer.faces.map((face) => ({
            ...face,
            corners: face.corners.map((corner) => moved(corner, place, block)),
            from: { x: (face.from.x + place.i) / block.across, y: (face.from.y + place.j) / block.down },
            to: { x: (face.to.x + place.i) / block.across, y: (face.to.y + place.j) / block.down },
          })),
        ),
      };
    default:
      return layer satisfies never;
  }
}
