import type { FlatBox } from '../bend/bent.ts';
import type { Bend } from '../bend/bent-by.ts';
import type { Contour } from '../shape/contour.ts';
import type { LetterFontKey } from '../shape/letters/letters.ts';
import type { Place } from '../shape/places.ts';

/** A number that a scene is drawn by. */
export interface SceneNumber {
  readonly key: string;
  readonly label: string;
  /** What it is until another is typed: millimetres, or a count. */
  readonly usual: number;
  readonly in: 'mm' | 'count';
  readonly least: number;
  readonly most: number;
}

/** Shapes that a scene is given besides its numbers. */
export interface SceneShapes {
  readonly letters: { readonly text: string; readonly font: LetterFontKey };
  /** Data of an SVG path. */
  readonly path: string;
}

/** A thing that cloth is tried on: one file of data each. */
export interface Scene {
  /** What the command line calls it. */
  readonly key: string;
  readonly name: string;
  readonly group: 'shape' | 'garment' | 'furnishing' | 'room';
  readonly numbers: readonly SceneNumber[];
  readonly needs?: keyof SceneShapes;
  /** @param numbers  a value for each of them @throws CoreError of its shapes */
  readonly draw: (numbers: Readonly<Record<string, number>>, shapes: SceneShapes) => SceneDrawing;
}

/** A working drawing in millimetres, y upward, from its lower left corner. */
export interface SceneDrawing {
  readonly size: FlatBox;
  /** In the order of painting; they do not lie over each other until they are bent. */
  readonly parts: readonly ScenePart[];
  /** Drawn over all cloth. */
  readonly ink: readonly InkLine[];
  /** Drawn first: cloth hides it. */
  readonly behind?: readonly InkLine[];
  readonly seams: readonly Seam[];
  readonly dimensions: readonly Dimension[];
}

/** A piece that takes cloth. */
export interface ScenePart {
  readonly key: string;
  readonly name: string;
  /** The lower left of its box in the drawing. */
  readonly at: Place;
  /** What it is before it is bent along; cloth begins at its lower left. */
  readonly box: FlatBox;
  /** Within its box; left out, all of it. */
  readonly outline?: readonly Contour[];
  /** Degrees by which the lengthwise grain is turned from upright, counterclockwise; 0 when left out. */
  readonly grain?: number;
  /** How it is bent until another bend is given. */
  readonly bends?: readonly Bend[];
  /** Hems, folds and stitches within its box, which bend with it. */
  readonly ink?: readonly InkLine[];
}

/** How a line is drawn: an outline, a detail, or stitches. */
export type InkWeight = 'outline' | 'detail' | 'stitch';

export interface InkLine {
  readonly weight: InkWeight;
  readonly contours: readonly Contour[];
}

/** Where two parts are sewn together, or meet: the same line in the box of each, as many places along it. */
export interface Seam {
  readonly name: string;
  readonly parts: readonly [string, string];
  readonly lines: readonly [readonly Place[], readonly Place[]];
}

/** A length that is written beside what it measures. */
export interface Dimension {
  readonly from: Place;
  readonly to: Place;
  /** How far the line stands off to the left of the way, in millimetres. */
  readonly away: number;
  /** The scene's number that it shows; left out, its length is written. */
  readonly number?: string;
}
