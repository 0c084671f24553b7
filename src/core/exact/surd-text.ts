import { CoreError } from '../error.ts';
import { multiply, rational } from './rational.ts';
import { addSurds, root, type Surd, ZERO_SURD } from './surd.ts';
/** "1 + √2", "3/2 − √3/6": the exact form, for people and documents. `parseSurd` reads it back. */
export function surdText({ terms }: Surd): string {
  if (terms.length === 0) return '0';
  return terms
    .map(({ coefficient: { n, d }, radicand }, at) => {
      const size = n < 0n ? -n : n;
      const root = radicand === 1n ? '' : `√${radicand}`;
      const top = size === 1n && root !== '' ? root : `${size}${root}`;
      const sign = n < 0n ? (at === 0 ? '−' : ' − ') : at === 0 ? '' : ' + ';
      return `${sign}${top}${d === 1n ? '' : `/${d}`}`;
    })
    .join('');
}

/**
 * Reads "1 + √2", "3/2 − √3/6", "12".
 * @throws CoreError "number/surd" {text}
 */
export function parseSurd(text: string): Surd {
  const plain = text.replace(/\s+/g, '').replaceAll('-', '−');
  const term = /([+−]?)(\d{1,40})?(?:√(\d{1,15}))?(?:\/(\d{1,40}))?/y;
  let sum = ZERO_SURD;
  while (term.lastIndex < plain.length || plain === '') {
    const first = term.lastIndex === 0;
    const [all = '', sign, top, radicand, bottom] = term.exec(plain) ?? [];
    const isTerm = top !== undefined || radicand !== undefined;
    if (all === '' || !isTerm || (!first && sign === '') || radicand === '0' || /^0+$/.test(bottom ?? '1')) {
      throw new CoreError('number/surd', { text: text.slice(0, 80) });
    }
    const size = rational(BigInt(top ?? 1), BigInt(bottom ?? 1));
    const signed = sign === '−' ? multiply(size, rational(-1)) : size;
    sum = addSurds(sum, root(signed, Number(radicand ?? 1)));
  }
  return sum;
}
