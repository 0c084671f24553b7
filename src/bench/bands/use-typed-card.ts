import { useRef } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import { cardWith } from '../../core/colour/shade-words.ts';
import { shadeWords } from '../../core/formats/thread-count.ts';

/** The card that a text of bands asks for. */
export interface TypedCard {
  /** The card as it was before the text was typed, with a shade more for each colour that the text names besides. */
  readonly cardFor: (text: string) => readonly Shade[];
  /** Says that something was typed, so that the card before it is kept until `leave`. */
  readonly typed: () => void;
  readonly leave: () => void;
}

/** Lets a text name colours that the card lacks; what is typed in between leaves none behind. */
export function useTypedCard(shades: readonly Shade[]): TypedCard {
  const before = useRef(shades);
  const typing = useRef(false);
  if (!typing.current) before.current = shades;
  return {
    cardFor: (text) => cardWith(before.current, shadeWords(text)),
    typed: () => {
      typing.current = true;
    },
    leave: () => {
      typing.current = false;
    },
  };
}
