import { toast } from 'sonner';
import { bandScale } from '../../core/design/lay/lay-schema.ts';
import { inUnit } from '../../core/design/stripe/in-unit.ts';
import { LEVEL, type Slope, slope, UPRIGHT } from '../../core/exact/slope.ts';
import { BAND_UNITS, type BandUnit } from '../../core/units/band-width.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { SequencePart } from '../bands/sequence-part.tsx';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { AnglePart } from './angle-part.tsx';
import { BandWidthsField, measuredText } from './band-widths-field.tsx';
import { setStripe } from './stripe-edits.ts';
import { TurnIntoPlaid } from './turn-into-plaid.tsx';

const UNIT_NAMES: Readonly<Record<BandUnit, string>> = {
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  pt: 'pt',
  px: 'px',
  thread: 'threads',
};

type Lines = 'upright' | 'level' | 'angle';

/** The unit of a stripe: its bands, where the lines go, and what is left clear. */
export function StripeBuild() {
  const design = useDesignOf('stripe');
  const { construction, shades } = design;
  const lines = linesOf(construction.slope);
  const set = (change: Parameters<typeof setStripe>[0]) =>
    dispatch({ kind: 'edit', edit: setStripe(change) });
  return (
    <Panel title="Build" purpose="Bands side by side, in exact widths.">
      <SequencePart direction="warp">
        <BandWidthsField />
      </SequencePart>
      <Choice
        label="Unit"
        value={construction.unit}
        options={BAND_UNITS.map((unit) => ({ value: unit, text: UNIT_NAMES[unit] }))}
        onChange={(unit) => {
          const before = measuredText(design);
          const next = inUnit(construction, unit, bandScale(design));
          set(next);
          const after = measuredText({ ...design, construction: { ...construction, ...next } });
          toast(`Converted: ${before} is ${after}.`);
        }}
      />
      <Choice
        label="Direction"
        value={lines}
        options={[
          { value: 'upright', text: 'Down' },
          { value: 'level', text: 'Across' },
          { value: 'angle', text: 'At an angle' },
        ]}
        onChange={(next) => {
          dispatch({ kind: 'select', selection: undefined });
          set({ slope: SLOPES[next], asked: null });
        }}
      />
      {lines === 'angle' && <AnglePart />}
      <SelectField
        label="Transparent"
        value={construction.clear ?? ''}
        options={[
          { value: '', text: 'None' },
          ...shades.map(({ key, name }) => ({ value: key, text: name })),
        ]}
        onChange={(clear) => set({ clear: clear === '' ? null : clear })}
      />
      <TurnIntoPlaid design={design} />
    </Panel>
  );
}

/** Where lines go when nothing more is said; at an angle, at 45°. */
const SLOPES: Readonly<Record<Lines, Slope>> = { upright: UPRIGHT, level: LEVEL, angle: slope(1, 1) };

function linesOf({ rise, run }: Slope): Lines {
  return run === 0 ? 'upright' : rise === 0 ? 'level' : 'angle';
}
