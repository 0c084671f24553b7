import { type Proof, seenAs } from '../colour/proof.ts';
import type { Shade } from '../colour/shade.ts';
import { isWhole, rational } from '../exact/rational.ts';
import { equalSurds, scaleSurd } from '../exact/surd.ts';
import { checkPartition } from '../faces/check-partition.ts';
import { hasClear, type Partition } from '../faces/partition.ts';
import type { Place } from '../shape/places.ts';
import type { Mark } from '../shape/shape.ts';
import { type Block, blockCells, MOST_CELLS } from './block-cells.ts';
import { blockPartition, MOST_FACES } from './block-faces.ts';
import { blockMarks } from './block-marks.ts';
import { closeCells, type NumberProof } from './close-numbers.ts';
import { type Content, type Marks, type Ply, type RepeatUnit, repeatSize } from './repeat-unit.ts';

/** What there is to know of a kind of content, beside how it is painted and drawn. */
interface ContentKind<C extends Content> {
  /** What can be proven without knowing how it was made. */
  readonly prove: (content: C, unit: RepeatUnit) => NumberProof;
  /** What stands on the cloth, after any mixing, as it is seen in a proof. */
  readonly seenIn: (content: C, proof: Proof) => C;
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
    prove: (cells, { lattice }) => closeCells(cells, lattice),
    seenIn: (cells, proof) => ({ ...cells, shades: shadesIn(cells.shades, proof) }),
    isClear: () => false,
    partitionOf: () => undefined,
    marksOf: () => [],
    isBlock: ({ width, height }, { across, down }) =>
      width * across <= MOST_CELLS && height * down <= MOST_CELLS,
    block: blockCells,
  },
  partition: {
    prove: (partition) => ({ kind: 'partition', misses: 0, ...checkPartition(partition) }),
    seenIn: (partition, proof) => ({ ...partition, shades: shadesIn(partition.shades, proof) }),
    isClear: hasClear,
    partitionOf: (partition) => partition,
    marksOf: () => [],
    isBlock: ({ faces }, { across, down }) => faces.length * across * down <= MOST_FACES,
    block: blockPartition,
  },
  marks: {
    // Marks lie on the torus of the faces below them and are closed with it.
    prove: ({ base }) => ({ kind: 'partition', misses: 0, ...checkPartition(base) }),
    seenIn: (content, proof) => ({
      ...content,
      base: { ...content.base, shades: shadesIn(content.base.shades, proof) },
    }),
    isClear: ({ base }) => hasClear(base),
    partitionOf: ({ base }) => base,
    marksOf: ({ marks }) => marks,
    isBlock: ({ base, marks }, { across, down }) =>
      (base.faces.length + marks.length) * across * down <= MOST_FACES,
    block: blockMarks,
  },
  plies: {
    prove: ({ plies }, unit) => provePlies(plies, unit),
    seenIn: (content, seen) => ({ ...content, seen }),
    isClear: ({ plies }) => !plies.some(coversAll),
    partitionOf: () => undefined,
    marksOf: () => [],
    // Each ply is painted by itself, in its own repeats.
    isBlock: () => true,
    block: ({ plies, ...content }, { across, down }) => ({
      ...content,
      plies: plies.map((ply) => ({
        ...ply,
        times: { across: ply.times.across * across, down: ply.times.down * down },
      })),
    }),
  },
};

/** Whether nothing beneath or beside a ply is seen through all of them. */
function coversAll({ unit, shown, strength, clip }: Ply): boolean {
  return shown && clip === null && isWhole(strength) && strength.n === 1n && !isClearContent(unit.content);
}

function isClearContent(content: Content): boolean {
  return contentKind(content).isClear(content);
}

function shadesIn(shades: readonly Shade[], proof: Proof): readonly Shade[] {
  return shades.map((shade) => ({ ...shade, hex: seenAs(shade.hex, proof) }));
}

function provePlies(plies: readonly Ply[], whole: RepeatUnit): NumberProof {
  const size = repeatSize(whole);
  const proofs = plies.map(({ unit, times }) => {
    const one = repeatSize(unit);
    const fits =
      size !== null &&
      one !== null &&
      equalSurds(scaleSurd(one.width, rational(times.across)), size.width) &&
      equalSurds(scaleSurd(one.height, rational(times.down)), size.height);
    return { proof: closeNumbers(unit), times, fits };
  });
  const closed = proofs.every(({ proof, fits }) => proof.closed && fits);
  return { kind: 'plies', closed, plies: proofs, misses: 0 };
}

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
export function closeNumbers(unit: RepeatUnit): NumberProof {
  return contentKind(unit.content).prove(unit.content, unit);
}
