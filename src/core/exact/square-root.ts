import { type Rational, rational } from './rational.ts';
import {
  addSurds,
  divideSurds,
  equalSurds,
  multiplySurds,
  negateSurd,
  root,
  type Surd,
  scaleSurd,
  signOf,
  smallestPrime,
  subtractSurds,
  surd,
  ZERO_SURD,
} from './surd.ts';
import { wholeRoot } from './whole-root.ts';

/** Largest number under a root that square factors are looked for in, and largest new radicand inside a nested root. */
const MAX_RADICAND = { alone: 2n ** 52n, nested: 2n ** 20n } as const;

/**
 * The square root of a surd that is a sum of square roots itself, such as √(8 + 4√3) = √2 + √6.
 *
 * With a prime p of its radicands, the value is a + b√p. A root u + v√p has u² + v²p = a and 2uv = b, so u² is
 * (a ± √(a² − b²p))/2: roots of numbers with a prime fewer. A root has one new radicand at most, all its terms sharing it,
 * so √(a² − b²p) has none. Source: the usual way to take nested roots apart, from memory.
 *
 * @returns undefined where the value is below 0 or has no such root
 */
export function squareRoot(value: Surd): Surd | undefined {
  if (signOf(value) < 0) return undefined;
  const found = anyRoot(value, false);
  if (found === undefined || !equalSurds(multiplySurds(found, found), value)) return undefined;
  return signOf(found) < 0 ? negateSurd(found) : found;
}

function anyRoot(value: Surd, nested: boolean): Surd | undefined {
  const last = value.terms.at(-1);
  if (last === undefined) return ZERO_SURD;
  if (last.radicand === 1n) return rootOfFraction(last.coefficient, nested);
  const prime = smallestPrime(last.radicand);
  const [a, b] = partsBy(value, prime);
  const square = subtractSurds(multiplySurds(a, a), scaleSurd(multiplySurds(b, b), rational(prime)));
  const rest = signOf(square) < 0 ? undefined : anyRoot(square, true);
  if (rest === undefined || !isWithin(rest, [a, b])) return undefined;
  for (const half of [addSurds(a, rest), subtractSurds(a, rest)]) {
    const u = signOf(half) > 0 ? anyRoot(scaleSurd(half, rational(1, 2)), true) : undefined;
    if (u === undefined) continue;
    const v = scaleSurd(divideSurds(b, u), rational(1, 2));
    const found = addSurds(u, multiplySurds(v, root(rational(1), Number(prime))));
    if (equalSurds(multiplySurds(found, found), value)) return found;
  }
  return undefined;
}

/** Whether a surd has no primes under its roots but those of others. */
function isWithin(one: Surd, others: readonly Surd[]): boolean {
  const all = others.flatMap(({ terms }) => terms).reduce((product, { radicand }) => product * radicand, 1n);
  return one.terms.every(({ radicand }) => all % radicand === 0n);
}

/** √(n/d) = √(nd)/d. */
function rootOfFraction({ n, d }: Rational, nested: boolean): Surd | undefined {
  if (n < 0n) return undefined;
  const whole = wholeRoot(n * d);
  if (whole * whole === n * d) return surd(rational(whole, d));
  if (n * d > MAX_RADICAND.alone) return undefined;
  const found = root(rational(1n, d), Number(n * d));
  return nested && found.terms[0]!.radicand > MAX_RADICAND.nested ? undefined : found;
}

/** The parts a and b of a + b√p, neither having the prime p in a radicand. */
function partsBy({ terms }: Surd, prime: bigint): readonly [Surd, Surd] {
  return [
    { terms: terms.filter(({ radicand }) => radicand % prime !== 0n) },
    {
      terms: terms
        .filter(({ radicand }) => radicand % prime === 0n)
        .map(({ coefficient, radicand }) => ({ coefficient, radicand: radicand / prime })),
    },
  ];
}
