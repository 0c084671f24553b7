import type { Banded, Direction } from '../../core/design/construction.ts';
import { type Construction, kindFor } from '../../core/design/constructions.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import type { Mirror, Sequence } from '../../core/thread/sequence.ts';
import { type Edit, withConstruction } from './design-edits.ts';

/** The edges of the cloth that have a rail. */
export function railsOf({ construction }: Design): readonly Direction[] {
  return kindFor(construction).banded?.railsOf(construction) ?? [];
}

/** Whether both directions show one sequence. */
export function sharesSequence({ construction }: Design): boolean {
  return kindFor(construction).banded?.isShared(construction) ?? true;
}

/** Threads by which a rail's sequence begins later. */
export function turnOn({ construction }: Design, direction: Direction): number {
  return kindFor(construction).banded?.turnOf(construction, direction) ?? 0;
}

/** The sequence that a rail shows; for what has bands. */
export function sequenceOf(design: Design, direction: Direction): Sequence {
  const { construction } = design;
  return bandedOf(construction).sequenceOf(construction, direction, design);
}

/** Replaces the sequence that a rail shows; for what has bands. */
export function setSequence(direction: Direction, sequence: Sequence): Edit {
  return (design) => {
    const { construction } = design;
    const banded = bandedOf(construction);
    return withConstruction(design, banded.withSequence(construction, direction, sequence, design));
  };
}

export function editBands(direction: Direction, change: (bands: Bands) => Bands): Edit {
  return (design) => {
    const sequence = sequenceOf(design, direction);
    const bands = change(sequence.bands);
    return bands === sequence.bands ? design : setSequence(direction, { ...sequence, bands })(design);
  };
}

export function setMirror(direction: Direction, mirror: Mirror): Edit {
  return (design) => setSequence(direction, { ...sequenceOf(design, direction), mirror })(design);
}

function bandedOf<C extends Construction>(construction: C): Banded<C> {
  const { banded } = kindFor(construction);
  if (banded === undefined) throw new Error(`expected bands, got a ${construction.kind}`);
  return banded;
}
