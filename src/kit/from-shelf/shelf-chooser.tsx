import { useEffect, useState } from 'react';
import { type Shelf, type Summary, shelfSchema } from '../../contracts/shelf.ts';
import { MOST_LETTERS, shelfQuery } from '../../contracts/shelf-wish.ts';
import { request } from '../request.ts';
import { usePixelRatio } from '../use-pixel-ratio.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 96, height: 64 } as const;

interface ShelfChooserProps {
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** The designs of the shelf as small swatches, found by words. */
export function ShelfChooser({ chosen, onChoose }: ShelfChooserProps) {
  const [shelf, setShelf] = useState<Shelf>();
  const [problem, setProblem] = useState<string>();
  const [words, setWords] = useState('');
  useEffect(() => {
    let gone = false;
    const query = shelfQuery({ search: words.slice(0, MOST_LETTERS) });
    request('GET', `/api/shelf?${query}`).then(
      (answer) => !gone && setShelf(shelfSchema.parse(answer)),
      (error: Error) => !gone && setProblem(error.message),
    );
    return () => {
      gone = true;
    };
  }, [words]);
  const found = (shelf?.ranges ?? []).flatMap(({ designs }) => designs);
  if (problem !== undefined) return <p className="text-madder">{problem}</p>;
  return (
    <div className="flex flex-col gap-2">
      <input
        type="search"
        className="field"
        aria-label="Find a design"
        placeholder="Name, number, shade, kind"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      {shelf !== undefined && found.length === 0 && (
        <p className="hint">No design of the shelf is like that.</p>
      )}
      <fieldset
        aria-label="Designs of the shelf"
        className="m-0 grid h-[232px] grid-cols-[repeat(auto-fill,minmax(108px,1fr))] content-start gap-1 overflow-y-auto border-0 p-0"
      >
        {found.map((design) => (
          <Swatch
            key={design.id}
            design={design}
            chosen={design.id === chosen}
            onChoose={() => onChoose(design.id)}
          />
        ))}
      </fieldset>
      {shelf !== undefined && shelf.next !== null && (
        <p className="hint">
          {found.length} of {shelf.found} designs. Words find the others.
        </p>
      )}
    </div>
  );
}

interface SwatchProps {
  readonly design: Summary;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function Swatch({ design: { id, name, version }, chosen, onChoose }: SwatchProps) {
  const times = Math.min(4, Math.ceil(usePixelRatio()));
  const { width, height } = SWATCH;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`flex flex-col items-start rounded-lg p-1.5 text-left text-[12px] leading-tight hover:bg-linen ${chosen ? 'bg-woad-pale font-semibold text-woad' : ''}`}
      onClick={onChoose}
    >
      <img
        src={`/api/designs/${id}/files/swatch.png?across=${width}&down=${height}&times=${times}&v=${version}`}
        alt=""
        width={width}
        height={height}
        loading="lazy"
        className="pinked block"
      />
      <span className="mt-1 line-clamp-2">{name}</span>
    </button>
  );
}
