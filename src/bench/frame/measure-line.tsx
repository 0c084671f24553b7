import type { ReactNode } from 'react';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import { multiply, rational, toDecimal } from '../../core/exact/rational.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { VerdictMark } from '../../kit/verdict-mark.tsx';
import { lengthText, sizeText } from '../../wording/measures.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { isCheckDue, isMadeAlike, verdictOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { PROOF_NAMES } from './proof-names.ts';
import { ViewControls } from './view-controls.tsx';

/**
 * The one line under the cloth: repeat in threads, length and pixels, and the verdict.
 * @param looking  whether the cloth is in view, with its zoom to show and to set
 */
export function MeasureLine({ looking }: { looking: boolean }) {
  const present = useDesign();
  const repeat = useCloth((cloth) => cloth.repeat);
  const measured = useCloth((cloth) => cloth.measured);
  const checked = useBenchState((state) => state.checked);
  const isDue = useBenchState(isCheckDue);
  const verdict = useBenchState(verdictOf);
  const perEnd = useCloth((cloth) => cloth.camera?.perEnd);
  const proof = useCloth((cloth) => cloth.proof);
  const behind = useCloth((cloth) => cloth.behind);
  const woven = wovenOf(present) !== undefined;
  // Each figure is told in the words of the design that it was found of.
  const threads = measured !== undefined && inThreads(measured) ? measured.lay : undefined;
  const size = checked !== undefined && !inThreads(checked.design) ? checked.report.size : undefined;
  const tile = checked?.report.pixels.fits[0];
  return (
    <section
      aria-label="Measures"
      className="numbers flex min-h-[38px] min-w-0 items-center gap-4 whitespace-nowrap border-rule border-t bg-paper px-4"
    >
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4 py-1">
        {repeat !== undefined && threads !== undefined && (
          <>
            <Finding of={measured!}>
              <span className="mr-1.5 font-text text-ash">Repeat</span>
              {repeat.ends} ends × {repeat.picks} picks
            </Finding>
            <Finding of={measured!}>
              {lengthText(multiply(rational(repeat.ends), pitchOf(threads).x), threads.unit)} ×{' '}
              {lengthText(multiply(rational(repeat.picks), pitchOf(threads).y), threads.unit)} {threads.unit}
            </Finding>
          </>
        )}
        {size && (
          <Finding of={checked!.design}>
            <span className="mr-1.5 font-text text-ash">Repeat</span>
            {sizeText(size, checked!.design.lay.unit)}
          </Finding>
        )}
        {tile !== undefined && (
          <Finding of={checked!.design}>
            {tile.width} × {tile.height} px{' '}
            <span className="font-text text-ash">
              at {toDecimal(parseResolution(checked!.design.resolution), 2)} dpi
            </span>
          </Finding>
        )}
        <span aria-live="polite" aria-busy={isDue} className="found flex items-center font-text text-[14px]">
          {verdict !== undefined && <VerdictMark verdict={verdict} />}
        </span>
      </div>
      {looking && behind && woven && <span className="font-text text-weld">From behind</span>}
      {looking && proof !== 'none' && (
        <span className="font-text text-weld">Proof: {PROOF_NAMES[proof].toLowerCase()}</span>
      )}
      {looking && perEnd !== undefined && (
        <span className="text-ash">{zoomText(perEnd, inThreads(present) ? 'thread' : 'mm')}</span>
      )}
      {looking && <ViewControls />}
    </section>
  );
}

/** What was found of a design; not to be taken for true while the bench has another. */
function Finding({ of, children }: { readonly of: Design; readonly children: ReactNode }) {
  const present = useDesign();
  return (
    <span aria-busy={!isMadeAlike(of, present)} className="found">
      {children}
    </span>
  );
}

function zoomText(perEnd: number, one: 'thread' | 'mm'): string {
  const pixels = perEnd * window.devicePixelRatio;
  return pixels >= 0.995
    ? `${Number(pixels.toFixed(2))} px a ${one}`
    : `1 px for ${Number((1 / pixels).toFixed(1))} ${one === 'mm' ? one : 'threads'}`;
}
