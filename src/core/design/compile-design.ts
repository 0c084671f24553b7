import { CoreError } from '../error.ts';
import type { Vector } from '../exact/vector.ts';
import { type RepeatUnit, straightUnit } from '../repeat/repeat-unit.ts';
import { parseDensity, threadPitch } from '../units/density.ts';
import type { Design, Lay } from './design-schema.ts';
import { compilePlaid } from './plaid/compile-plaid.ts';

/**
 * The exact repeat of a design: the one way from its numbers to anything that is shown, checked or sent.
 * @throws CoreError of the construction
 */
export function compile({ construction, shades, lay }: Design): RepeatUnit {
  switch (construction.kind) {
    case 'plaid':
      return straightUnit(compilePlaid(construction, shades), pitchOf(lay));
    default:
      throw new CoreError('design/construction', { kind: construction.kind satisfies never });
  }
}

/** Millimetres of one thread, across and up. */
export function pitchOf({ ends, picks, per }: Lay): Vector {
  return { x: threadPitch(parseDensity(ends), per), y: threadPitch(parseDensity(picks), per) };
}
