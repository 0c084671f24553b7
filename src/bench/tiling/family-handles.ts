import { type FamilyForm, type FamilyName, isFamily } from '../../core/design/tiling/families.ts';
import type { FormSpec } from '../../core/design/tiling/form-schema.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { rational, toNumber, toText } from '../../core/exact/rational.ts';
import type { Place } from '../../core/shape/places.ts';

/** A corner of a family of tilings that can be taken by hand: where its numbers put it, and the numbers where it is put. */
export interface FamilyHandle {
  readonly name: string;
  /** In sides of 1, from the first corner of the form. */
  readonly at: Place;
  readonly moved: (place: Place) => FormSpec;
  /** How far an arrow key moves it, where that is not a twentieth. */
  readonly step?: number;
}

/** What a number is rounded to when it is dragged. */
const PARTS = 20;

/** A number as a fraction of twentieths within bounds, as one would type it; what is not moved stays as it was typed. */
function snapped(text: string, value: number, low: number, high: number): string {
  if (Math.abs(numberOf(text) - value) < UNMOVED) return text;
  const part = Math.min(
    Math.round(high * PARTS),
    Math.max(Math.round(low * PARTS), Math.round(value * PARTS)),
  );
  return toText(rational(part, PARTS));
}

/** What doubles may be off by. */
const UNMOVED = 1e-9;

/** 15°, and a way up or to the right that leads from each angle to the next. */
const STEP = Math.PI / 12;
const REACH = 0.4;

/** The largest proportion that can be typed. */
const MOST_TYPED = 100;

const LEAST = 1 / PARTS;
const MOST = 5;

function numberOf(text: string): number {
  return toNumber(parseExact(text));
}

function proportion(text: string, value: number): string {
  return snapped(text, value, LEAST, MOST);
}

function part(text: string, value: number): string {
  return snapped(text, value, 0, 1 - LEAST);
}

/** The corners that the numbers of a family move; families of whole numbers have none. */
const HANDLES: { readonly [K in FamilyName]?: (form: FamilyForm<K>) => readonly FamilyHandle[] } = {
  // The side of a rhombus stays as long as it is: the hand says which way it goes.
  rhombus: (form) => {
    const across = numberOf(form.across);
    const up = numberOf(form.up);
    const side = Math.hypot(across, up);
    const moved = ({ x, y }: Place) => {
      const wished = (across * Math.max(y, 0)) / Math.max(x, UNMOVED);
      return { ...form, up: snapped(form.up, wished, LEAST, Math.min(MOST_TYPED, MOST * across)) };
    };
    return [{ name: 'Right corner', at: { x: across / side, y: up / side }, moved }];
  },
  angled: (form) => {
    const angle = form.rise * STEP;
    const moved = ({ x, y }: Place) => ({
      ...form,
      rise: Math.min(5, Math.max(1, Math.round(Math.atan2(y, x) / STEP))),
    });
    return [{ name: 'Right corner', at: { x: Math.cos(angle), y: Math.sin(angle) }, moved, step: REACH }];
  },
  bricks: (form) => {
    const at = { x: numberOf(form.step), y: numberOf(form.height) };
    const moved = ({ x, y }: Place) => ({
      ...form,
      step: part(form.step, x),
      height: proportion(form.height, y),
    });
    return [{ name: 'Corner of the next row', at, moved }];
  },
  squares: (form) => {
    const at = { x: numberOf(form.small), y: 0 };
    return [
      {
        name: 'Side of the smaller square',
        at,
        moved: ({ x }) => ({ ...form, small: snapped(form.small, x, LEAST, 1) }),
      },
    ];
  },
  octagons: (form) => {
    const half = numberOf(form.slant) * Math.SQRT1_2;
    const moved = ({ x, y }: Place) => ({
      ...form,
      slant: proportion(form.slant, ((x - 1 + y) / 2) * Math.SQRT2),
    });
    return [{ name: 'End of the slanting side', at: { x: 1 + half, y: half }, moved }];
  },
  triangles: (form) => {
    const at = { x: numberOf(form.tip), y: numberOf(form.height) };
    return [
      {
        name: 'Tip',
        at,
        moved: ({ x, y }) => ({ ...form, tip: part(form.tip, x), height: proportion(form.height, y) }),
      },
    ];
  },
  hexagons: (form) => {
    const at = { x: numberOf(form.across), y: numberOf(form.up) };
    const moved = ({ x, y }: Place) => ({
      ...form,
      across: proportion(form.across, x),
      up: proportion(form.up, y),
    });
    return [{ name: 'End of the slanting side', at, moved }];
  },
  parallelograms: (form) => {
    const at = { x: numberOf(form.lean), y: numberOf(form.height) };
    const moved = ({ x, y }: Place) => ({
      ...form,
      lean: snapped(form.lean, x, 0, MOST),
      height: proportion(form.height, y),
    });
    return [{ name: 'Upper corner', at, moved }];
  },
  kites: (form) => {
    const tip = (name: string, key: 'above' | 'below', sign: 1 | -1): FamilyHandle => ({
      name,
      at: { x: 1, y: sign * numberOf(form[key]) },
      moved: ({ y }) => ({ ...form, [key]: proportion(form[key], sign * y) }),
    });
    return [tip('Upper tip', 'above', 1), tip('Lower tip', 'below', -1)];
  },
  pentagons: (form) => {
    const half = numberOf(form.half);
    const moved = ({ x, y }: Place) => ({
      ...form,
      half: snapped(form.half, (1 - x - y) / 2, LEAST, 1 / 2 - LEAST),
    });
    return [{ name: 'End of the slanting side', at: { x: 1 - half, y: -half }, moved }];
  },
  herringbone: (form) => {
    const moved = ({ y }: Place) => ({ ...form, width: snapped(form.width, y, LEAST, 1 - LEAST) });
    return [{ name: 'Width of a brick', at: { x: 0, y: numberOf(form.width) }, moved }];
  },
  'hexagons-triangles': (form) => {
    const at = { x: numberOf(form.other), y: 0 };
    return [
      {
        name: 'End of the other side',
        at,
        moved: ({ x }) => ({ ...form, other: proportion(form.other, x) }),
      },
    ];
  },
};

/** The corners of a form that its numbers move; none where it has no numbers or whole ones only. */
export function familyHandles(form: FormSpec): readonly FamilyHandle[] {
  if (!isFamily(form)) return [];
  const handles = HANDLES[form.kind] as ((form: FamilyForm) => readonly FamilyHandle[]) | undefined;
  return handles?.(form) ?? [];
}
