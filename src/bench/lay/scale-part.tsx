import { useEffect } from 'react';
import { parseRepeats, parseScale } from '../../core/design/lay/lay-numbers.ts';
import { type LayScale, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { toText } from '../../core/exact/rational.ts';
import { parseLength } from '../../core/units/length.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { keep, readKept } from '../../kit/kept/browser-store.ts';
import { lengthText, portionText } from '../../wording/measures.ts';
import { useDesign } from '../state/bench-store.ts';
import { FIRST_SCALES, type LastScales, putLay, scaleOfKind, withScale } from './lay-edits.ts';

const KINDS = [
  { value: 'built', text: 'As it was built' },
  { value: 'factor', text: 'By a factor' },
  { value: 'width', text: 'One repeat as wide as' },
  { value: 'count', text: 'So many repeats in a length' },
] as const;

const KEPT = 'vetro-last-scales';

function lastScales(): LastScales {
  try {
    return { ...FIRST_SCALES, ...(JSON.parse(readKept(KEPT) ?? '{}') as Partial<LastScales>) };
  } catch {
    return FIRST_SCALES;
  }
}

/** How large the whole is laid; what was typed last for each way is remembered. */
export function ScalePart({ hasLines }: { readonly hasLines: boolean }) {
  const { lay, resolution } = useDesign();
  const { scale } = lay;
  const pixel = pixelOf(resolution);
  useEffect(() => {
    if (scale !== null) keep(KEPT, JSON.stringify(withScale(lastScales(), scale)));
  }, [scale]);
  const put = (change: Partial<LayScale>, tag: string) =>
    putLay({ scale: { ...scale, ...change } as LayScale }, tag);
  const resolveLength = (text: string) =>
    `${lengthText(parseLength(text, 'mm', pixel), lay.unit)} ${lay.unit}`;
  return (
    <section aria-label="Size" className="flex flex-col gap-3 border-rule border-t pt-3">
      <SelectField
        label="Size"
        value={scale?.to ?? 'built'}
        options={KINDS}
        onChange={(to) =>
          putLay({ scale: to === 'built' ? null : scaleOfKind(to, lastScales(), scale?.lines ?? true) })
        }
      />
      {scale?.to === 'factor' && (
        <NumberField
          label="Factor"
          text={scale.factor}
          resolve={resolveFactor}
          onChange={(factor) => put({ factor: factor.trim() }, 'factor')}
        />
      )}
      {scale?.to === 'width' && (
        <NumberField
          label="Width of one repeat"
          text={scale.width}
          resolve={resolveLength}
          onChange={(width) => put({ width: width.trim() }, 'width')}
        />
      )}
      {scale?.to === 'count' && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Repeats"
            text={scale.count}
            resolve={(text) => toText(parseRepeats(text))}
            onChange={(count) => put({ count: count.trim() }, 'count')}
          />
          <NumberField
            label="In a length of"
            text={scale.length}
            resolve={resolveLength}
            onChange={(length) => put({ length: length.trim() }, 'length')}
          />
        </div>
      )}
      {scale !== null && hasLines && (
        <CheckField
          text="Lines and outlines get wider with it"
          on={scale.lines}
          onChange={(lines) => put({ lines }, 'lines')}
        />
      )}
    </section>
  );
}

function resolveFactor(text: string): string {
  const factor = parseScale(text);
  return portionText(factor, 3);
}
