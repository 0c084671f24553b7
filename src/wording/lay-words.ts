import { isBoxGroup } from '../core/design/lay/arrange.ts';
import type { LayOffers } from '../core/design/lay/lay-offers.ts';
import type { Arrangement, Lay } from '../core/design/lay/lay-schema.ts';
import { boxGroupName, sixtyGroupName } from './group-words.ts';

export const LAY_NAMES: Readonly<Record<Arrangement['kind'], string>> = {
  straight: 'Straight',
  'half-drop': 'Half-drop',
  brick: 'Brick',
  group: 'Mirrored or turned',
  free: 'By two ways',
};

export const OFFER_NAMES: Readonly<Record<LayOffers['kind'], string>> = {
  stepped: 'In steps',
  mirrored: 'Mirrored',
  turned: 'Turned',
  sixty: 'Sixths',
};

/** "Brick 1/2", "Mirrored both ways". */
export function layText(arrangement: Arrangement): string {
  if (arrangement.kind === 'group') {
    const { group, way } = arrangement;
    return isBoxGroup(group) ? boxGroupName(group, way) : sixtyGroupName(group);
  }
  return 'by' in arrangement
    ? `${LAY_NAMES[arrangement.kind]} ${arrangement.by}`
    : LAY_NAMES[arrangement.kind];
}

/** The same with what is done to the whole after: "Brick 1/2, scaled to 30%, on a slope". */
export function wholeLayText({ arrangement, scale, slope }: Lay): string {
  const parts = [layText(arrangement)];
  if (scale !== null) parts.push(scaleText(scale));
  if (slope !== null && slope.up !== 0) {
    parts.push(
      slope.asked === null ? `on a slope of ${slope.up}/${slope.across}` : `turned by about ${slope.asked}°`,
    );
  }
  return parts.join(', ');
}

function scaleText(scale: NonNullable<Lay['scale']>): string {
  switch (scale.to) {
    case 'factor':
      return `scaled by ${scale.factor}`;
    case 'width':
      return `${scale.width} wide`;
    case 'count':
      return `${scale.count} in ${scale.length}`;
    default:
      return scale satisfies never;
  }
}
