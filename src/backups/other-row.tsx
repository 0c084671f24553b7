import type { OpenedShelf, OtherDesign, Taking } from '../contracts/backups.ts';
import { clockText } from '../wording/measures.ts';
import { STANDING_WORDS, TAKING_WORDS } from '../wording/shelf-words.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 96, height: 64 } as const;
const QUERY = `across=${SWATCH.width}&down=${SWATCH.height}&times=2`;

interface OtherRowProps {
  readonly shelf: OpenedShelf;
  readonly design: OtherDesign;
  readonly taking: Taking;
  readonly onTaking: (taking: Taking) => void;
}

/** A design of another shelf, beside what it is here, and what becomes of it. */
export function OtherRow({ shelf: { id, kind }, design, taking, onTaking }: OtherRowProps) {
  const { name, number, range, standing, at, hereAt } = design;
  const isHere = standing !== 'new' && standing !== 'binned';
  const takings: readonly Taking[] = isHere ? ['skip', 'replace', 'beside'] : ['skip', 'replace'];
  const brought = kind === 'backup' ? 'Bring it back' : 'Bring it in';
  return (
    <li className="flex items-center gap-4 border-rule/70 border-b py-2.5">
      <Swatch
        path={`/api/opened/${id}/designs/${design.id}/swatch.png`}
        words={kind === 'backup' ? 'then' : 'there'}
      />
      {isHere && standing !== 'same' ? (
        <Swatch path={`/api/designs/${design.id}/files/swatch.png`} words="here now" />
      ) : (
        <span className="flex-none" style={{ width: SWATCH.width }} />
      )}
      <span className="min-w-0 flex-1">
        <span className="block truncate font-semibold">{name}</span>
        <span className="block text-[12.5px] text-ash">
          {[number, range].filter((each) => each !== '').join(' · ')}
        </span>
        <span className="block text-[12.5px]">
          <span className={standing === 'same' ? 'text-ash' : 'text-weld'}>
            {STANDING_WORDS[kind][standing]}
          </span>
          <span className="text-ash">
            {' '}
            · saved {clockText(at)}
            {isHere && standing !== 'same' && `, here ${clockText(hereAt)}`}
          </span>
        </span>
      </span>
      {standing !== 'same' && (
        <select
          aria-label={`What becomes of ${name}`}
          className="field w-[150px] flex-none"
          value={taking}
          onChange={(event) => onTaking(event.target.value as Taking)}
        >
          {takings.map((each) => (
            <option key={each} value={each}>
              {each === 'replace' && !isHere ? brought : TAKING_WORDS[each]}
            </option>
          ))}
        </select>
      )}
    </li>
  );
}

function Swatch({ path, words }: { readonly path: string; readonly words: string }) {
  return (
    <span className="block flex-none text-center">
      <img src={`${path}?${QUERY}`} alt="" loading="lazy" {...SWATCH} className="pinked block bg-linen" />
      <span className="text-[11.5px] text-ash">{words}</span>
    </span>
  );
}
