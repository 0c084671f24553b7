import type { Doubling, StrapReport } from '../core/design/strap/strap-report.ts';
import type { Straps } from '../core/design/strap/strap-schema.ts';
import type { StrapCells } from '../core/shape/straps/strap-cells.ts';
import type { StrapFlaw } from '../core/shape/straps/strap-net.ts';
import { plural } from './measures.ts';

const DOUBLED: Readonly<Record<Doubling, string>> = {
  across: 'two boxes side by side',
  up: 'two boxes one above the other',
  diagonal: 'two boxes, each row moved by one',
};

/** How many boxes repeat together. */
export function cellsText({ across, shift, up }: StrapCells): string {
  if (across * up === 1) return 'one box';
  if (across * up === 2) return DOUBLED[shift === 1 ? 'diagonal' : across === 2 ? 'across' : 'up'];
  const boxes = up === 1 ? `${across} boxes` : `${across} × ${up} boxes`;
  return shift === 0 ? boxes : `${boxes}, each row moved by ${shift}`;
}

export function orderText({ order }: Pick<Straps, 'order'>): string {
  switch (order.by) {
    case 'turns':
      return 'over and under in turn';
    case 'family':
      return 'one family over the other';
    case 'twill':
      return order.over === 1 && order.under === 1 ? 'plain weave' : `twill ${order.over}/${order.under}`;
    case 'basket':
      return `basket of ${order.straps}`;
    default:
      return order satisfies never;
  }
}

const FLAWS: Readonly<Record<StrapFlaw['kind'], string>> = {
  touch: 'straps touch and turn back',
  end: 'a strap ends on another, or several ends meet',
  three: 'three or more straps come through one place',
  along: 'straps lie along each other',
  close: 'crossings are nearer to each other than the straps are wide',
};

/** What is no crossing, each kind once, with the first place in millimetres. */
function flawLines(flaws: readonly StrapFlaw[]): readonly string[] {
  return (Object.keys(FLAWS) as StrapFlaw['kind'][]).flatMap((kind) => {
    const some = flaws.filter((flaw) => flaw.kind === kind);
    const [first] = some;
    if (first === undefined) return [];
    const at = `${first.at.x.toFixed(1)}, ${first.at.y.toFixed(1)} mm`;
    return [
      `At ${plural(some.length, 'place')} ${FLAWS[kind]}, first at ${at}: ${kind === 'close' ? 'make the straps narrower' : 'neither goes over the other there'}.`,
    ];
  });
}

/** Which order straps follow, in which boxes. */
export type StrapOrdering = Pick<Straps, 'order' | 'cells'> & Partial<Pick<Straps, 'turned'>>;

/** Whether the order comes out, and what to do where it does not. */
function keptText(report: StrapReport, straps: StrapOrdering): string {
  if (report.crossings.length === 0) return 'No straps cross.';
  const order = orderText(straps);
  if (report.kept) {
    const turned = straps.turned?.length ?? 0;
    return turned === 0
      ? `Every crossing follows ${order}.`
      : `All but ${plural(turned, 'crossing')} turned by hand follow ${order}.`;
  }
  const { needs } = report;
  if (needs === null)
    return `It cannot be ${order} all round: a strap ends between others. Some go over twice.`;
  const { becomes } = report;
  const size = becomes === undefined ? '' : `, a repeat of ${mm(becomes.width)} × ${mm(becomes.height)} mm`;
  return `In ${cellsText(straps.cells)} it cannot be ${order} all round; ${cellsText(needs)} make it so${size}.`;
}

function mm(length: number): string {
  return String(Number(length.toFixed(2)));
}

/** Whether straps hold each other, as in a cloth. */
function hangText({ straps, crossings, layers }: StrapReport): string {
  if (crossings.length === 0) return 'Nothing holds the straps together.';
  if (layers.length === 1) return 'The straps hang together.';
  const free = straps.filter(({ crossings: met, overs }) => met > 0 && overs === met).length;
  const never = free === 0 ? '' : ` ${plural(free, 'strap')} never ${free === 1 ? 'goes' : 'go'} under.`;
  return `The straps fall apart into ${layers.length} parts.${never}`;
}

/** All of it in lines. */
export function strapLines(report: StrapReport, straps: StrapOrdering): readonly string[] {
  const { straps: all, crossings } = report;
  return [
    `Straps: ${all.length}, which cross ${crossings.length} ${crossings.length === 1 ? 'time' : 'times'} in ${cellsText(straps.cells)}.`,
    keptText(report, straps),
    hangText(report),
    ...flawLines(report.flaws),
  ];
}
