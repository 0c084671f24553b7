import { useEffect } from 'react';
import { nearEnough } from '../../core/design/lay/turn-offers.ts';
import { rational, toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { type LengthUnit, toMillimetres } from '../../core/units/length.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { degreesText, missText, nearestTurnSentence } from '../../wording/lines.ts';
import type { ShownTurn } from '../../workers/cloth-worker.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { useDesign } from '../state/bench-store.ts';
import { useTypedAngle } from '../state/use-typed-angle.ts';
import { putLay } from './lay-edits.ts';
import { useTurns } from './use-turns.ts';

/** The slope on which the whole is laid: typed, or chosen among the turns after which it repeats. */
export function SlopePart() {
  const design = useDesign();
  const { slope, unit } = design.lay;
  const degreesNow = useDegrees();
  const now = slope === null ? '0' : (slope.asked ?? degreesNow);
  const { asked, wished, type, answer } = useTypedAngle(now);
  const { degrees, turns, most, problem } = useTurns(design, wished);
  // biome-ignore lint/correctness/useExhaustiveDependencies: an answer is of what was typed, not of when it was
  useEffect(() => {
    if (turns === undefined || degrees !== wished) return;
    answer((typed) => {
      const chosen = nearEnough(turns);
      if (chosen === undefined) return undefined;
      choose(chosen, typed, 'slope');
      return chosen.slope.up === 0 ? '0' : typed;
    });
  }, [turns, degrees, wished]);
  const isChosen = (turn: ShownTurn) =>
    turn.slope.up === (slope?.up ?? 0) && (turn.slope.up === 0 || turn.slope.across === slope?.across);
  return (
    <section aria-label="Slope" className="flex flex-col gap-3 border-rule border-t pt-3">
      <NumberField
        label="Turned by, degrees"
        text={asked}
        resolve={(text) => String(Number(toNumber(readDegrees(text)).toFixed(6)))}
        onChange={type}
        after={<span className="text-ash">°</span>}
      />
      {problem !== undefined && <p className="text-[13px] text-madder">{problem}</p>}
      {turns !== undefined && (
        <DataTable
          small
          head={['Turn', 'Error', `Repeat, ${unit}`, 'Repeats']}
          rows={turns.map((turn) => ({
            key: `${turn.slope.up}/${turn.slope.across}`,
            title: `${turn.slope.up} repeats up on ${turn.slope.across} across`,
            chosen: isChosen(turn),
            cells: [
              <button
                key="turn"
                type="button"
                className="min-h-6 min-w-8 text-left font-semibold text-woad"
                aria-pressed={isChosen(turn)}
                aria-label={`Turn by ${degreesText(turn.degrees)}`}
                onClick={() => choose(turn, asked)}
              >
                {degreesText(turn.degrees)}
              </button>,
              missText(turn.error),
              sizeOf(turn, unit),
              turn.repeats,
            ],
          }))}
        />
      )}
      {most !== undefined && turns !== undefined && turns.at(-1)?.error !== 0 && (
        <p className="hint">{nearestTurnSentence(most)}</p>
      )}
      {slope !== null && (
        <button type="button" className="button self-start" onClick={() => putLay({ slope: null })}>
          Lay it level
        </button>
      )}
    </section>
  );
}

function choose({ slope: { up, across } }: ShownTurn, asked: string, tag?: string): void {
  putLay({ slope: up === 0 ? null : { up, across, asked } }, tag);
}

/** How far the box on the cloth is turned, to thousandths of a degree. */
function useDegrees(): string {
  const [from, to] = useCloth((cloth) => cloth.repeat?.box) ?? [];
  if (from === undefined || to === undefined) return '0';
  return String(Number(((Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI).toFixed(3)));
}

function sizeOf({ size }: ShownTurn, unit: LengthUnit): string {
  const one = toNumber(toMillimetres(rational(1), unit));
  const side = (millimetres: number) => Number((millimetres / one).toFixed(1));
  return `${side(size.width)} × ${side(size.height)}`;
}
