import { CoreError } from '../../error.ts';
import { ONE, toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { type DrawnPart, drawPart } from '../../scene/draw-part.ts';
import type { Scene, SceneDrawing, Seam } from '../../scene/scene.ts';
import { sceneOf } from '../../scene/scenes.ts';
import { type ClothPlace, type SeamFit, seamFit } from '../../scene/seam-fit.ts';
import { type WholeDrawing, wholeDrawing } from '../../scene/whole-drawing.ts';
import type { Place } from '../../shape/places.ts';
import type { Design } from '../design-schema.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { type MotifScale, parseDegrees, parseWay } from '../motif/motif-numbers.ts';
import { readBend } from './read-bend.ts';
import {
  finestSeen,
  parsePersonHeight,
  parseSeenFrom,
  parseShading,
  readSceneNumber,
} from './try-on-numbers.ts';
import type { PartSpec, TryOn } from './try-on-schema.ts';
import { partOf } from './usual-try-on.ts';

/** Cloth as it is tried on: which design, its repeat, and what carries it onto itself; millimetres. */
export interface TriedCloth {
  readonly cloth: NonNullable<PartSpec['cloth']>;
  readonly design: Design;
  readonly unit: RepeatUnit;
  readonly size: Place;
  readonly lattice: readonly [Place, Place];
}

/** A part as it is drawn, with the numbers that it was drawn by. */
export interface SpecifiedPart {
  readonly spec: PartSpec;
  readonly drawn: DrawnPart;
}

/** A scene by its numbers, without cloth: quick enough to be drawn anew with every move of the hand. */
export interface DrawnTryOn {
  readonly scene: Scene;
  readonly drawing: SceneDrawing;
  readonly parts: readonly SpecifiedPart[];
  /** Height of the person beside it in millimetres; undefined for none. */
  readonly person: number | undefined;
}

export interface TriedPart extends SpecifiedPart {
  /** Undefined for a bare one. */
  readonly cloth: TriedCloth | undefined;
  readonly place: ClothPlace;
  /** How strongly light and shade are seen, 0 … 1. */
  readonly shading: number;
}

/** A seam, and how the pattern goes on across it; undefined where its parts have not the same cloth. */
export interface TriedSeam {
  readonly seam: Seam;
  readonly fit: SeamFit | undefined;
}

/** A scene by its numbers, with cloth on its parts. */
export interface TriedScene extends DrawnTryOn {
  readonly parts: readonly TriedPart[];
  readonly seams: readonly TriedSeam[];
  /** The finest that is seen from where it is looked at, in millimetres; 0 from close to. */
  readonly finest: number;
}

/** What a scene is made with besides its numbers. */
export interface TryOnContext {
  /** The laid repeat of a design. */
  readonly unitOf: (design: Design) => RepeatUnit;
}

/** What lengths of a scene are typed in: millimetres where no unit is given. */
export function tryOnScale({ resolution }: Pick<Design, 'resolution'>): MotifScale {
  return { step: ONE, pixel: pixelOf(resolution) };
}

/** @throws CoreError of the scene, its shapes and bends */
export function drawTryOn(design: Pick<Design, 'resolution'>, tryOn: TryOn): DrawnTryOn {
  const { scene, drawing } = drawScene(tryOn);
  const scale = tryOnScale(design);
  const parts = drawing.parts.map((part): SpecifiedPart => {
    const spec = partOf(tryOn, part.key);
    return {
      spec,
      drawn: drawPart(
        part,
        spec.bends?.map((bend) => readBend(bend, scale)),
      ),
    };
  });
  const person = tryOn.person === null ? undefined : parsePersonHeight(tryOn.person);
  return { scene, drawing, parts, person };
}

/** All that is drawn in ink of a scene. */
export function inkOf({ drawing, parts, person }: DrawnTryOn): WholeDrawing {
  const bare = parts.filter(({ spec }) => spec.cloth === null).map(({ drawn }) => drawn.part.key);
  return wholeDrawing(
    drawing,
    parts.map(({ drawn }) => drawn),
    person,
    new Set(bare),
  );
}

/** @throws CoreError as `drawTryOn` and `compile`; "lay/no-repeat" */
export function compileTryOn(design: Design, tryOn: TryOn, { unitOf }: TryOnContext): TriedScene {
  const drawn = drawTryOn(design, tryOn);
  const scale = tryOnScale(design);
  const cloths = new Map<PartSpec['cloth'], TriedCloth>();
  const clothOf = (cloth: PartSpec['cloth']): TriedCloth | undefined => {
    if (cloth === null) return undefined;
    const known = cloths.get(cloth);
    if (known !== undefined) return known;
    const used = cloth === 'design' ? design : tryOn.cloths[cloth]!.design;
    const made = triedCloth(cloth, used, unitOf(used));
    cloths.set(cloth, made);
    return made;
  };
  const parts = drawn.parts.map((each): TriedPart => {
    const { spec } = each;
    const { part } = each.drawn;
    const cloth = clothOf(spec.cloth);
    return {
      ...each,
      cloth,
      place: {
        scale: scaleOf(spec, part.box.width, cloth),
        degrees: (part.grain ?? 0) + toNumber(parseDegrees(spec.turn)),
        shift: { x: toNumber(parseWay(spec.shift.x, scale)), y: toNumber(parseWay(spec.shift.y, scale)) },
      },
      shading: toNumber(parseShading(spec.shading)),
    };
  });
  return {
    ...drawn,
    parts,
    seams: drawn.drawing.seams.map((seam) => ({ seam, fit: fitOf(seam, parts) })),
    finest: tryOn.seenFrom === null ? 0 : finestSeen(parseSeenFrom(tryOn.seenFrom)),
  };
}

/** A scene without any cloth. @throws CoreError of the scene and its shapes */
export function drawScene({ scene: key, numbers, letters, path }: TryOn): {
  readonly scene: Scene;
  readonly drawing: SceneDrawing;
} {
  const scene = sceneOf(key);
  const values = scene.numbers.map(({ key: name, usual }) => {
    const text = numbers[name];
    return [name, text === undefined ? usual : readSceneNumber(key, name, text)] as const;
  });
  return { scene, drawing: scene.draw(Object.fromEntries(values), { letters, path }) };
}

function triedCloth(cloth: TriedCloth['cloth'], design: Design, unit: RepeatUnit): TriedCloth {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const pitch = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const [one, other] = unit.lattice.map(({ x, y }) => ({
    x: toNumber(x) * pitch.x,
    y: toNumber(y) * pitch.y,
  }));
  return {
    cloth,
    design,
    unit,
    size: { x: surdToNumber(size.width), y: surdToNumber(size.height) },
    lattice: [one!, other!],
  };
}

function scaleOf({ scale }: PartSpec, width: number, cloth: TriedCloth | undefined): number {
  if (scale.to === 'factor') return toNumber(parseScale(scale.factor));
  const count = toNumber(parseRepeats(scale.count));
  return cloth === undefined ? 1 : width / (count * cloth.size.x);
}

function fitOf(seam: Seam, parts: readonly TriedPart[]): SeamFit | undefined {
  const [one, other] = seam.parts.map((key) => parts.find(({ drawn }) => drawn.part.key === key)!);
  const cloth = one!.cloth;
  if (cloth === undefined || other!.cloth?.cloth !== cloth.cloth) return undefined;
  const sewn = ({ drawn, place }: TriedPart) => ({ part: drawn.part, bends: drawn.bends, place });
  return seamFit(seam, sewn(one!), sewn(other!), cloth.lattice);
}
