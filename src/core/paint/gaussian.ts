/**
 * Shares of a Gaussian's light that whole pixels take, from so many on one side of the middle to as many on the other:
 * its integral over each, to three standard deviations, adding up to 1.
 *
 * @param deviation  in pixels, above 0
 * @returns          an odd number of weights
 */
export function gaussianWeights(deviation: number): Float64Array {
  const reach = Math.ceil(3 * deviation);
  const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, at) => {
    const from = (at - reach - 0.5) / deviation;
    const to = (at - reach + 0.5) / deviation;
    return integral(from, to);
  });
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / whole);
}

/** Steps of Simpson's rule over one pixel. */
const STEPS = 16;

/** Of exp(−x²/2), by Simpson's rule. */
function integral(from: number, to: number): number {
  const step = (to - from) / STEPS;
  const at = (place: number) => Math.exp(-((from + place * step) ** 2) / 2);
  let sum = at(0) + at(STEPS);
  for (let place = 1; place < STEPS; place += 1) sum += at(place) * (place % 2 === 1 ? 4 : 2);
  return (sum * step) / 3;
}
