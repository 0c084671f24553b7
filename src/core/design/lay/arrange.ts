import type { Rational } from '../../exact/rational.ts';
import { rational } from '../../exact/rational.ts';
import { type Arranged, byGroup, byWays, STRAIGHT } from '../../repeat/lay/arranged.ts';
import { BOX_GROUPS, type BoxGroup } from '../../repeat/lay/group-blocks.ts';
import { parseStepPart } from './lay-numbers.ts';
import type { Arrangement } from './lay-schema.ts';

type Read = (text: string, axis: 'x' | 'y') => Rational;

/** Reads what boxes lie by. */
export interface InBoxes {
  /** A way across or up, in boxes. */
  readonly way: Read;
  /** The part of a box by which one steps; left out, as it is typed. */
  readonly part?: Read;
}

/** How boxes lie by an arrangement. @throws CoreError "lay/parallel", "lay/part", or of a way's text */
export function arrange(arrangement: Arrangement, { way: wayIn, part = parseStepPart }: InBoxes): Arranged {
  const one = rational(1);
  const none = rational(0);
  switch (arrangement.kind) {
    case 'straight':
      return STRAIGHT;
    case 'half-drop':
      return byWays({ x: one, y: part(arrangement.by, 'y') }, { x: none, y: one });
    case 'brick':
      return byWays({ x: one, y: none }, { x: part(arrangement.by, 'x'), y: one });
    case 'group': {
      const { group, way } = arrangement;
      return isBoxGroup(group) ? byGroup(group, way) : { kind: 'sixty', group };
    }
    case 'free': {
      const vector = ({ x, y }: (typeof arrangement)['up']) => ({ x: wayIn(x, 'x'), y: wayIn(y, 'y') });
      return byWays(vector(arrangement.across), vector(arrangement.up));
    }
    default:
      return arrangement satisfies never;
  }
}

export function isBoxGroup(group: string): group is BoxGroup {
  return (BOX_GROUPS as readonly string[]).includes(group);
}
