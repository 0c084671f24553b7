import { useState } from 'react';
import type { MotifFacts } from '../../core/design/motif/motif-facts.ts';
import { type Rational, toNumber } from '../../core/exact/rational.ts';
import { parseLength } from '../../core/units/length.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { keep, readKept } from '../../kit/kept/browser-store.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { lengthText } from '../../wording/measures.ts';

/** Under which the browser keeps what the person's printer or cutter can do. */
const KEPT = 'vetro-finest';
const USUAL = '0.3 mm';

interface FinestPartProps {
  readonly facts: Pick<MotifFacts, 'smallestWidth' | 'smallestGap'>;
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
}

/** What is too fine to be printed or cut, and whether anything of the motif is. */
export function FinestPart({ facts, pixel }: FinestPartProps) {
  const read = (text: string) => parseLength(text, 'mm', pixel);
  const [finest, setFinest] = useState(() => readKept(KEPT) ?? USUAL);
  const least = toNumber(valueIfAny(() => read(finest)) ?? read(USUAL));
  const { smallestWidth, smallestGap } = facts;
  const fine = [
    ['width', smallestWidth],
    ['gap', smallestGap],
  ].filter(([, length]) => typeof length === 'number' && length < least);
  return (
    <>
      <NumberField
        label="Too fine to print or cut below"
        text={finest}
        resolve={(text) => `${lengthText(read(text), 'mm')} mm`}
        onChange={(text) => {
          setFinest(text.trim());
          keep(KEPT, text.trim());
        }}
      />
      <p className={fine.length > 0 ? 'text-[13px] text-madder' : 'hint'} aria-live="polite">
        {fine.length > 0
          ? `Too fine: the smallest ${fine.map(([name]) => name).join(' and the smallest ')}. Make it wider, or the step larger.`
          : 'Nothing is finer.'}
      </p>
    </>
  );
}
