import { useEffect, useMemo, useRef, useState } from 'react';
import type { OpenedShelf, OtherDesign, Taken, TakeRequest, Taking } from '../contracts/backups.ts';
import { TAKING_RULES, type TakingRule, takingBy, wishOf } from '../contracts/taking-rule.ts';
import { clockText, plural } from '../wording/measures.ts';
import { RULE_WORDS } from '../wording/shelf-words.ts';
import { OtherRow } from './other-row.tsx';

interface OpenedShelfViewProps {
  readonly shelf: OpenedShelf;
  /** How far taking is; undefined while nothing is taken. */
  readonly taken: Taken | undefined;
  /** @returns whether all of it was taken */
  readonly onTake: (wish: TakeRequest) => Promise<boolean>;
  readonly onStop: () => void;
}

/** What another shelf holds that is not here, or not as it is here, and what is taken of it. */
export function OpenedShelfView({ shelf, taken, onTake, onStop }: OpenedShelfViewProps) {
  const { kind, designs, onlyHere, missingPictures } = shelf;
  const [range, setRange] = useState<string>();
  const [rule, setRule] = useState<TakingRule>('skip');
  const [own, setOwn] = useState<Readonly<Record<string, Taking>>>({});
  const [same, setSame] = useState(false);
  const [sure, setSure] = useState(false);
  const ranges = useMemo(() => [...new Set(designs.map((each) => each.range))], [designs]);
  const isMeant = (each: OtherDesign) => range === undefined || each.range === range;
  const meant = designs.filter(isMeant);
  const differing = meant.filter(({ standing }) => standing !== 'same');
  // Of an archive what is new is usually wanted; of a backup, what somebody names.
  const takingOf = (design: OtherDesign): Taking =>
    own[design.id] ?? (kind === 'archive' ? takingBy(rule, design) : 'skip');
  const chosen = differing.filter((each) => takingOf(each) !== 'skip');
  const changed = designs.filter(({ standing }) => ['here', 'there', 'both'].includes(standing)).length;
  const missing = differing.filter(({ standing }) => standing === 'new' || standing === 'binned');
  const choose = (some: readonly OtherDesign[]) =>
    setOwn({ ...own, ...Object.fromEntries(some.map(({ id }) => [id, 'replace' as const])) });
  /** What was taken is not offered again by itself: one that hangs beside is there already. */
  const take = async (wish: TakeRequest) => {
    if (!(await onTake(wish))) return;
    setOwn((was) => ({ ...was, ...Object.fromEntries(chosen.map(({ id }) => [id, 'skip' as const])) }));
  };
  const brought = kind === 'backup' ? 'Bring back' : 'Bring in';
  const isTaking = taken?.state === 'taking';
  const name = kind === 'backup' ? `The shelf, ${clockText(shelf.at)}` : shelf.title || 'Designs of a folder';
  const here = useRef<HTMLElement>(null);
  // Where it lies below the list, it is brought into sight.
  useEffect(() => here.current?.scrollIntoView({ block: 'nearest' }), []);
  return (
    <section ref={here} aria-label={name} className="rounded-card bg-paper px-6 py-5">
      <h2 className="m-0 text-[20px]">{name}</h2>
      <p className="mt-1 mb-3 text-ash">
        {kind === 'archive' && shelf.at !== '' && `Exported ${clockText(shelf.at)}. `}
        {plural(designs.length, 'design')},{' '}
        {differing.length === 0 ? 'all the same here' : `${differing.length} not the same here`}
        {missingPictures > 0 && `; ${plural(missingPictures, 'picture')} of it cannot be found`}.
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        {ranges.length > 1 && (
          <select
            aria-label="Range"
            className="field w-auto"
            value={range ?? '*'}
            onChange={(event) => setRange(event.target.value === '*' ? undefined : event.target.value)}
          >
            <option value="*">All ranges</option>
            {ranges.map((each) => (
              <option key={each} value={each}>
                {each === '' ? 'In no range' : each}
              </option>
            ))}
          </select>
        )}
        {kind === 'archive' && (
          <label className="flex items-center gap-2 text-[13.5px]">
            What differs
            <select
              className="field w-auto"
              value={rule}
              onChange={(event) => {
                setRule(event.target.value as TakingRule);
                setOwn({});
              }}
            >
              {TAKING_RULES.map((each) => (
                <option key={each} value={each}>
                  {RULE_WORDS[each]}
                </option>
              ))}
            </select>
          </label>
        )}
        {kind === 'backup' && missing.length > 0 && (
          <button type="button" className="button" onClick={() => choose(missing)}>
            Choose what is missing ({missing.length})
          </button>
        )}
        {kind === 'backup' && differing.length > missing.length && (
          <button type="button" className="button" onClick={() => choose(differing)}>
            Choose all ({differing.length})
          </button>
        )}
        <label className="flex items-center gap-1.5 text-[13.5px]">
          <input type="checkbox" checked={same} onChange={(event) => setSame(event.target.checked)} />
          Show what is the same
        </label>
      </div>
      <ul className="m-0 max-h-[52vh] list-none overflow-y-auto p-0">
        {(same ? meant : differing).map((design) => (
          <OtherRow
            key={design.id}
            shelf={shelf}
            design={design}
            taking={takingOf(design)}
            onTaking={(taking) => setOwn({ ...own, [design.id]: taking })}
          />
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button button-go"
          disabled={isTaking || chosen.length === 0}
          onClick={() => void take(wishOf(shelf, (each) => (isMeant(each) ? takingOf(each) : 'skip')))}
        >
          {brought} {chosen.length > 0 && plural(chosen.length, 'design')}
        </button>
        {kind === 'backup' && (
          <button
            type="button"
            className="button"
            disabled={isTaking}
            onClick={() => {
              if (!sure) return setSure(true);
              setSure(false);
              void take({ whole: true, choices: {} });
            }}
          >
            {sure
              ? `Yes: ${changed} replaced, ${onlyHere.length} newer into the bin`
              : 'The whole shelf as it was'}
          </button>
        )}
        {isTaking && (
          <>
            <progress aria-label="Designs taken" max={Math.max(1, taken.of)} value={taken.made} />
            <button type="button" className="button" onClick={onStop}>
              Stop
            </button>
          </>
        )}
        <span className="text-[12.5px] text-ash">
          What is replaced stays as an earlier state, and is backed up first.
        </span>
      </div>
    </section>
  );
}
