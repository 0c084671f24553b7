import { bentInTurn, takesUp } from '../../bend/bent-by.ts';
import type { SeamFit } from '../../scene/seam-fit.ts';
import type { TriedPart, TriedScene } from './compile-try-on.ts';
import { type MatchedPart, matchSeams } from './match-seams.ts';

/** What is told of a part: how often the repeat goes across and up it. */
export interface PartFacts {
  readonly key: string;
  /** Undefined for a bare part. */
  readonly repeats: { readonly across: number; readonly up: number } | undefined;
  /** How often across all the cloth that folds and forms take up; undefined where they take up none. */
  readonly takenUp: number | undefined;
  /** By what its cloth is scaled. */
  readonly scale: number;
}

export interface SeamFacts {
  readonly name: string;
  readonly parts: readonly [string, string];
  /** Undefined where its parts have not the same cloth. */
  readonly fit: SeamFit | undefined;
}

/** What the panel says of a scene. */
export interface TryOnFacts {
  readonly parts: readonly PartFacts[];
  readonly seams: readonly SeamFacts[];
  /** Shifts that let the pattern go on across all seams, as far as it can. */
  readonly matched: readonly MatchedPart[];
}

export function tryOnFacts(scene: TriedScene): TryOnFacts {
  const { parts, seams } = scene;
  return {
    matched: matchSeams(scene),
    parts: parts.map(partFacts),
    seams: seams.map(({ seam: { name, parts: keys }, fit }) => ({ name, parts: keys, fit })),
  };
}

function partFacts({ drawn: { part, bends }, cloth, place: { scale } }: TriedPart): PartFacts {
  const { key, box } = part;
  if (cloth === undefined) return { key, repeats: undefined, takenUp: undefined, scale };
  const wide = cloth.size.x * scale;
  const taking = bends.filter(takesUp);
  const flat = flatWidth(taking, box);
  return {
    key,
    repeats: { across: box.width / wide, up: box.height / (cloth.size.y * scale) },
    // A form that is round upward takes up none across.
    takenUp: flat > box.width * MORE ? flat / wide : undefined,
    scale,
  };
}

/** By what part a width is more than is seen. */
const MORE = 1.001;

/** How wide the cloth is that goes into a box. */
function flatWidth(taking: Parameters<typeof bentInTurn>[0], box: Parameters<typeof bentInTurn>[1]): number {
  const { back } = bentInTurn(taking, box);
  const out = new Float64Array(2);
  back(box.width, box.height / 2, out);
  const right = out[0]!;
  back(0, box.height / 2, out);
  return right - out[0]!;
}
