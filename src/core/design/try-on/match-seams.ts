import { type SewnPart, seamFit } from '../../scene/seam-fit.ts';
import type { Place } from '../../shape/places.ts';
import type { TriedPart, TriedScene } from './compile-try-on.ts';
import type { TryOn } from './try-on-schema.ts';
import { partOf } from './usual-try-on.ts';

/** A part's cloth moved so that its pattern goes on across seams; millimetres. */
export interface MatchedPart {
  readonly key: string;
  readonly shift: Place;
}

/**
 * Moves cloth part by part, each once: from the first part of a scene to all that are sewn to it, seam by seam in their
 * order. Where a part has several seams, the first decides; the others are as far off as they come out.
 */
export function matchSeams({ parts, seams }: TriedScene): readonly MatchedPart[] {
  const places = new Map(parts.map(({ drawn, place }) => [drawn.part.key, place]));
  const sewn = ({ drawn: { part, bends } }: TriedPart): SewnPart => ({
    part,
    bends,
    place: places.get(part.key)!,
  });
  const known = new Map(parts.map((part) => [part.drawn.part.key, part]));
  const still = new Set<string>();
  const moved: MatchedPart[] = [];
  for (const { drawn } of parts) {
    if (still.has(drawn.part.key)) continue;
    still.add(drawn.part.key);
    for (let next = openSeam(); next !== undefined; next = openSeam()) {
      const { seam, isBackward } = next;
      const [first, second] = isBackward ? [seam.parts[1], seam.parts[0]] : seam.parts;
      const lines = isBackward ? ([seam.lines[1], seam.lines[0]] as const) : seam.lines;
      const one = known.get(first)!;
      const other = known.get(second)!;
      const { shift } = seamFit({ ...seam, lines }, sewn(one), sewn(other), one.cloth!.lattice);
      places.set(second, { ...other.place, shift });
      moved.push({ key: second, shift });
      still.add(second);
    }
  }
  return moved;

  /** A seam between a part that stays and one that has not been moved yet, of one cloth. */
  function openSeam() {
    for (const { seam, fit } of seams) {
      if (fit === undefined) continue;
      const [one, other] = seam.parts;
      if (still.has(one) !== still.has(other)) return { seam, isBackward: still.has(other) };
    }
    return undefined;
  }
}

/** The parts of a scene with cloth moved: as finely as a match needs it, a thousandth of a millimetre. */
export function withMoved(tryOn: TryOn, moved: readonly MatchedPart[]): TryOn['parts'] {
  const text = (length: number) => `${Number(length.toFixed(3)) + 0} mm`;
  const parts = moved.map(
    ({ key, shift: { x, y } }) =>
      [key, { ...partOf(tryOn, key), shift: { x: text(x), y: text(y) } }] as const,
  );
  return { ...tryOn.parts, ...Object.fromEntries(parts) };
}
