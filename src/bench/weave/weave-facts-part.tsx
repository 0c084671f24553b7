import { useMemo } from 'react';
import type { PlaidDesign } from '../../core/design/design-schema.ts';
import { type WeaveFacts, weaveFacts } from '../../core/design/weave-facts.ts';
import { toDecimal, toText } from '../../core/exact/rational.ts';
import { BarChart } from '../../kit/charts/charts.tsx';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Measure } from '../../kit/panel.tsx';
import { attempt } from '../../wording/attempt.ts';
import { plural } from '../../wording/measures.ts';
import { loosenessText } from '../../wording/weave-words.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { FloatMarks } from './float-marks.tsx';

/** What the structure is like as cloth: floats, soundness, what a loom needs. */
export function WeaveFactsPart({ design }: { design: PlaidDesign }) {
  const facts = useMemo(() => attempt(() => weaveFacts(design)), [design]);
  return 'problem' in facts ? <p className="hint">{facts.problem}</p> : <Facts facts={facts.value} />;
}

function Facts({ facts }: { readonly facts: WeaveFacts }) {
  const showsLayers = useCloth((cloth) => cloth.marks.layers);
  const chart = useMemo(() => chartOf(facts.floats), [facts]);
  const { layers, warpShare, intersections, shafts, treadles, ends, picks } = facts;
  return (
    <section aria-label="Structure" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Structure</h3>
      <p className={`text-[13px] ${layers.length === 1 ? '' : 'text-madder'}`}>{loosenessText(facts)}</p>
      {layers.length > 1 && (
        <CheckField
          text="Mark on the cloth what comes away"
          on={showsLayers}
          onChange={(on) => useCloth.setState(({ marks }) => ({ marks: { ...marks, layers: on } }))}
        />
      )}
      <span className="label mb-0">Floats of each length, warp dark and weft light</span>
      <BarChart title="Floats of each length" {...chart} sizeText={floatsOf} height={104} upright named />
      <FloatMarks />
      <dl className="m-0 flex flex-col gap-1.5">
        <Measure name="Longest float, warp and weft">
          {facts.floats.warp.longest}, {facts.floats.weft.longest}
        </Measure>
        <Measure name="Warp’s share of the face">
          {toText(warpShare)} = {toDecimal(warpShare, 3)}
        </Measure>
        <Measure name={`Intersections in ${ends} × ${picks}`}>{intersections}</Measure>
        <Measure name="Shafts and treadles">
          {shafts}, {treadles}
        </Measure>
      </dl>
    </section>
  );
}

function floatsOf(count: number): string {
  return plural(count, 'float');
}

/** Two bars for each length, warp and weft one on the other. */
function chartOf({ warp, weft }: WeaveFacts['floats']) {
  const longest = Math.max(warp.longest, weft.longest);
  const lengths = Array.from({ length: Math.min(40, longest) }, (_, at) => at + 1);
  return {
    bars: lengths.map(String),
    parts: [
      { name: 'Warp', hex: '#20292b', sizes: lengths.map((length) => warp.histogram[length] ?? 0) },
      { name: 'Weft', hex: '#cfc7b4', sizes: lengths.map((length) => weft.histogram[length] ?? 0) },
    ],
  };
}
