import type { Design } from '../../core/design/design-schema.ts';
import { asContent } from '../../core/design/plies/lay-over.ts';
import { writeBend } from '../../core/design/try-on/read-bend.ts';
import {
  type BendSpec,
  type ClothSpec,
  MOST_CLOTHS,
  type PartSpec,
  type TryOn,
} from '../../core/design/try-on/try-on-schema.ts';
import { FIRST_SCENE, partOf, usualTryOn } from '../../core/design/try-on/usual-try-on.ts';
import type { ScenePart } from '../../core/scene/scene.ts';
import type { Edit } from '../state/design-edits.ts';

/** What a design is tried on, or would be first. */
export function tryOnOf({ tryOn }: Pick<Design, 'tryOn'>): TryOn {
  return tryOn ?? FIRST;
}

const FIRST = usualTryOn(FIRST_SCENE);

/** Changes the scene; the design is the same where nothing of it is new. */
export function changingTryOn(change: (tryOn: TryOn) => Partial<TryOn>): Edit {
  return (design) => {
    const before = tryOnOf(design);
    const tryOn = { ...before, ...change(before) };
    return JSON.stringify(tryOn) === JSON.stringify(design.tryOn) ? design : { ...design, tryOn };
  };
}

/** Another scene, with the same designs at hand, the same person and the same distance; its parts begin anew. */
export function setScene(scene: string): Edit {
  return changingTryOn(({ cloths, letters, path, person, seenFrom }) => ({
    ...usualTryOn(scene),
    cloths,
    letters,
    path,
    person,
    seenFrom,
  }));
}

/** A number as it was typed; one that is the usual again is no longer held. */
export function setSceneNumber(key: string, text: string, usual: number): Edit {
  return changingTryOn(({ numbers }) => {
    const { [key]: _, ...others } = numbers;
    const isUsual = text.replace(/\s*mm$/, '') === String(usual);
    return { numbers: isUsual ? others : { ...others, [key]: text } };
  });
}

/** Changes some parts. */
export function changeParts(keys: readonly string[], change: (part: PartSpec) => Partial<PartSpec>): Edit {
  return changingTryOn((tryOn) => ({
    parts: {
      ...tryOn.parts,
      ...Object.fromEntries(
        keys.map((key) => {
          const part = partOf(tryOn, key);
          return [key, { ...part, ...change(part) }];
        }),
      ),
    },
  }));
}

/** A part as it was before anything was said of it. */
export function resetPart(key: string): Edit {
  return changingTryOn(({ parts }) => {
    const { [key]: _, ...others } = parts;
    return { parts: others };
  });
}

/** The bends that a part has, those of its scene too. */
export function bendsOf(tryOn: TryOn, { key, bends = [] }: ScenePart): readonly BendSpec[] {
  return partOf(tryOn, key).bends ?? bends.map(writeBend);
}

/** Changes the bends of a part; those of its scene become its own. */
export function changeBends(
  part: ScenePart,
  change: (bends: readonly BendSpec[]) => readonly BendSpec[],
): Edit {
  return (design) => {
    const bends = change(bendsOf(tryOnOf(design), part));
    return changeParts([part.key], () => ({ bends: [...bends] }))(design);
  };
}

/** A design on some parts: one that the scene holds already is not taken twice. */
export function putCloth(
  keys: readonly string[],
  design: Design,
  from: NonNullable<ClothSpec['from']>,
): Edit {
  return (onBench) => {
    const { cloths } = tryOnOf(onBench);
    const known = cloths.findIndex((each) => each.from?.id === from.id);
    const at = known >= 0 ? known : cloths.length;
    if (at >= MOST_CLOTHS) return onBench;
    const taken = { design: asContent(design), from };
    const held = changingTryOn(() => ({
      cloths: known >= 0 ? cloths.with(at, taken) : [...cloths, taken],
    }))(onBench);
    return changeParts(keys, () => ({ cloth: at }))(withPictures(held, design));
  };
}

/** A design of the scene as it stands on the shelf now. */
export function takeNewerCloth(at: number, design: Design, from: NonNullable<ClothSpec['from']>): Edit {
  return (onBench) =>
    withPictures(
      changingTryOn(({ cloths }) => ({ cloths: cloths.with(at, { design: asContent(design), from }) }))(
        onBench,
      ),
      design,
    );
}

/** The pictures of another design lie with those of the whole. */
function withPictures(onBench: Design, { pictures }: Design): Design {
  return Object.keys(pictures).length === 0
    ? onBench
    : { ...onBench, pictures: { ...pictures, ...onBench.pictures } };
}

/** A design of the scene is taken out; parts that had it show the design itself. */
export function removeCloth(gone: number): Edit {
  return changingTryOn(({ cloths, parts }) => ({
    cloths: cloths.filter((_, at) => at !== gone),
    parts: Object.fromEntries(
      Object.entries(parts).map(([key, part]) => [key, { ...part, cloth: withoutCloth(part.cloth, gone) }]),
    ),
  }));
}

function withoutCloth(cloth: PartSpec['cloth'], gone: number): PartSpec['cloth'] {
  if (typeof cloth !== 'number') return cloth;
  return cloth === gone ? 'design' : cloth > gone ? cloth - 1 : cloth;
}

/** What each of several designs looks like in the same scene: that one in the place of the design itself. */
export function inEachDesign(design: Design): readonly { readonly name: string; readonly design: Design }[] {
  const tryOn = tryOnOf(design);
  const others = tryOn.cloths.map((cloth) => ({
    name: cloth.design.name,
    design: { ...cloth.design, tryOn, pictures: design.pictures },
  }));
  return [{ name: design.name, design: { ...design, tryOn } }, ...others];
}

/** How a scene may be seen: alone, or side by side where there is more than one to see. */
export function waysToSee({ colourways, tryOn }: Design): readonly Beside[] {
  return [
    'one',
    ...(colourways.length > 0 ? (['colourways'] as const) : []),
    ...((tryOn?.cloths ?? []).length > 0 ? (['designs'] as const) : []),
  ];
}

export type Beside = 'one' | 'colourways' | 'designs';
