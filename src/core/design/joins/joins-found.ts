import { CoreError } from '../../error.ts';
import type { JoinsClosed, JoinsFound } from '../../repeat/join.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Pictures } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import type { Design } from '../design-schema.ts';
import { isKind } from '../of-kind.ts';
import { joinsOfDesign } from './joins-of-design.ts';

/**
 * The joins of a design that are seen, and what leaves none: each was made and looked at.
 * @param unit  of the design, laid
 */
export function joinsFound(design: Design, unit: RepeatUnit, pictures?: Pictures): JoinsFound {
  const joins = joinsOfDesign(design, unit);
  if (joins.length === 0) return { joins, closed: [] };
  const closed = (['ended', 'mirrored'] as const).filter((how) => {
    const changed = CHANGES[how](design);
    return changed !== design && leavesNone(changed, pictures);
  });
  return { joins, closed };
}

function leavesNone(design: Design, pictures: Pictures | undefined): boolean {
  try {
    return joinsOfDesign(design, compile(design, pictures)).length === 0;
  } catch (error) {
    if (error instanceof CoreError) return false;
    throw error;
  }
}

const CHANGES: Readonly<Record<JoinsClosed, (design: Design) => Design>> = {
  ended: withFadesEnded,
  mirrored: (design) => ({
    ...design,
    lay: { ...design.lay, arrangement: { kind: 'group', group: 'p2mm', way: 'across' } },
  }),
};

/** A design whose fades end with the shade that they begin with; the same one where all do, or there are none. */
export function withFadesEnded(design: Design): Design {
  if (isKind('motif', design)) {
    const { construction } = design;
    const pieces = construction.pieces.map((piece) => {
      const shades = piece.fade && ended(piece.fade.shades);
      return !piece.fade || shades === piece.fade.shades
        ? piece
        : { ...piece, fade: { ...piece.fade, shades: [...shades!] } };
    });
    const isSame = pieces.every((piece, at) => piece === construction.pieces[at]);
    return isSame ? design : { ...design, construction: { ...construction, pieces } };
  }
  if (!isKind('plies', design)) return design;
  const { construction } = design;
  const plies = construction.plies.map((ply) => {
    const { content } = ply;
    if (content.kind !== 'fade') return ply;
    const shades = ended(content.shades);
    return shades === content.shades ? ply : { ...ply, content: { ...content, shades: [...shades] } };
  });
  const isSame = plies.every((ply, at) => ply === construction.plies[at]);
  return isSame ? design : { ...design, construction: { ...construction, plies } };
}

function ended(shades: readonly string[]): readonly string[] {
  return shades.at(-1) === shades[0] ? shades : [...shades, shades[0]!];
}
