import type { ByKind, Construction } from '../../core/design/constructions.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { Lay } from '../../core/design/lay/lay-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';

/** What the bench does to a design: each takes it and gives it changed, or the same object when nothing is. */
export type Edit = (design: Design) => Design;

/** The design with another construction; the same design when nothing of it is new. */
export function withConstruction(design: Design, construction: Construction): Design {
  const same =
    construction === design.construction ||
    JSON.stringify(construction) === JSON.stringify(design.construction);
  return same ? design : { ...design, construction };
}

/** Changes what a design of one construction is; the same design when nothing of it is new. */
export function changing<K extends keyof ByKind>(
  kind: K,
  change: (construction: ByKind[K]) => Partial<ByKind[K]>,
): Edit {
  return (design) => {
    const { construction } = asKind(kind, design);
    return withConstruction(design, { ...construction, ...change(construction) });
  };
}

export function setResolution(resolution: string): Edit {
  return (design) => (design.resolution === resolution ? design : { ...design, resolution });
}

export function setLay(change: Partial<Lay>): Edit {
  return (design) => ({ ...design, lay: { ...design.lay, ...change } });
}
