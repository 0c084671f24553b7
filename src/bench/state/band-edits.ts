import type { Banded, Direction, MeasuredBand, MeasuredBands } from '../../core/design/construction.ts';
import { type Construction, kindFor } from '../../core/design/constructions.ts';
import { isSloped } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { Rational } from '../../core/exact/rational.ts';
import type { Slope } from '../../core/exact/slope.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import type { Mirror, Sequence } from '../../core/thread/sequence.ts';
import type { BandUnit } from '../../core/units/band-width.ts';
import { type Edit, withConstruction } from './design-edits.ts';

/** The edges of the cloth that have a rail: bands run along them, as far as it is laid so. */
export function railsOf({ construction, lay }: Design): readonly Direction[] {
  const { banded } = kindFor(construction);
  const isMoved = lay.arrangement.kind !== 'straight' && banded?.measured !== undefined;
  return isSloped(lay) || isMoved ? [] : (banded?.railsOf(construction) ?? []);
}

/** Whether both directions show one sequence. */
export function sharesSequence({ construction }: Design): boolean {
  return kindFor(construction).banded?.isShared(construction) ?? true;
}

/** Whether both directions may share one sequence or have one each. */
export function canShare({ construction }: Design): boolean {
  return kindFor(construction).banded?.withShared !== undefined;
}

/** Lets both directions share one sequence, or parts them; for what can do both. */
export function setShared(shared: boolean): Edit {
  return (design) => {
    const { construction } = design;
    return withConstruction(
      design,
      bandedOf(construction).withShared?.(construction, shared) ?? construction,
    );
  };
}

/** Whether a band may be printed at a strength of its own. */
export function hasStrengths({ construction }: Design): boolean {
  return kindFor(construction).banded?.hasStrengths?.(construction) ?? false;
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

/** What is measured of a design's bands. */
export interface BandMeasures {
  /** What widths without a unit of their own are in. */
  readonly unit: BandUnit;
  /** One count of the sequence, in that unit. */
  readonly step: Rational;
  readonly slope: Slope;
  /** A band's width, as typed. */
  readonly widthOf: (band: number) => string;
}

/** What is measured of a design's bands; undefined where they are counted in threads. */
export function measuresOf(design: Design): BandMeasures | undefined {
  const { construction } = design;
  const measured = kindFor(construction).banded?.measured;
  return (
    measured && {
      unit: measured.unitOf(construction),
      // Reads every width, while a pan asks for the slope at every frame.
      get step() {
        return measured.stepOf(construction, design);
      },
      slope: measured.slopeOf(construction),
      widthOf: (band) => measured.widthOf(construction, band),
    }
  );
}

/** Gives a measured band another width. */
export function setWidth(band: number, width: string): Edit {
  return changeMeasured((measured, construction) => measured.withWidth(construction, band, width));
}

/** Puts measured bands in the place of all that there are. */
export function setMeasuredBands(bands: readonly MeasuredBand[]): Edit {
  return changeMeasured((measured, construction) => measured.withBands(construction, bands));
}

function changeMeasured(
  change: (measured: MeasuredBands<Construction>, construction: Construction) => Construction,
): Edit {
  return (design) => {
    const { construction } = design;
    const { measured } = bandedOf(construction);
    if (measured === undefined) throw new Error(`expected widths, got a ${construction.kind}`);
    return withConstruction(design, change(measured, construction));
  };
}

function bandedOf<C extends Construction>(construction: C): Banded<C> {
  const { banded } = kindFor(construction);
  if (banded === undefined) throw new Error(`expected bands, got a ${construction.kind}`);
  return banded;
}
