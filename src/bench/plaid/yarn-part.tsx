import { Download } from 'lucide-react';
import { useMemo } from 'react';
import type { PlaidDesign } from '../../core/design/design-schema.ts';
import { warpingToCsv, yarnToCsv } from '../../core/design/exchange/yarn-csv.ts';
import { laidPlaid } from '../../core/design/plaid/laid-plaid.ts';
import { type SettingFacts, settingFacts } from '../../core/design/setting-facts.ts';
import { type YarnNeed, yarnNeeds } from '../../core/design/yarn.ts';
import { parseMetres, parsePercent, type YarnPlan } from '../../core/design/yarn-schema.ts';
import { add, type Rational, rational, toDecimal, toNumber } from '../../core/exact/rational.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import {
  fromTex,
  parseYarnCount,
  readYarnCount,
  toTex,
  YARN_SYSTEMS,
  type YarnSystem,
} from '../../core/units/yarn-count.ts';
import { BarChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { downloadText } from '../../kit/download.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { Measure } from '../../kit/panel.tsx';
import { ShadeName } from '../../kit/shade-name.tsx';
import { attempt } from '../../wording/attempt.ts';
import { dispatch } from '../state/bench-store.ts';

const BARS = ['Warp', 'Weft'];

/** What a piece of this cloth takes in yarn. */
export function YarnPart({ design }: { design: PlaidDesign }) {
  const { yarn } = design;
  // Mirrored, a sett has other shares of its shades, and is warped in another order.
  const needs = useMemo(
    () =>
      attempt(() => {
        const laid = laidPlaid(design);
        return { laid, yarns: yarnNeeds(laid) };
      }),
    [design],
  );
  const set = (change: Partial<YarnPlan>) =>
    dispatch({
      kind: 'edit',
      edit: (old) => ({ ...old, yarn: { ...old.yarn, ...change } }),
      tag: `yarn-${Object.keys(change)}`,
    });
  const metres = (label: string, field: 'width' | 'length' | 'waste') => (
    <NumberField
      label={label}
      text={yarn[field]}
      resolve={(text) => `${toDecimal(parseMetres(text), 4)} m`}
      onChange={(text) => set({ [field]: text })}
    />
  );
  const percent = (label: string, field: 'takeUp' | 'crimp') => (
    <NumberField
      label={label}
      text={yarn[field]}
      resolve={(text) => `${toDecimal(parsePercent(text), 4)}`}
      onChange={(text) => set({ [field]: text })}
    />
  );
  return (
    <section aria-label="Yarn" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Yarn for a piece</h3>
      <CountField label="Warp yarn" value={yarn.warp} onChange={(warp) => set({ warp })} />
      <CountField label="Weft yarn" value={yarn.weft} onChange={(weft) => set({ weft })} />
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {metres('Width in the reed', 'width')}
        {metres('Length of cloth', 'length')}
        {percent('Take-up of the warp', 'takeUp')}
        {percent('Crimp of the weft', 'crimp')}
        {metres('Waste of each end', 'waste')}
        <NumberField
          label="Selvedge ends, both edges"
          text={String(yarn.selvedge)}
          resolve={(text) => String(selvedge(text))}
          onChange={(text) => set({ selvedge: selvedge(text) })}
        />
      </div>
      {'problem' in needs ? (
        <p className="text-madder">{needs.problem}</p>
      ) : (
        <>
          <Needs needs={needs.value.yarns} />
          <Setting design={design} />
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="button"
              onClick={() =>
                downloadText(
                  fileNameOf({ name: `${design.name} yarn`, file: 'table.csv' }),
                  yarnToCsv(needs.value.laid),
                )
              }
            >
              <Download size={15} aria-hidden="true" /> Yarn list
            </button>
            <button
              type="button"
              className="button"
              onClick={() =>
                downloadText(
                  fileNameOf({ name: `${design.name} warping`, file: 'table.csv' }),
                  warpingToCsv(needs.value.laid),
                )
              }
            >
              <Download size={15} aria-hidden="true" /> Warping order
            </button>
          </div>
        </>
      )}
    </section>
  );
}

function selvedge(text: string): number {
  return Math.min(10_000, whole(text, 0));
}

interface CountFieldProps {
  readonly label: string;
  readonly value: YarnPlan['warp'];
  readonly onChange: (value: YarnPlan['warp']) => void;
}

/** A yarn count with its system; another system shows the same yarn. */
function CountField({ label, value, onChange }: CountFieldProps) {
  const { count, system } = value;
  return (
    <NumberField
      label={label}
      text={count}
      resolve={(text) => {
        const { plies, single, count: all } = readYarnCount(text, system);
        const tex = toDecimal(toTex(all, system), 3);
        const understood = plies === 1 ? '' : `${plies} plies of ${toDecimal(single, 3)}: `;
        return `${understood}${tex}${system === 'tex' && plies === 1 ? '' : ' tex'}`;
      }}
      onChange={(text) => onChange({ count: text, system })}
      after={
        <select
          aria-label={`System of the ${label.toLowerCase()}`}
          className="field w-28"
          value={system}
          onChange={(event) => {
            const next = event.target.value as YarnSystem;
            const same = fromTex(toTex(parseYarnCount(count, system), system), next);
            onChange({ count: toDecimal(same, 3), system: next });
          }}
        >
          {YARN_SYSTEMS.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      }
    />
  );
}

function Needs({ needs }: { needs: readonly YarnNeed[] }) {
  const parts = useMemo(
    () =>
      needs.map(({ direction, shade, grams }) => ({
        name: shade.name,
        hex: shade.hex,
        sizes: BARS.map((bar) => (bar.toLowerCase() === direction ? toNumber(grams) : 0)),
      })),
    [needs],
  );
  const all = needs.reduce((sum: Rational, { grams }) => add(sum, grams), rational(0));
  return (
    <>
      <BarChart title="Grams of each shade" bars={BARS} parts={parts} sizeText={gramsText} height={72} />
      <DataTable
        small
        head={['Shade', 'Threads', 'Metres', 'Grams']}
        rows={needs.map(({ direction, shade, threads, metres, grams }) => ({
          key: `${direction} ${shade.key}`,
          cells: [
            <ShadeName key="shade" shade={shade} more={`, ${direction}`} />,
            threads,
            toDecimal(metres, 0),
            toDecimal(grams, 0),
          ],
        }))}
        foot={[
          <span key="all" className="font-text">
            Together
          </span>,
          '',
          '',
          toDecimal(all, 0),
        ]}
      />
    </>
  );
}

/** How close the threads are set, beside what yarn and structure allow, and how much they cover. */
function Setting({ design }: { design: PlaidDesign }) {
  const { warp, weft, cloth } = useMemo(() => settingFacts(design), [design]);
  const two = (read: (way: SettingFacts) => number) => `${read(warp).toFixed(1)}, ${read(weft).toFixed(1)}`;
  return (
    <dl className="m-0 flex flex-col gap-1.5">
      <Measure name="Ends, picks per inch as they are">{two((way) => way.perInch)}</Measure>
      <Measure name="That these yarns and weave allow">{two((way) => way.suggested)}</Measure>
      <Measure name="Cover factors, and of the cloth">{`${two((way) => way.cover)}; ${cloth.toFixed(1)}`}</Measure>
    </dl>
  );
}

function gramsText(grams: number): string {
  return `${grams.toFixed(0)} g`;
}
