import { useEffect, useRef, useState } from 'react';
import { parsePersonHeight, readSceneNumber } from '../../../core/design/try-on/try-on-numbers.ts';
import type { TryOn } from '../../../core/design/try-on/try-on-schema.ts';
import { type DrawnDimension, labelPlace, PERSON } from '../../../core/scene/whole-drawing.ts';
import { errorSentence } from '../../../wording/error-sentence.ts';
import { dispatch } from '../../state/bench-store.ts';
import { changingTryOn, setSceneNumber } from '../try-on-edits.ts';
import type { ScenePlace } from './scene-camera.ts';
import { toView } from './scene-camera.ts';

/** Half of the field's width, and a little air, in CSS pixels. */
const HALF = 46;

interface DimensionNumberProps {
  readonly dimension: DrawnDimension;
  readonly tryOn: TryOn;
  /** What the number is called, and what it is until it is typed. */
  readonly label: string;
  readonly usual: number;
  readonly place: ScenePlace;
}

/** The number of a dimension, which can be typed over on the drawing. */
export function DimensionNumber({ dimension, tryOn, label, usual, place }: DimensionNumberProps) {
  const { length, number } = dimension;
  const shown = `${Number(length.toFixed(1))} mm`;
  const [draft, setDraft] = useState(shown);
  const typed = useRef(false);
  useEffect(() => setDraft(shown), [shown]);
  const { x, y } = toView(place, labelPlace(dimension, HALF / place.perMillimetre));
  const style = { left: x, top: y };
  const look =
    '-translate-x-1/2 -translate-y-1/2 numbers absolute h-[26px] w-[84px] rounded-md border border-woad bg-paper px-1 text-center text-[12px] text-woad';
  if (number === undefined) {
    return (
      <span className={look} style={style}>
        {shown}
      </span>
    );
  }
  const problem = problemOf(tryOn, number, draft);
  const take = () => {
    if (!typed.current) return;
    typed.current = false;
    if (problem !== undefined) setDraft(shown);
    else {
      const edit =
        number === PERSON
          ? changingTryOn(() => ({ person: draft.trim() }))
          : setSceneNumber(number, draft.trim(), usual);
      dispatch({ kind: 'edit', edit });
    }
  };
  return (
    <input
      aria-label={`${label} on the drawing`}
      title={problem ?? `${label}: type another length`}
      aria-invalid={problem !== undefined}
      className={`${look} aria-invalid:border-madder aria-invalid:text-madder`}
      style={style}
      value={draft}
      autoComplete="off"
      onChange={(event) => {
        typed.current = true;
        setDraft(event.target.value);
      }}
      onFocus={(event) => event.target.select()}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') take();
        if (event.key !== 'Escape') return;
        typed.current = false;
        setDraft(shown);
      }}
    />
  );
}

function problemOf(tryOn: TryOn, number: string, text: string): string | undefined {
  try {
    if (number === PERSON) parsePersonHeight(text);
    else readSceneNumber(tryOn.scene, number, text);
    return undefined;
  } catch (error) {
    return errorSentence(error) ?? 'That is not a length.';
  }
}
