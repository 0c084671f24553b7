import type { PliesDesign } from '../../core/design/design-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import type { PliesSpec, PlySpec } from '../../core/design/plies/plies-schema.ts';
import { changing, type Edit } from '../state/design-edits.ts';

/** Changes one ply. */
export function changePly(at: number, change: (ply: PlySpec) => PlySpec): Edit {
  return changing('plies', ({ plies }) => ({
    plies: plies.map((ply, index) => (index === at ? change(ply) : ply)),
  }));
}

/** Does to the whole design what lays more over it, or takes something newer into it. */
export function changingPlies(change: (design: PliesDesign) => PliesDesign): Edit {
  return (design) => change(asKind('plies', design));
}

/** Plies in another order: the one from a place comes to another. What was clipped to a ply stays so. */
export function movedPly({ plies }: PliesSpec, from: number, to: number): PlySpec[] {
  const order = plies.map((_, at) => at);
  order.splice(to, 0, ...order.splice(from, 1));
  return order.map((at) => clippedTo(plies[at]!, (clip) => order.indexOf(clip)));
}

/** Plies without one of them. What was clipped to it is seen everywhere. */
export function withoutPly({ plies }: PliesSpec, gone: number): PlySpec[] {
  return plies
    .filter((_, at) => at !== gone)
    .map((ply) => clippedTo(ply, (clip) => (clip === gone ? null : clip > gone ? clip - 1 : clip)));
}

/** Plies with one of them once more, right above it. */
export function withPlyTwice({ plies }: PliesSpec, at: number): PlySpec[] {
  const above = plies.map((ply) => clippedTo(ply, (clip) => (clip > at ? clip + 1 : clip)));
  return above.toSpliced(at + 1, 0, above[at]!);
}

function clippedTo(ply: PlySpec, to: (clip: number) => number | null): PlySpec {
  return ply.clip === null ? ply : { ...ply, clip: to(ply.clip) };
}
