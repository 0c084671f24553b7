import { useEffect, useState } from 'react';
import { type Shelf, shelfSchema } from '../../contracts/shelf.ts';
import { MOST_LETTERS, shelfQuery } from '../../contracts/shelf-wish.ts';
import { request } from '../request.ts';
import { SmallSwatch } from './small-swatch.tsx';

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
  // What is here already is looked through at once, so that nothing moves under a hand when the answer comes.
  const sought = words.toLowerCase().split(/\s+/);
  const found = (shelf?.ranges ?? [])
    .flatMap(({ designs }) => designs)
    .filter(({ search }) => sought.every((word) => search.includes(word)));
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
          <SmallSwatch
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
