import { nearSlopes } from '../src/core/exact/near-slopes.ts';
import { line, race } from './timing.ts';

/** The slopes near an angle whose square repeat has up to 10⁶ threads, one thread a period, against a plain loop. */
const MOST = 1_000_000;
const DEGREES = 35;

/** For every run the nearest rise; those that come nearer than all before. */
function plainly(): readonly (readonly [rise: number, run: number])[] {
  const tangent = Math.tan((DEGREES * Math.PI) / 180);
  const found: [number, number][] = [];
  let best = Number.POSITIVE_INFINITY;
  for (let run = 1; run <= MOST; run += 1) {
    const rise = Math.round(run * tangent);
    const error = Math.abs((Math.atan2(rise, run) * 180) / Math.PI - DEGREES);
    if (error < best - 8e-14) {
      best = error;
      found.push([rise, run]);
    }
  }
  return found;
}

const tried = plainly().at(-1)!;
const { slope } = nearSlopes(DEGREES, MOST).at(-1)!;
if (slope.rise !== tried[0] || slope.run !== tried[1]) {
  throw new Error(`expected ${tried.join('/')}, got ${slope.rise}/${slope.run}`);
}
const times = race(5, { ours: () => nearSlopes(DEGREES, MOST), plainly });
console.log(`\nSlopes near ${DEGREES}° up to ${MOST} threads (${times.ours.toFixed(3)} ms)`);
line('times faster than a plain loop over all of them', times.plainly / times.ours, 'at least 100');
