import type { RoutePlace, StrapCrossing } from './strap-net.ts';
import type { StrapWay } from './strap-way.ts';

/** Millimetres along a strap from a crossing to the ones before and after it; where none comes, to the strap's end. */
export interface PassageRoom {
  readonly before: number;
  readonly after: number;
}

/** The room of both passages of each crossing. */
export function passageRooms(
  crossings: readonly StrapCrossing[],
  routes: readonly (readonly RoutePlace[])[],
  ways: readonly StrapWay[],
): readonly (readonly [PassageRoom, PassageRoom])[] {
  const rooms = crossings.map((): [PassageRoom, PassageRoom] => [NO_ROOM, NO_ROOM]);
  for (const [strap, route] of routes.entries()) {
    const { length, strap: line } = ways[strap]!;
    const alongs = route.map(({ crossing, which }) => crossings[crossing]!.passages[which].along);
    const comesRound = line.comes !== null;
    for (const [at, { crossing, which }] of route.entries()) {
      const before = alongs[at - 1] ?? (comesRound ? alongs.at(-1)! - length : 0);
      const after = alongs[at + 1] ?? (comesRound ? alongs[0]! + length : length);
      rooms[crossing]![which] = { before: alongs[at]! - before, after: after - alongs[at]! };
    }
  }
  return rooms;
}

const NO_ROOM: PassageRoom = { before: 0, after: 0 };
