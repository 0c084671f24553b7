import type { ShadePath } from './construction.ts';
import { type Construction, kindFor } from './constructions.ts';

/** Where a construction names a shade. */
export interface ShadeUse {
  /** From the construction down. */
  readonly path: ShadePath;
  readonly key: string;
}

/** Every place where a shade is named, those of a weft that rests included. */
export function shadesUsed(construction: Construction): readonly ShadeUse[] {
  const used: ShadeUse[] = [];
  kindFor(construction).mapShades(construction, (key, path) => {
    used.push({ path, key });
    return key;
  });
  return used;
}

/** The same construction with one shade in the place of another. */
export function withShadeReplaced<C extends Construction>(construction: C, from: string, to: string): C {
  return kindFor(construction).mapShades(construction, (key) => (key === from ? to : key));
}
