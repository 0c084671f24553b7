import { useEffect, useRef, useState } from 'react';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { degreesText, missText } from '../../wording/lines.ts';
import type { ShownTurn } from '../../workers/cloth-worker.ts';
import { useDesign } from '../state/bench-store.ts';
import { putLay } from './lay-edits.ts';
import { useTurns } from './use-turns.ts';

/** Degrees within which an angle that is typed is met, before a larger repeat is taken for it. */
const NEAR_ENOUGH = 0.05;

/** The slope on which the whole is laid: typed, or chosen among the turns after which it repeats. */
export function SlopePart() {
  const design = useDesign();
  const { slope, unit } = design.lay;
  const [asked, setAsked] = useState(slope?.asked ?? '0');
  const typed = useRef(false);
  const wished = toNumber(readDegrees(asked));
  const { degrees, turns, problem } = useTurns(design, wished);
  useEffect(() => {
    if (!typed.current || turns === undefined || degrees !== wished) return;
    typed.current = false;
    const chosen = turns.find(({ error }) => Math.abs(error) <= NEAR_ENOUGH) ?? turns.at(-1);
    if (chosen !== undefined) choose(chosen, asked);
  }, [turns, asked, degrees, wished]);
  const isChosen = (turn: ShownTurn) =>
    turn.slope.up === (slope?.up ?? 0) && (turn.slope.up === 0 || turn.slope.across === slope?.across);
  return (
    <section aria-label="Slope" className="flex flex-col gap-3 border-rule border-t pt-3">
      <NumberField
        label="Turned by, degrees"
        text={asked}
        resolve={(text) => String(Number(toNumber(readDegrees(text)).toFixed(6)))}
        onChange={(text) => {
          typed.current = true;
          setAsked(text.trim());
        }}
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
      {slope !== null && (
        <button type="button" className="button self-start" onClick={() => putLay({ slope: null })}>
          Lay it level
        </button>
      )}
    </section>
  );
}

function choose({ slope: { up, across } }: ShownTurn, asked: string): void {
  putLay({ slope: up === 0 ? null : { up, across, asked } });
}

/** Millimetres of the unit that lengths are shown in. */
const MILLIMETRES = { mm: 1, cm: 10, m: 1000, in: 25.4 } as const;

function sizeOf({ size }: ShownTurn, unit: keyof typeof MILLIMETRES): string {
  const side = (millimetres: number) => Number((millimetres / MILLIMETRES[unit]).toFixed(1));
  return `${side(size.width)} × ${side(size.height)}`;
}
