import { finestSeen, parsePersonHeight, parseSeenFrom } from '../../core/design/try-on/try-on-numbers.ts';
import type { TryOn } from '../../core/design/try-on/try-on-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { dispatch } from '../state/bench-store.ts';
import { changingTryOn } from './try-on-edits.ts';

/** How tall a person is, and how far away somebody stands, until another is typed. */
const PERSON = '1720 mm';
const FROM = '3 m';

/** A person beside the scene, and from how far it is seen. */
export function BesideFields({ tryOn: { person, seenFrom } }: { tryOn: TryOn }) {
  const put = (change: Partial<TryOn>, tag?: string) =>
    dispatch({
      kind: 'edit',
      edit: changingTryOn(() => change),
      ...(tag === undefined ? {} : { tag }),
    });
  return (
    <section aria-label="Beside it" className="flex flex-col gap-2 border-rule border-t pt-2">
      <CheckField
        text="A person beside it"
        on={person !== null}
        onChange={(on) => put({ person: on ? PERSON : null })}
      />
      {person !== null && (
        <NumberField
          label="Height of the person"
          text={person}
          resolve={(text) => `${Number(parsePersonHeight(text).toFixed(1))} mm`}
          onChange={(text) => put({ person: text.trim() }, 'person')}
        />
      )}
      <CheckField
        text="As seen from a distance"
        on={seenFrom !== null}
        onChange={(on) => put({ seenFrom: on ? FROM : null })}
      />
      {seenFrom !== null && (
        <>
          <NumberField
            label="Seen from"
            text={seenFrom}
            resolve={(text) => `${Number((parseSeenFrom(text) / 1000).toFixed(3))} m`}
            onChange={(text) => put({ seenFrom: text.trim() }, 'seen-from')}
          />
          <p className="hint -mt-1">
            Finer than {Number(finestSeen(parseSeenFrom(seenFrom)).toFixed(2))} mm runs together: the eye
            parts a sixtieth of a degree.
          </p>
        </>
      )}
    </section>
  );
}
