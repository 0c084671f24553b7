import type { Straps } from '../../core/design/strap/strap-schema.ts';

type Turned = Straps['turned'];

/** The list of turned crossings with one more, or without it where it is turned already. */
export function withTurned(turned: Turned, name: Turned[number]): Turned {
  const others = turned.filter((each) => !isSame(each, name));
  return others.length === turned.length ? [...turned, name] : others;
}

export function isSame(one: Turned[number], other: Turned[number]): boolean {
  return (
    one.piece === other.piece && one.line === other.line && one.pass === other.pass && one.cell === other.cell
  );
}
