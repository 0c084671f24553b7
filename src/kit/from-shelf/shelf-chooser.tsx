import { useEffect, useState } from 'react';
import { type Shelf, shelfSchema } from '../../contracts/shelf.ts';
import { MOST_LETTERS, shelfQuery } from '../../contracts/shelf-wish.ts';
import { request } from '../request.ts';
import { useLate } from '../use-late.ts';
import { SwatchGrid } from './swatch-grid.tsx';

interface ShelfChooserProps {
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** The designs of the shelf as small swatches, found by words. */
export function ShelfChooser({ chosen, onChoose }: ShelfChooserProps) {
  const [shelf, setShelf] = useState<Shelf>();
  const [problem, setProblem] = useState<string>();
  const [words, setWords] = useState('');
  const late = useLate(words);
  useEffect(() => {
    let gone = false;
    const query = shelfQuery({ search: late.slice(0, MOST_LETTERS) });
    request('GET', `/api/shelf?${query}`).then(
      (answer) => !gone && setShelf(shelfSchema.parse(answer)),
      (error: Error) => !gone && setProblem(error.message),
    );
    return () => {
      gone = true;
    };
  }, [late]);
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
      <SwatchGrid
        label="Designs of the shelf"
        designs={found}
        isChosen={(id) => id === chosen}
        onChoose={onChoose}
        height="h-[232px]"
      />
      {shelf !== undefined && shelf.next !== null && (
        <p className="hint">
          {found.length} of {shelf.found} designs. Words find the others.
        </p>
      )}
    </div>
  );
}
