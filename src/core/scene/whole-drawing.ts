import type { Box } from '../shape/figure-box.ts';
import { chordsOf } from '../shape/flatten.ts';
import type { Place } from '../shape/places.ts';
import type { BentLine } from './bent-outline.ts';
import type { DrawnLine, DrawnPart } from './draw-part.ts';
import { boxOf, linesOutside } from './lines-outside.ts';
import { person } from './person.ts';
import type { Dimension, InkLine, SceneDrawing } from './scene.ts';

/** A dimension as it is drawn: its line, the two that lead to what is measured, and where its number stands. */
export interface DrawnDimension {
  readonly from: Place;
  readonly to: Place;
  readonly leaders: readonly (readonly [Place, Place])[];
  readonly label: Place;
  /** Millimetres. */
  readonly length: number;
  /** The scene's number that it shows, or the person's height; undefined where it only measures. */
  readonly number: string | undefined;
}

/** All that is drawn in ink, in millimetres, y upward. */
export interface WholeDrawing {
  readonly ink: readonly DrawnLine[];
  /** What cloth hides where it lies over it. */
  readonly behind: readonly DrawnLine[];
  readonly person: BentLine | undefined;
  readonly dimensions: readonly DrawnDimension[];
  /** A box that holds everything. */
  readonly bounds: Box;
}

/** What the dimension of a person is called among the numbers. */
export const PERSON = 'person';

/** Room between a drawing and who stands beside it, as a part of the person's height. */
const BESIDE = 0.12;

/** A person's half width, elbows too, as a part of the height. */
const HALF_WIDE = 0.18;

/** Keys of parts that have no cloth, and so hide nothing. */
const NONE: ReadonlySet<string> = new Set();

/**
 * The ink of a scene.
 * @param height  of the person beside it; undefined for none
 * @param bare    keys of parts without cloth
 */
export function wholeDrawing(
  drawing: SceneDrawing,
  parts: readonly DrawnPart[],
  height: number | undefined,
  bare = NONE,
): WholeDrawing {
  const sagitta = Math.max(drawing.size.width, drawing.size.height) / 8000;
  const drawnLine = ({ weight, contours }: InkLine): DrawnLine => ({
    weight,
    lines: contours.map((contour) => ({ places: chordsOf(contour, sagitta), closed: contour.closed })),
  });
  const still = drawing.ink.map(drawnLine);
  const behind = (drawing.behind ?? []).map(drawnLine);
  const ofParts = parts.flatMap(({ outline, ink }, at): readonly DrawnLine[] => {
    // What lies over a part hides its lines as it hides its cloth.
    const over = parts.slice(at + 1).flatMap((each) => (bare.has(each.part.key) ? [] : each.outline));
    const lines: readonly DrawnLine[] = [...ink, { weight: 'outline', lines: outline }];
    return lines.map((each) => ({ ...each, lines: linesOutside(each.lines, over) }));
  });
  const ink = [...ofParts, ...still];
  const dimensions = drawing.dimensions.map(drawnDimension);
  const alone = boundsOf([...ink, ...behind], dimensions);
  if (height === undefined) return { ink, behind, person: undefined, dimensions, bounds: alone };
  const x = alone.right + (BESIDE + HALF_WIDE) * height;
  const beside = {
    places: chordsOf(person(height), height / 4000).map((place) => ({ x: place.x + x, y: place.y })),
    closed: true,
  };
  const tall = drawnDimension({
    from: { x: x + HALF_WIDE * height, y: height },
    to: { x: x + HALF_WIDE * height, y: 0 },
    away: 0.06 * height,
    number: PERSON,
  });
  const measured = [...dimensions, tall];
  const outline: DrawnLine = { weight: 'detail', lines: [beside] };
  return {
    ink,
    behind,
    person: beside,
    dimensions: measured,
    bounds: boundsOf([...ink, ...behind, outline], measured),
  };
}

/**
 * Where the middle of a dimension's number stands: on its line, or as far outward as it needs not to lie over what is measured.
 * @param half  of the number's width, in millimetres of the drawing
 */
export function labelPlace({ label, leaders }: DrawnDimension, half: number): Place {
  const [leader] = leaders;
  if (leader === undefined) return label;
  const [foot, end] = leader;
  const away = { x: end.x - foot.x, y: end.y - foot.y };
  const lack = half - Math.abs(away.x);
  // Beside a level line a number stands free.
  if (Math.abs(away.x) < Math.abs(away.y) || lack <= 0) return label;
  return { x: label.x + Math.sign(away.x) * lack, y: label.y };
}

/** A dimension's line, to the left of the way from its one end to the other. */
export function drawnDimension({ from, to, away, number }: Dimension): DrawnDimension {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const aside = { x: (-(to.y - from.y) / length) * away, y: ((to.x - from.x) / length) * away };
  const move = ({ x, y }: Place): Place => ({ x: x + aside.x, y: y + aside.y });
  const start = move(from);
  const end = move(to);
  return {
    from: start,
    to: end,
    leaders:
      away === 0
        ? []
        : [
            [from, start],
            [to, end],
          ],
    label: { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 },
    length,
    number,
  };
}

function boundsOf(ink: readonly DrawnLine[], dimensions: readonly DrawnDimension[]): Box {
  return boxOf([
    ...ink.flatMap(({ lines }) => lines.flatMap(({ places }) => places)),
    ...dimensions.flatMap(({ from, to }) => [from, to]),
  ]);
}
