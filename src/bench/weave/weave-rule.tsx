import { ruleOf, USUAL_WEAVES, WEAVE_RULES, type WeaveRule } from '../../core/thread/weaves/weave-rules.ts';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { useDesignOf } from '../state/use-construction.ts';
import { putWeave, WeaveNumbers } from './weave-numbers.tsx';

const NAMES: Readonly<Record<WeaveRule, string>> = {
  twill: 'Twill, by its line',
  steps: 'Broken or waved twill, by its steps',
  turned: 'Herringbone or pointed twill',
  rib: 'Rib',
  hopsack: 'Hopsack',
  satin: 'Satin or sateen',
  honeycomb: 'Honeycomb',
  crepe: 'Crepe',
  shaded: 'Shaded satin',
  double: 'Double plain cloth',
  blocks: 'Blocks of two weaves',
};

/** The rule that the weave follows, and its numbers. */
export function WeaveRuleFields() {
  const { weave } = useDesignOf('plaid').construction;
  return (
    <div className="flex flex-col gap-2">
      <SelectField
        label="By rule"
        value={ruleOf(weave) ?? ''}
        none={weave.kind === 'draft' ? 'None: it is drafted' : 'None: it is drawn'}
        options={WEAVE_RULES.map((each) => ({ value: each, text: NAMES[each] }))}
        onChange={(rule) => putWeave(USUAL_WEAVES[rule])}
      />
      <WeaveNumbers weave={weave} />
    </div>
  );
}
