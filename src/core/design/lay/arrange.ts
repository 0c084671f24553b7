import type { Rational } from '../../exact/rational.ts';
import { rational } from '../../exact/rational.ts';
import { type Arranged, byGroup, byWays, STRAIGHT } from '../../repeat/lay/arranged.ts';
import { BOX_GROUPS, type BoxGroup } from '../../repeat/lay/group-blocks.ts';
import { parseStepPart } from './lay-numbers.ts';
import type { Arrangement } from './lay-schema.ts';

/** Reads a way across or up, in boxes. */
export type InBoxes = (text: string, axis: 'x' | 'y') => Rational;

/** How boxes lie by an arrangement. @throws CoreError "lay/parallel", "lay/part", or of a way's text */
export function arrange(arrangement: Arrangement, inBoxes: InBoxes): Arranged {
  const one = rational(1);
  const none = rational(0);
  switch (arrangement.kind) {
    case 'straight':
      return STRAIGHT;
    case 'half-drop':
      return byWays({ x: one, y: parseStepPart(arrangement.by) }, { x: none, y: one });
    case 'brick':
      return byWays({ x: one, y: none }, { x: parseStepPart(arrangement.by), y: one });
    case 'group': {
      const { group, way } = arrangement;
      return isBoxGroup(group) ? byGroup(group, way) : { kind: 'sixty', group };
    }
    case 'free': {
      const vector = ({ x, y }: (typeof arrangement)['up']) => ({ x: inBoxes(x, 'x'), y: inBoxes(y, 'y') });
      return byWays(vector(arrangement.across), vector(arrangement.up));
    }
    default:
      return arrangement satisfies never;
  }
}

export function isBoxGroup(group: string): group is BoxGroup {
  return (BOX_GROUPS as readonly string[]).includes(group);
}
