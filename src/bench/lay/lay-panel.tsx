import { toast } from 'sonner';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { divide, isWhole, multiply, rational, toDecimal, toText } from '../../core/exact/rational.ts';
import { DENSITY_BASES, parseDensity } from '../../core/units/density.ts';
import { LENGTH_UNITS } from '../../core/units/length.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { Measure, Panel } from '../../kit/panel.tsx';
import { plural, sizeText } from '../../wording/measures.ts';
import { viewFor } from '../build/views.tsx';
import { useCloth } from '../cloth/cloth-store.ts';
import { isCheckDue, isMadeAlike, problemOf, reportOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { ArrangementPart } from './arrangement-part.tsx';
import { LayCards } from './lay-cards.tsx';
import { putLay } from './lay-edits.ts';
import { OpenPart } from './open-part.tsx';
import { ScalePart } from './scale-part.tsx';
import { SlopePart } from './slope-part.tsx';
import { useBuiltBox } from './use-built-box.ts';

const PER = { in: 'inch', cm: 'cm' } as const;

/** How what was built is set side by side, how large, on which slope, and how close its threads are. */
export function LayPanel() {
  const design = useDesign();
  const { lay, construction } = design;
  const { density } = kindFor(construction);
  const { Lay } = viewFor(design);
  const problem = useBenchState(problemOf);
  const cuts = useBenchState((state) => reportOf(state)?.cuts);
  const box = useBuiltBox(design);
  return (
    <Panel title="Lay" purpose="How what was built comes again: side by side, how large, on which slope.">
      {box !== undefined && (
        <LayCards
          design={design}
          boxWidth={box.millimetres}
          onChoose={(arrangement) => putLay({ arrangement })}
        />
      )}
      {box !== undefined && <ArrangementPart lay={lay} counted={box.counted} />}
      {cuts !== undefined && cuts.length > 0 && <OpenPart design={design} cuts={cuts} />}
      {Lay !== undefined && <Lay />}
      {problem === undefined && <Measures design={design} />}
      <ScalePart hasLines={density === 'nothing'} />
      <SlopePart />
      {density !== 'nothing' && <Density design={design} />}
      <Choice
        label="Lengths are shown in"
        value={lay.unit}
        options={LENGTH_UNITS.map((unit) => ({ value: unit, text: unit }))}
        onChange={(unit) => putLay({ unit })}
      />
    </Panel>
  );
}

/** What one repeat has become. */
function Measures({ design }: { readonly design: Design }) {
  const checked = useBenchState((state) => state.checked);
  const isDue = useBenchState(isCheckDue);
  const repeat = useCloth((cloth) => cloth.repeat);
  const measured = useCloth((cloth) => cloth.measured);
  const isMeasured = measured !== undefined && isMadeAlike(measured, design);
  return (
    <dl className="found m-0 flex flex-col gap-1.5" aria-busy={isDue || !isMeasured}>
      {repeat !== undefined && measured !== undefined && inThreads(measured) && (
        <Measure name="One repeat, threads">
          {repeat.ends} × {repeat.picks}
        </Measure>
      )}
      {checked?.report.size && (
        <Measure name="One repeat">{sizeText(checked.report.size, checked.design.lay.unit)}</Measure>
      )}
      {repeat !== undefined && repeat.cells > 1 && (
        <Measure name="Comes again">{plural(repeat.cells, 'time')} in it</Measure>
      )}
    </dl>
  );
}

function Density({ design: { lay } }: { readonly design: Design }) {
  return (
    <section aria-label="Density" className="flex flex-col gap-3 border-rule border-t pt-3">
      <Choice
        label="Density, threads per"
        value={lay.per}
        options={DENSITY_BASES.map((base) => ({ value: base, text: PER[base] }))}
        onChange={(per) => {
          if (per === lay.per) return;
          const ends = perOther(lay.ends, per);
          const picks = perOther(lay.picks, per);
          putLay({ per, ends, picks });
          toast(
            `Converted: ${lay.ends} threads per ${PER[lay.per]} are ${resolveDensity(ends)} per ${PER[per]}.`,
          );
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={`Ends per ${PER[lay.per]}`}
          text={lay.ends}
          resolve={resolveDensity}
          onChange={(ends) => putLay({ ends }, 'ends')}
        />
        <NumberField
          label={`Picks per ${PER[lay.per]}`}
          text={lay.picks}
          resolve={resolveDensity}
          onChange={(picks) => putLay({ picks }, 'picks')}
        />
      </div>
    </section>
  );
}

/** A density of one base as text in the other, exactly as dense. @throws CoreError as `parseDensity` */
function perOther(text: string, per: 'in' | 'cm'): string {
  // 2.54 centimetres are an inch.
  const inch = rational(254, 100);
  const value = parseDensity(text);
  return exactDecimal(per === 'in' ? multiply(value, inch) : divide(value, inch));
}

/** What a density comes to: as a fraction where a decimal would go on for ever. */
function resolveDensity(text: string): string {
  const value = parseDensity(text);
  const decimal = toDecimal(value, 4);
  return isWhole(value) || parseExactly(decimal) === toText(value) ? decimal : toText(value);
}

function parseExactly(text: string): string {
  return toText(parseExact(text));
}
