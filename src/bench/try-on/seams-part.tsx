import { type MatchedPart, withMoved } from '../../core/design/try-on/match-seams.ts';
import type { SeamFacts } from '../../core/design/try-on/try-on-facts.ts';
import { MATCHED, millimetres } from '../../wording/seam-words.ts';
import { dispatch } from '../state/bench-store.ts';
import type { Edit } from '../state/design-edits.ts';
import { changingTryOn } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

/** How far the pattern is off at each seam, and the shift that lets it go on. */
export function SeamsPart() {
  const facts = useTryOn((look) => look.facts);
  const seams = facts?.seams.filter(({ fit }) => fit !== undefined) ?? [];
  if (facts === undefined || seams.length === 0) return null;
  const open = seams.filter(({ fit }) => fit!.off > MATCHED);
  return (
    <section aria-label="Seams" className="flex flex-col gap-1 border-rule border-t pt-2">
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-[14px]">Seams</h3>
        {open.length > 1 && (
          <button
            type="button"
            className="button"
            onClick={() => dispatch({ kind: 'edit', edit: moveParts(facts.matched) })}
          >
            Match all
          </button>
        )}
      </div>
      <ul className="m-0 flex list-none flex-col p-0">
        {seams.map((seam) => (
          <SeamRow key={seam.name} seam={seam} />
        ))}
      </ul>
    </section>
  );
}

function SeamRow({ seam }: { seam: SeamFacts }) {
  const { off, left } = seam.fit!;
  const isMatched = off <= MATCHED;
  const helps = off - left > MATCHED;
  return (
    <li className="flex min-h-8 items-center justify-between gap-2 border-rule border-b py-0.5 text-[13px]">
      <span>{seam.name}</span>
      <span className="flex items-center gap-2">
        <span className={`numbers text-[12.5px] ${isMatched ? 'text-verdigris' : 'text-weld'}`}>
          {isMatched ? '✓ goes on' : `off by ${millimetres(off)}`}
        </span>
        {helps && (
          <button
            type="button"
            aria-label={`Match: ${seam.name}`}
            title={
              left > MATCHED ? `At best ${millimetres(left)} off: the parts lie at different angles.` : ''
            }
            className="button px-2 text-[12.5px]"
            onClick={() => dispatch({ kind: 'edit', edit: matchSeam(seam) })}
          >
            Match
          </button>
        )}
      </span>
    </li>
  );
}

/** Moves the cloth of a seam's second part so that the pattern goes on. */
export function matchSeam({ parts, fit }: SeamFacts): Edit {
  return moveParts([{ key: parts[1], shift: fit!.shift }]);
}

function moveParts(moved: readonly MatchedPart[]): Edit {
  return changingTryOn((tryOn) => ({ parts: withMoved(tryOn, moved) }));
}
