import { type Rational, toDecimal, toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { isSeen } from '../../repeat/plies/is-seen.ts';
import { nearSize, type Plies, type Ply, type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import type { Drawing } from './drawing.ts';
import { lengthText, PLACES } from './length-text.ts';
import { drawPattern, shapesNamed, stepText } from './pattern-svg.ts';

/** Draws one ply by itself. */
export type DrawUnit = (unit: RepeatUnit) => Drawing;

/**
 * Plies over each other, in millimetres of the common repeat: each a group with its blend mode and its opacity, filled with
 * its own repeat as a pattern, and masked by the ply that it is clipped to. One that fills the common repeat once is drawn
 * as it is.
 */
export function* drawPlies(unit: RepeatUnit<Plies>, draw: DrawUnit): Iterable<string> {
  const size = nearSize(repeatSize(unit)!);
  const box = `width="${toDecimal(size.width, PLACES)}" height="${toDecimal(size.height, PLACES)}"`;
  const { plies } = unit.content;
  const asPattern = plies.map((ply, at) => !isPlain(ply) || plies.some(({ clip }) => clip === at));
  for (const [at, ply] of plies.entries()) {
    if (asPattern[at] && isSeen(plies, at)) yield* pattern(ply, at, { height: size.height, draw });
  }
  yield '<g style="isolation:isolate">\n';
  for (const [at, ply] of plies.entries()) {
    if (!ply.shown) continue;
    const { clip } = ply;
    if (clip !== null) {
      yield `<mask id="clip-${at}" mask-type="alpha" maskUnits="userSpaceOnUse" x="0" y="0" ${box}>` +
        `<rect ${box} fill="url(#ply-${clip})"/></mask>\n`;
    }
    yield `<g${look(ply)}${clip === null ? '' : ` mask="url(#clip-${at})"`}>\n`;
    if (asPattern[at]) yield `<rect ${box} fill="url(#ply-${at})"/>\n`;
    else yield* inMillimetres(draw(ply.unit), at);
    yield '</g>\n';
  }
  yield '</g>\n';
}

/** Whether it fills the common repeat once, as it lies. */
function isPlain({ times, shift }: Ply): boolean {
  return times.across === 1 && times.down === 1 && surdToNumber(shift.x) === 0 && surdToNumber(shift.y) === 0;
}

function look({ blend, strength }: Ply): string {
  const mode = blend === 'normal' ? '' : ` style="mix-blend-mode:${blend}"`;
  const part = toNumber(strength);
  return part === 1 ? mode : `${mode} opacity="${lengthText(part)}"`;
}

/** One repeat of a ply, in its own steps, where the lower left of the common one is moved to. */
function pattern(
  { unit, shift }: Ply,
  at: number,
  { height, draw }: { readonly height: Rational; readonly draw: DrawUnit },
): Iterable<string> {
  const low = toNumber(height) - surdToNumber(repeatSize(unit)!.height);
  const x = surdToNumber(shift.x);
  const y = low - surdToNumber(shift.y);
  return drawPattern(draw(unit), {
    id: `ply-${at}`,
    transform: `translate(${lengthText(x)} ${lengthText(y)})`,
    names: `p${at}`,
  });
}

/** A drawing of which one repeat is the common one. */
function* inMillimetres(drawing: Drawing, at: number): Iterable<string> {
  yield `<g transform="scale(${stepText(drawing)})">\n`;
  yield* shapesNamed(drawing, `p${at}`);
  yield '</g>\n';
}
