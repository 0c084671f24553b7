import { bentInTurn, takesUp } from '../../../core/bend/bent-by.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import { readBend } from '../../../core/design/try-on/read-bend.ts';
import type { BendSpec } from '../../../core/design/try-on/try-on-schema.ts';
import type { ScenePart } from '../../../core/scene/scene.ts';
import type { Place } from '../../../core/shape/places.ts';
import { handText } from './hold-scene.ts';

/** A place of a bend that can be taken hold of. */
export interface BendHandle {
  readonly name: string;
  /** In the part's box, as the bend itself leaves it. */
  readonly at: Place;
  /** The bend as it is when the handle comes to lie at a place. */
  readonly moved: (to: Place) => BendSpec;
}

/** The handles of one bend. @throws CoreError of its numbers */
export function handlesOf(spec: BendSpec, { box }: ScenePart, scale: MotifScale): readonly BendHandle[] {
  const bend = readBend(spec, scale);
  const { width, height } = box;
  const middle = { x: width / 2, y: height / 2 };
  switch (bend.kind) {
    case 'arc': {
      const drop = (width * radians(bend.degrees)) / 8;
      return [
        {
          name: 'Arc',
          at: { x: width - (width * Math.abs(bend.degrees)) / 1080, y: middle.y - drop },
          moved: ({ y }) => ({
            kind: 'arc',
            degrees: degreesText(limited(((8 * (middle.y - y)) / width) * (180 / Math.PI), -350, 350)),
          }),
        },
      ];
    }
    case 'waist': {
      const text = spec as Extract<BendSpec, { kind: 'waist' }>;
      return [
        {
          name: 'Waist',
          at: { x: middle.x + middle.x * (1 + bend.share), y: bend.at * height },
          moved: ({ x, y }) => ({
            ...text,
            share: percent(limited((x - middle.x) / middle.x - 1, -0.95, 4)),
            at: percent(limited(y / height, 0, 1)),
          }),
        },
        {
          name: 'Reach of the waist',
          at: { x: middle.x, y: (bend.at + bend.reach) * height },
          moved: ({ y }) => ({ ...text, reach: percent(limited(Math.abs(y / height - bend.at), 0.05, 4)) }),
        },
      ];
    }
    case 'ripple':
      return [
        {
          name: 'Crest',
          at: { x: bend.length / 4, y: height + bend.height },
          moved: ({ x, y }) => ({
            kind: 'ripple',
            length: handText(limited(4 * x, width / 100, 10 * width)),
            height: handText(y - height),
          }),
        },
      ];
    case 'folds':
      return [
        {
          name: 'Fold',
          at: { x: width / bend.count, y: height - bend.depth },
          moved: ({ x, y }) => ({
            kind: 'folds',
            count: String(Math.round(limited(width / Math.max(1, x), 1, 200))),
            depth: handText(limited(height - y, 0, 10 * width)),
          }),
        },
      ];
    case 'form': {
      const text = spec as Extract<BendSpec, { kind: 'form' }>;
      return [
        {
          name: 'Round, across',
          at: { x: width - (bend.across / 360) * width, y: middle.y },
          moved: ({ x }) => ({ ...text, across: degreesText(limited((360 * (width - x)) / width, 0, 180)) }),
        },
        {
          name: 'Round, up',
          at: { x: middle.x, y: height - (bend.up / 360) * height },
          moved: ({ y }) => ({ ...text, up: degreesText(limited((360 * (height - y)) / height, 0, 180)) }),
        },
      ];
    }
    case 'perspective': {
      const text = spec as Extract<BendSpec, { kind: 'perspective' }>;
      return bend.corners.map((at, corner) => ({
        name: CORNERS[corner]!,
        at,
        moved: ({ x, y }) => ({
          ...text,
          corners: text.corners.map((each, index) =>
            index === corner ? { x: handText(x), y: handText(y) } : each,
          ) as typeof text.corners,
        }),
      }));
    }
    default:
      return bend satisfies never;
  }
}

const CORNERS = [
  'Lower left corner',
  'Lower right corner',
  'Upper right corner',
  'Upper left corner',
] as const;

/** Where handles of a bend lie once the bends after it have carried them along, and the way back from there. */
export function afterBend(
  specs: readonly BendSpec[],
  at: number,
  { box }: ScenePart,
  scale: MotifScale,
): { readonly there: (place: Place) => Place; readonly back: (place: Place) => Place } {
  const later = specs
    .slice(at + 1)
    .map((spec) => readBend(spec, scale))
    .filter((bend) => !takesUp(bend));
  const { there, back } = bentInTurn(later, box);
  const through = (map: typeof there) => (place: Place) => {
    const out = new Float64Array(2);
    map(place.x, place.y, out);
    return { x: out[0]!, y: out[1]! };
  };
  return { there: through(there), back: through(back) };
}

function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

function limited(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}

function degreesText(degrees: number): string {
  return `${Number(degrees.toFixed(1)) + 0}°`;
}

function percent(part: number): string {
  return `${Number((100 * part).toFixed(1)) + 0}%`;
}
