import { useMemo } from 'react';
import { type ByKind, KINDS } from '../core/design/constructions.ts';
import type { Design } from '../core/design/design-schema.ts';
import { startsOf } from '../core/design/starts.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { WORDS } from '../wording/construction-words.ts';

const CARDS = (Object.keys(KINDS) as (keyof ByKind)[]).map((kind) => ({ kind, ...WORDS[kind] }));

interface EmptyShelfProps {
  readonly onNew: (kind: keyof ByKind) => void;
  readonly onPicture: () => void;
}

/** What a first visit offers: each kind of work by a picture of it and one line. */
export function EmptyShelf({ onNew, onPicture }: EmptyShelfProps) {
  return (
    <div className="mx-auto mt-10 max-w-[1020px] px-6">
      <h1 className="text-[27px]">The shelf is empty</h1>
      <p className="mt-1 mb-5 text-ash">What would you like to make first?</p>
      <ul className="m-0 grid list-none grid-cols-4 gap-4 p-0 max-[900px]:grid-cols-2">
        {CARDS.map(({ kind, begun, about }) => (
          <Card key={kind} title={begun} about={about} onClick={() => onNew(kind)}>
            <StartSwatch kind={kind} />
          </Card>
        ))}
        <Card
          title="From a photograph"
          about="Draw a line over a picture; its colours become bands."
          onClick={onPicture}
        >
          <img
            src="/pictures/lake-at-dusk.jpg"
            alt=""
            className="pinked block h-[132px] w-full object-cover"
          />
        </Card>
      </ul>
      <p className="mt-6 text-ash">
        Or drop a file here: thread counts as text (.txt), a table (.csv, with the columns shade and count), a
        weave file (.wif), a Vetro design (.json), or a picture.
      </p>
    </div>
  );
}

interface CardProps {
  readonly title: string;
  readonly about: string;
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}

function Card({ title, about, onClick, children }: CardProps) {
  return (
    <li>
      <button
        type="button"
        className="flex h-full w-full flex-col items-start rounded-card bg-paper p-3 text-left shadow-[0_4px_14px_rgb(32_41_43/0.12)] hover:shadow-[0_6px_20px_rgb(32_41_43/0.2)]"
        onClick={onClick}
      >
        {children}
        <span className="mt-2 font-heading font-semibold text-[17px]">{title}</span>
        <span className="text-[13px] text-ash leading-snug">{about}</span>
      </button>
    </li>
  );
}

/** The start points that show best what a construction can do; else its first. */
const PICTURED: readonly string[] = ['cubes', 'across'];

function StartSwatch({ kind }: { kind: keyof ByKind }) {
  const design = useMemo<Design>(() => {
    const starts = startsOf(kind);
    return (starts.find(({ key }) => PICTURED.includes(key)) ?? starts[0]!).design(0);
  }, [kind]);
  return <ClothSwatch design={design} width={206} height={132} perThread={2} decorative />;
}
