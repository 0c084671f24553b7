import type { ByKind } from './constructions.ts';
import type { Design, DesignOf } from './design-schema.ts';

/** For what only a design of one construction is asked for. */
export function asKind<K extends keyof ByKind>(kind: K, design: Design): DesignOf<ByKind[K]> {
  const { construction } = design;
  if (construction.kind !== kind) throw new Error(`expected a ${kind}, got a ${construction.kind}`);
  return design as unknown as DesignOf<ByKind[K]>;
}

/** Whether a design is of one construction. */
export function isKind<K extends keyof ByKind>(kind: K, design: Design): design is DesignOf<ByKind[K]> {
  return design.construction.kind === kind;
}
