import type { Shade } from '../colour/shade.ts';
import { checkPartition } from '../faces/check-partition.ts';
import { hasClear, type Partition } from '../faces/partition.ts';
import type { Place } from '../shape/places.ts';
import type { Mark } from '../shape/shape.ts';
import { type Block, blockCells, MOST_CELLS } from './block-cells.ts';
import { blockPartition, MOST_FACES } from './block-faces.ts';
import { blockMarks } from './block-marks.ts';
import { closeCells, type NumberProof } from './close-numbers.ts';
import type { Content, Lattice, Marks, RepeatUnit } from './repeat-unit.ts';

/** What there is to know of a kind of content, beside how it is painted and drawn. */
interface ContentKind<C extends Content> {
  /** What can be proven without knowing how it was made. */
  readonly prove: (content: C, lattice: Lattice) => NumberProof;
  readonly mapShades: (content: C, change: (shades: readonly Shade[]) => readonly Shade[]) => C;
  /** Whether anything beneath it is seen. */
  readonly isClear: (content: C) => boolean;
  /** The faces that cover everything; undefined where there are none. */
  readonly partitionOf: (content: C) => Partition | undefined;
  /** What lies over them. */
  readonly marksOf: (content: C) => readonly Mark[];
  /** Whether so many repeats are few enough to be painted as one. */
  readonly isBlock: (content: C, block: Block) => boolean;
  /** @param pitch  millimetres of a step of the grid */
  readonly block: (content: C, block: Block, pitch: Place) => C;
}

const CONTENTS: { readonly [K in Content['kind']]: ContentKind<Extract<Content, { kind: K }>> } = {
  cells: {
    prove: (cells, lattice) => closeCells(cells, lattice),
    mapShades: (cells, change) => ({ ...cells, shades: change(cells.shades) }),
    isClear: () => false,
    partitionOf: () => undefined,
    marksOf: () => [],
    isBlock: ({ width, height }, { across, down }) =>
      width * across <= MOST_CELLS && height * down <= MOST_CELLS,
    block: blockCells,
  },
  partition: {
    prove: (partition) => ({ kind: 'partition', misses: 0, ...checkPartition(partition) }),
    mapShades: (partition, change) => ({ ...partition, shades: change(partition.shades) }),
    isClear: hasClear,
    partitionOf: (partition) => partition,
    marksOf: () => [],
    isBlock: ({ faces }, { across, down }) => faces.length * across * down <= MOST_FACES,
    block: blockPartition,
  },
  marks: {
    // Marks lie on the torus of the faces below them and are closed with it.
    prove: ({ base }) => ({ kind: 'partition', misses: 0, ...checkPartition(base) }),
    mapShades: (content, change) => ({
      ...content,
      base: { ...content.base, shades: change(content.base.shades) },
    }),
    isClear: ({ base }) => hasClear(base),
    partitionOf: ({ base }) => base,
    marksOf: ({ marks }) => marks,
    isBlock: ({ base, marks }, { across, down }) =>
      (base.faces.length + marks.length) * across * down <= MOST_FACES,
    block: blockMarks,
  },
};

/** What there is to know of a content, whichever it is. */
export function contentKind<C extends Content>(content: C): ContentKind<C> {
  return CONTENTS[content.kind] as unknown as ContentKind<C>;
}

/** The faces that cover everything, of content that has some. */
export function partitionIn({ content }: Pick<RepeatUnit<Partition | Marks>, 'content'>): Partition;
export function partitionIn({ content }: Pick<RepeatUnit, 'content'>): Partition | undefined;
export function partitionIn({ content }: Pick<RepeatUnit, 'content'>): Partition | undefined {
  return contentKind(content).partitionOf(content);
}

/** What lies over the faces. */
export function marksOver(content: Content): readonly Mark[] {
  return contentKind(content).marksOf(content);
}

/** Proves what can be proven without knowing how the unit was made. */
export function closeNumbers({ content, lattice }: RepeatUnit): NumberProof {
  return contentKind(content).prove(content, lattice);
}
