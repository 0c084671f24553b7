import { parseTurn } from '../../core/design/exchange/counts-text.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { stripeOfPlaid } from '../../core/design/turn-into/stripe-of-plaid.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { SequencePart } from '../bands/sequence-part.tsx';
import { setShared } from '../state/band-edits.ts';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { WeaveChoice } from '../weave/weave-choice.tsx';
import { setCrossing, setTurn } from './plaid-edits.ts';
import { PrintChoice } from './print-choice.tsx';
import { ThreadCountField } from './thread-count-field.tsx';

/** The unit: two sequences and how they are woven. */
export function PlaidBuild() {
  const { crossing, weft } = useDesignOf('plaid').construction;
  const { follows, turn } = weft;
  return (
    <Panel
      title="Build"
      purpose={
        crossing === 'woven'
          ? 'Two sequences, crossed thread by thread.'
          : 'Two sets of stripes, one printed over the other.'
      }
    >
      <SequencePart direction="warp">
        <ThreadCountField direction="warp" />
      </SequencePart>
      <Choice
        label="Weft"
        value={follows ? 'follows' : 'own'}
        options={[
          { value: 'follows', text: 'Follows the warp' },
          { value: 'own', text: 'Its own' },
        ]}
        onChange={(choice) => {
          dispatch({ kind: 'edit', edit: setShared(choice === 'follows') });
          dispatch({ kind: 'select', selection: undefined });
        }}
      />
      {follows ? (
        <NumberField
          label="Shift the weft by, threads"
          text={String(turn)}
          resolve={(text) => String(parseTurn(text))}
          onChange={(text) => dispatch({ kind: 'edit', edit: setTurn(parseTurn(text)), tag: 'turn' })}
        />
      ) : (
        <SequencePart direction="weft">
          <ThreadCountField direction="weft" />
        </SequencePart>
      )}
      <Choice
        label="Crossed by"
        value={crossing}
        options={[
          { value: 'woven', text: 'Weaving' },
          { value: 'printed', text: 'Printing one over the other' },
        ]}
        onChange={(next) => dispatch({ kind: 'edit', edit: setCrossing(next) })}
      />
      {crossing === 'woven' ? <WeaveChoice /> : <PrintChoice />}
      <button
        type="button"
        className="button self-start"
        onClick={() => {
          dispatch({ kind: 'edit', edit: (old) => stripeOfPlaid(asKind('plaid', old)) });
          dispatch({ kind: 'select', selection: undefined });
        }}
      >
        Turn the warp into a stripe
      </button>
    </Panel>
  );
}
