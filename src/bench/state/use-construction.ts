import type { ByKind } from '../../core/design/constructions.ts';
import type { DesignOf } from '../../core/design/design-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { useDesign } from './bench-store.ts';

/** The design on the bench, for parts that only one construction has. */
export function useDesignOf<K extends keyof ByKind>(kind: K): DesignOf<ByKind[K]> {
  return asKind(kind, useDesign());
}
