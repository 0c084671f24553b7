import type { Bend } from '../../bend/bent-by.ts';
import { type Rational, toNumber } from '../../exact/rational.ts';
import { parseRepeats } from '../lay/lay-numbers.ts';
import { type MotifScale, parseDegrees, parseWay } from '../motif/motif-numbers.ts';
import { parsePart } from './try-on-numbers.ts';
import type { BendSpec } from './try-on-schema.ts';

/** A bend by its typed numbers. @throws CoreError of the numbers */
export function readBend(spec: BendSpec, scale: MotifScale): Bend {
  const way = (text: string) => toNumber(parseWay(text, scale));
  const number = (read: (text: string) => Rational, text: string) => toNumber(read(text));
  switch (spec.kind) {
    case 'arc':
      return { kind: 'arc', degrees: number(parseDegrees, spec.degrees) };
    case 'waist':
      return {
        kind: 'waist',
        share: number(parsePart, spec.share),
        at: number(parsePart, spec.at),
        reach: number(parsePart, spec.reach),
      };
    case 'ripple':
      return { kind: 'ripple', length: way(spec.length), height: way(spec.height) };
    case 'folds':
      return { kind: 'folds', count: number(parseRepeats, spec.count), depth: way(spec.depth) };
    case 'form':
      return {
        kind: 'form',
        across: number(parseDegrees, spec.across),
        up: number(parseDegrees, spec.up),
      };
    case 'perspective': {
      const [a, b, c, d] = spec.corners.map(({ x, y }) => ({ x: way(x), y: way(y) }));
      return { kind: 'perspective', corners: [a!, b!, c!, d!] };
    }
    default:
      return spec satisfies never;
  }
}

/** A bend of a scene as it is typed, to be changed. */
export function writeBend(bend: Bend): BendSpec {
  const text = (value: number) => String(Number(value.toFixed(2)));
  const way = (value: number) => `${text(value)} mm`;
  const part = (value: number) => `${text(100 * value)}%`;
  const angle = (value: number) => `${text(value)}°`;
  switch (bend.kind) {
    case 'arc':
      return { kind: 'arc', degrees: angle(bend.degrees) };
    case 'waist':
      return { kind: 'waist', share: part(bend.share), at: part(bend.at), reach: part(bend.reach) };
    case 'ripple':
      return { kind: 'ripple', length: way(bend.length), height: way(bend.height) };
    case 'folds':
      return { kind: 'folds', count: text(bend.count), depth: way(bend.depth) };
    case 'form':
      return { kind: 'form', across: angle(bend.across), up: angle(bend.up) };
    case 'perspective': {
      const [a, b, c, d] = bend.corners.map(({ x, y }) => ({ x: way(x), y: way(y) }));
      return { kind: 'perspective', corners: [a!, b!, c!, d!] };
    }
    default:
      return bend satisfies never;
  }
}
