import { Check, Minus, X } from 'lucide-react';
import { inThreads } from '../../core/design/design-facts.ts';
import { toText } from '../../core/exact/rational.ts';
import { isRational } from '../../core/exact/surd.ts';
import type { PixelFit } from '../../core/repeat/pixel-fit.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { ResolutionField } from '../../kit/fields/resolution-field.tsx';
import { Measure, Panel } from '../../kit/panel.tsx';
import { VerdictMark } from '../../kit/verdict-mark.tsx';
import { exactSideText, perMetreText, ppmText, sizeText } from '../../wording/measures.ts';
import {
  directionSentence,
  groupTest,
  hairlineTest,
  joinTest,
  numbersTest,
  offerSentence,
  perThreadText,
  seamTest,
  type TestWords,
  verdictSentence,
} from '../../wording/verdict.ts';
import { useThreadFacts } from '../bands/use-thread-facts.ts';
import { ConstructionChecks, viewFor } from '../build/views.tsx';
import { type Checked, isCheckDue, problemOf, unmadeOf } from '../state/bench-state.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { setResolution } from '../state/design-edits.ts';

/** The proof: what the repeat is, why it closes, and what rounding to pixels costs. */
export function CheckPanel() {
  const checked = useBenchState((state) => state.checked);
  const problem = useBenchState((state) => problemOf(state) ?? unmadeOf(state));
  return (
    <Panel title="Check" purpose="Does it repeat, why, and at what cost in pixels?">
      {problem !== undefined && <p className="rounded-lg bg-madder-pale px-3 py-2 text-madder">{problem}</p>}
      {checked !== undefined ? (
        <Proof {...checked} />
      ) : (
        problem === undefined && <p className="text-ash">Checking…</p>
      )}
      <ConstructionChecks made={problem === undefined} />
    </Panel>
  );
}

/** @param design  that which the report is of; while the bench has another, nothing of it can be acted on */
function Proof({ design, report }: Checked) {
  const present = useDesign();
  const isDue = useBenchState(isCheckDue);
  const facts = useThreadFacts();
  const { pixels, painted, size, repeat } = report;
  const { unit } = design.lay;
  const [nearest, ...others] = pixels.fits;
  const { RatioFits } = viewFor(design);
  return (
    <>
      <div aria-busy={isDue} className={`found rounded-card px-4 py-3 ${GROUND[report.verdict]}`}>
        <p className="text-lg">
          <VerdictMark verdict={report.verdict} size={20} />
        </p>
        <p className="text-[13.5px]">{verdictSentence(report)}</p>
      </div>
      <ul aria-busy={isDue} className="found m-0 flex list-none flex-col gap-2 p-0 text-[13px]">
        <Test holds={report.numbers.closed} words={numbersTest(report)} />
        <Test holds={groupTest(report)?.holds === true} words={groupTest(report)} />
        <Test holds={joinTest(report).holds || undefined} words={joinTest(report)} />
        <Test holds={painted?.differingBytes === 0} words={seamTest(report)} />
        <Test holds={painted?.leakingPixels === 0} words={hairlineTest(report)} />
        {facts && (
          <>
            <Reason holds={facts.warp.repeat === facts.warp.period ? true : undefined}>
              Warp: {directionSentence(facts.warp, 'end')}
            </Reason>
            <Reason holds={facts.weft.repeat === facts.weft.period ? true : undefined}>
              Weft: {directionSentence(facts.weft, 'pick')}
            </Reason>
          </>
        )}
      </ul>
      <ResolutionField
        label="At a resolution of, pixels per inch"
        resolution={present.resolution}
        onChange={(text) => dispatch({ kind: 'edit', edit: setResolution(text), tag: 'resolution' })}
      />
      <dl aria-busy={isDue} className="found m-0 flex flex-col gap-1.5">
        {repeat && inThreads(design) && (
          <Measure name="Repeat">
            {toText(repeat.width)} ends × {toText(repeat.height)} picks
          </Measure>
        )}
        {size && <Measure name="Size">{sizeText(size, unit)}</Measure>}
        {size && !(isRational(size.width) && isRational(size.height)) && (
          <Measure name="Exactly">
            {exactSideText(size.width, unit)} × {exactSideText(size.height, unit)}
          </Measure>
        )}
        {nearest && (
          <Measure name="Pixels">
            {nearest.width} × {nearest.height}
          </Measure>
        )}
        {inThreads(design) && <Measure name="A thread">{perThreadText(pixels)}</Measure>}
      </dl>
      {inThreads(design) && !pixels.crisp && nearest !== undefined && (
        <p className="hint">
          Threads are not whole pixels here, so a pixel on an edge between two shades shows their mean.
        </p>
      )}
      {report.offers.length > 0 && (
        <div className="found" aria-busy={isDue} inert={isDue}>
          <h3 className="mb-1 text-[14px]">Resolutions that come out whole</h3>
          <ul className="m-0 flex list-none flex-col gap-1 p-0">
            {report.offers.map((offer) => (
              <li
                key={`${offer.whole} ${toText(offer.dpi)}`}
                className="flex items-center justify-between gap-2"
              >
                <span className="numbers">{offerSentence(offer)}</span>
                <button
                  type="button"
                  className="button button-plain text-woad"
                  onClick={() => dispatch({ kind: 'edit', edit: setResolution(toText(offer.dpi)) })}
                >
                  Use
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {report.verdict === 'Fitted' &&
        nearest !== undefined &&
        (pixels.exact === null || RatioFits === undefined ? (
          <div className="found" aria-busy={isDue}>
            <Fits nearest={nearest} others={others} />
          </div>
        ) : (
          <div className="found" aria-busy={isDue} inert={isDue}>
            <RatioFits exact={pixels.exact} now={nearest} />
          </div>
        ))}
    </>
  );
}

const GROUND = {
  Exact: 'bg-[#e4f0ea]',
  Fitted: 'bg-weld-pale',
  Open: 'bg-madder-pale',
} as const;

/** What a test found, its numbers folded away; nothing where it was not made. */
function Test({ holds, words }: { holds: boolean | undefined; words: TestWords | undefined }) {
  if (words === undefined) return null;
  return (
    <Reason holds={holds}>
      <details>
        <summary className="min-h-6 cursor-pointer leading-6">{words.meaning}</summary>
        <p className="hint">{words.details}</p>
      </details>
    </Reason>
  );
}

/** Undefined is neither: true, but worth knowing. */
function Reason({ holds, children }: { holds: boolean | undefined; children: React.ReactNode }) {
  const [Icon, colour, word] =
    holds === undefined
      ? ([Minus, 'text-weld', 'Note'] as const)
      : holds
        ? ([Check, 'text-verdigris', 'Holds'] as const)
        : ([X, 'text-madder', 'Fails'] as const);
  return (
    <li className="flex gap-2">
      <Icon size={16} className={`mt-0.5 flex-none ${colour}`} aria-label={word} />
      <div className="min-w-0">{children}</div>
    </li>
  );
}

function Fits({ nearest, others }: { nearest: PixelFit; others: readonly PixelFit[] }) {
  return (
    <div>
      <h3 className="mb-1 text-[14px]">Pixel fit</h3>
      <DataTable
        head={['Size', 'Across', 'Ratio']}
        rows={[nearest, ...others].map((fit) => ({
          key: `${fit.width} ${fit.height}`,
          title: perMetreText(fit.errorX),
          cells: [
            `${fit.width} × ${fit.height}`,
            ppmText(fit.errorX),
            fit.errorRatio.n === 0n ? 'kept' : ppmText(fit.errorRatio),
          ],
        }))}
      />
    </div>
  );
}
