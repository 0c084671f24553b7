import { toast } from 'sonner';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads } from '../../core/design/design-facts.ts';
import { pitchOf } from '../../core/design/lay.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { divide, isWhole, multiply, rational, toDecimal, toText } from '../../core/exact/rational.ts';
import { DENSITY_BASES, parseDensity } from '../../core/units/density.ts';
import { LENGTH_UNITS } from '../../core/units/length.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { Measure, Panel } from '../../kit/panel.tsx';
import { lengthText, sizeText } from '../../wording/measures.ts';
import { viewFor } from '../build/views.tsx';
import { useCloth } from '../cloth/cloth-store.ts';
import { problemOf } from '../state/bench-state.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { setLay } from '../state/design-edits.ts';

const PER = { in: 'inch', cm: 'cm' } as const;

const PURPOSES = {
  repeat: 'Repeats side by side, straight. The density gives them their true size.',
  widths: 'Repeats side by side, straight. A density says how wide a thread is, for widths in threads.',
  nothing: 'Repeats side by side, straight.',
} as const;

/** How the repeat lies, and how close the threads are. */
export function LayPanel() {
  const design = useDesign();
  const { lay, construction } = design;
  const { density } = kindFor(construction);
  const { Lay } = viewFor(design);
  const repeat = useCloth((cloth) => cloth.repeat);
  const problem = useBenchState(problemOf);
  const report = useBenchState((state) => state.report);
  const pitch = pitchOf(lay);
  const size = (threads: number, step: typeof pitch.x) =>
    lengthText(multiply(rational(threads), step), lay.unit);
  const set = (change: Parameters<typeof setLay>[0], tag?: string) =>
    dispatch({ kind: 'edit', edit: setLay(change), ...(tag === undefined ? {} : { tag }) });
  return (
    <Panel title="Lay" purpose={Lay === undefined ? PURPOSES[density] : 'How boxes are set side by side.'}>
      {Lay !== undefined && <Lay />}
      {density !== 'nothing' && (
        <>
          <Choice
            label="Density, threads per"
            value={lay.per}
            options={DENSITY_BASES.map((base) => ({ value: base, text: PER[base] }))}
            onChange={(per) => {
              if (per === lay.per) return;
              const ends = perOther(lay.ends, per);
              const picks = perOther(lay.picks, per);
              set({ per, ends, picks });
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
              onChange={(ends) => set({ ends }, 'ends')}
            />
            <NumberField
              label={`Picks per ${PER[lay.per]}`}
              text={lay.picks}
              resolve={resolveDensity}
              onChange={(picks) => set({ picks }, 'picks')}
            />
          </div>
        </>
      )}
      <Choice
        label="Lengths are shown in"
        value={lay.unit}
        options={LENGTH_UNITS.map((unit) => ({ value: unit, text: unit }))}
        onChange={(unit) => set({ unit })}
      />
      {report?.size && !inThreads(design) && (
        <dl className="m-0 flex flex-col gap-1.5 border-rule border-t pt-3">
          <Measure name="One repeat">{sizeText(report.size, lay.unit)}</Measure>
        </dl>
      )}
      {repeat !== undefined && problem === undefined && inThreads(design) && (
        <dl className="m-0 flex flex-col gap-1.5 border-rule border-t pt-3">
          <Measure name="One repeat">
            {size(repeat.ends, pitch.x)} × {size(repeat.picks, pitch.y)} {lay.unit}
          </Measure>
          <Measure name="One end">
            {size(1, pitch.x)} {lay.unit}
          </Measure>
          <Measure name="One pick">
            {size(1, pitch.y)} {lay.unit}
          </Measure>
        </dl>
      )}
    </Panel>
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
