import { createContext, useContext, useEffect, useRef, useState } from 'react';

/** What was typed into a field that is shown no more, and could not be read. */
export interface RefusedDraft {
  /** The step or form whose field it is. */
  readonly place: string;
  readonly label: string;
  readonly draft: string;
  /** What was stored in its place when the field went: by it the field is known again. */
  readonly stored: string;
  readonly sentence: string;
}

/** The step that fields are of. */
export interface StepOfFields {
  readonly name: string;
  /** Whether it is shown no more, so that its fields went with it and not with what they are of. */
  readonly isLeft: () => boolean;
}

/** Where there is none, what is typed is not kept beyond its field. */
export const FieldPlace = createContext<StepOfFields | undefined>(undefined);

let left: readonly RefusedDraft[] = [];

/** What is kept, none of it in force. */
export function refusedDrafts(): readonly RefusedDraft[] {
  return left;
}

/** Lets go of all of it. */
export function forgetRefused(): void {
  left = [];
}

function claim(place: string, label: string, stored: string): string | undefined {
  const found = left.find((each) => each.place === place && each.label === label && each.stored === stored);
  if (found === undefined) return undefined;
  left = left.filter((each) => each !== found);
  return found.draft;
}

/**
 * Keeps what is typed into a field and refused when its step is left, and gives it back when the field comes again. What a
 * field says of a ring that is removed goes with the ring.
 * @param refused  what is refused just now; undefined where all can be read
 * @returns        what was kept when the field came
 */
export function useRefusedDraft(
  label: string,
  stored: string,
  refused: Pick<RefusedDraft, 'draft' | 'sentence'> | undefined,
): string | undefined {
  const place = useContext(FieldPlace);
  const [kept] = useState(() => (place === undefined ? undefined : claim(place.name, label, stored)));
  const last = useRef({ label, stored, refused });
  last.current = { label, stored, refused };
  useEffect(() => {
    if (place === undefined) return;
    return () => {
      const { refused: typed, ...field } = last.current;
      if (typed !== undefined && place.isLeft()) left = [...left, { place: place.name, ...field, ...typed }];
    };
  }, [place]);
  return kept;
}

/**
 * Goes to the first field of a part of the page that is refused.
 * @param lines  whether fields of many lines count, too: dialogs with such a field show what is wrong by themselves
 * @returns      whether there is one
 */
export function goToRefused(within: Element, lines = true): boolean {
  const field = within.querySelector<HTMLElement>(`${lines ? '' : 'input'}[aria-invalid="true"]`);
  if (field === null) return false;
  field.focus();
  field.scrollIntoView({ block: 'center' });
  return true;
}
