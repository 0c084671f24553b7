import { type Motion, mirrorIn, thenMotion, turnAbout } from '../../shape/contour.ts';
import type { Place } from '../../shape/places.ts';

/** Plane groups with third and sixth turns; their lattice has two ways of one length, 60° apart. */
export const SIXTY_GROUPS = ['p3', 'p3m1', 'p31m', 'p6', 'p6mm'] as const;
export type SixtyGroup = (typeof SIXTY_GROUPS)[number];

/**
 * What each group has about a corner of its lattice: by how many degrees it turns, and the directions of the mirrors
 * through it. Those of p3m1 cross all centres of third turns, those of p31m some.
 * Source: International Tables for Crystallography, vol. A, general positions of the plane groups; from memory.
 */
const ABOUT: Readonly<Record<SixtyGroup, { readonly turn: number; readonly mirror: number | null }>> = {
  p3: { turn: 120, mirror: null },
  p3m1: { turn: 120, mirror: 30 },
  p31m: { turn: 120, mirror: 0 },
  p6: { turn: 60, mirror: null },
  p6mm: { turn: 60, mirror: 0 },
};

const CORNER: Place = { x: 0, y: 0 };

/** A copy of one cell: mirrored in the level line or not, then turned by so many steps of 15°, about the lattice's corner. */
export interface SixtyStep {
  readonly turn: number;
  readonly mirrored: boolean;
}

export function sixtySteps(group: SixtyGroup): readonly SixtyStep[] {
  const { turn, mirror } = ABOUT[group];
  const turns = Array.from({ length: 360 / turn }, (_, at) => at * (turn / 15));
  const plain = turns.map((each) => ({ turn: each, mirrored: false }));
  if (mirror === null) return plain;
  // A mirror that rises by an angle is the level one, then a turn by twice that.
  return [...plain, ...turns.map((each) => ({ turn: (each + (2 * mirror) / 15) % 24, mirrored: true }))];
}

/** The same as motions. */
export function sixtyMotions(group: SixtyGroup): readonly Motion[] {
  return sixtySteps(group).map(({ turn, mirrored }) => {
    const turned = turnAbout(CORNER, turn * 15);
    return mirrored ? thenMotion(mirrorIn(CORNER, 0), turned) : turned;
  });
}
