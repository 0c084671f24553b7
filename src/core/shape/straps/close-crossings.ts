import type { StrapFlaw, StrapNet } from './strap-net.ts';
import type { StrapStyle } from './strap-style.ts';
import { placeAlong } from './strap-way.ts';
import { underPass } from './under-cut.ts';

/** Where two crossings that follow each other along a strap leave no room between the straps that cross it there. */
export function closeCrossings(net: StrapNet, styles: readonly StrapStyle[]): readonly StrapFlaw[] {
  return net.routes.flatMap((route, strap) => {
    const way = net.ways[strap]!;
    const places = route.map(({ crossing, which }) => {
      const { sine } = underPass(net, { crossing, which, round: 0, step: [0, 0] });
      const { passages } = net.crossings[crossing]!;
      const other = styles[net.straps[passages[which === 0 ? 1 : 0].strap]!.style]!;
      return { along: passages[which].along, half: other.width / 2 / Math.abs(sine) };
    });
    return places.flatMap((one, at): readonly StrapFlaw[] => {
      const isLast = at + 1 === places.length;
      if (places.length === 1 || (isLast && way.strap.comes === null)) return [];
      const next = places[isLast ? 0 : at + 1]!;
      const end = next.along + (isLast ? way.length : 0);
      if (one.half + next.half <= end - one.along) return [];
      return [{ kind: 'close', at: placeAlong(way, (one.along + end) / 2, net.torus) }];
    });
  });
}
