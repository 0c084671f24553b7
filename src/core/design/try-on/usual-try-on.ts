import type { PartSpec, TryOn } from './try-on-schema.ts';

/** How cloth lies on a part of which nothing was said: at true size, along its grain. */
export const USUAL_PART: PartSpec = {
  cloth: 'design',
  scale: { to: 'factor', factor: '1' },
  turn: '0°',
  shift: { x: '0 mm', y: '0 mm' },
  bends: null,
  shading: '50%',
};

/** A scene of which nothing was said. */
export function usualTryOn(scene: string): TryOn {
  return {
    scene,
    numbers: {},
    letters: { text: 'Lark', font: 'bricolage-bold' },
    path: HEART,
    cloths: [],
    parts: {},
    person: null,
    seenFrom: null,
  };
}

/** The scene that a design is shown in until another is chosen. */
export const FIRST_SCENE = 'cushion';

/** A shape to begin with, y downward as SVG has it. */
const HEART =
  'M50 92C22 66 4 48 4 28C4 14 14 6 26 6C36 6 45 12 50 22C55 12 64 6 74 6C86 6 96 14 96 28C96 48 78 66 50 92Z';

/** A part as a document has it, or as it is usually. */
export function partOf({ parts }: Pick<TryOn, 'parts'>, key: string): PartSpec {
  return parts[key] ?? USUAL_PART;
}
